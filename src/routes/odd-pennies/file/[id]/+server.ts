import { error } from '@sveltejs/kit';
import { look } from '$lib/server/http/refuse';
import { lookAtClaimFile } from '$lib/server/looks/claim';
import type { RequestHandler } from './$types';

/** Pictures and PDFs are shown; anything else is only downloaded, for it comes from outside. */
const SHOWN = new Set(['image/png', 'image/jpeg', 'image/webp', 'image/gif', 'application/pdf']);

export const GET: RequestHandler = async ({ locals, params }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const file = await look(lookAtClaimFile(locals.app.books.db, Number(params.id) || 0, viewer));
	if (!file) error(404, 'There is no such file.');
	const shown = SHOWN.has(file.type);
	const name = encodeURIComponent(file.name);
	return new Response(new Uint8Array(file.content), {
		headers: {
			'content-type': shown ? file.type : 'application/octet-stream',
			'content-disposition': `${shown ? 'inline' : 'attachment'}; filename*=UTF-8''${name}`,
			'x-content-type-options': 'nosniff',
			'content-security-policy': "sandbox; default-src 'none'"
		}
	});
};

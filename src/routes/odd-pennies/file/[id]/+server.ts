import { rowNumber } from '$lib/server/platform/http/row-number';
import { contentDisposition } from '$lib/server/platform/http/content-disposition';
import { error } from '@sveltejs/kit';
import { view } from '$lib/server/platform/http/view';
import { lookAtClaimFile } from '$lib/server/claims/queries/claim';
import type { RequestHandler } from './$types';

/** Pictures and PDFs are shown; anything else is only downloaded, for it comes from outside. */
const SHOWN = new Set(['image/png', 'image/jpeg', 'image/webp', 'image/gif', 'application/pdf']);

export const GET: RequestHandler = async ({ locals, params }) => {
	const file = await view(locals, lookAtClaimFile, rowNumber(params.id) ?? 0);
	if (!file) error(404, 'There is no such file.');
	const shown = SHOWN.has(file.type);
	return new Response(new Uint8Array(file.content), {
		headers: {
			'content-type': shown ? file.type : 'application/octet-stream',
			'content-disposition': contentDisposition(shown ? 'inline' : 'attachment', file.name),
			'x-content-type-options': 'nosniff',
			'content-security-policy': "sandbox; default-src 'none'"
		}
	});
};

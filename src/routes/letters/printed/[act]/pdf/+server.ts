import { error } from '@sveltejs/kit';
import { contentDisposition } from '$lib/server/platform/http/content-disposition';
import { rowNumber } from '$lib/server/platform/http/row-number';
import { view } from '$lib/server/platform/http/view';
import { lookAtPrinted } from '$lib/server/letters/queries/runs';
import { letterPaper } from '$lib/server/letters/store/kept-letters';
import { bundlePapers } from '$lib/server/services/render-pdf';
import type { RequestHandler } from './$types';

/** Letters that were printed together, as one file in the order of the post. */
export const GET: RequestHandler = async ({ locals, params }) => {
	const letters = await view(locals, lookAtPrinted, rowNumber(params.act) ?? 0);
	if (letters.length === 0) error(404, 'No letters were printed so.');
	const papers: Buffer[] = [];
	for (const { letter } of letters) papers.push(await letterPaper(locals.app.books, letter));
	const pdf = await bundlePapers(papers);
	return new Response(new Uint8Array(pdf), {
		headers: {
			'content-type': 'application/pdf',
			'content-disposition': contentDisposition('inline', `letters-${params.act}.pdf`)
		}
	});
};

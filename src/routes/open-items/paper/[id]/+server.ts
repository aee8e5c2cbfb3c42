import { rowNumber } from '$lib/server/platform/http/row-number';
import { contentDisposition } from '$lib/server/platform/http/content-disposition';
import { error } from '@sveltejs/kit';
import { view } from '$lib/server/platform/http/view';
import { keptFileResponse } from '$lib/server/platform/http/kept-file-response';
import { lookAtAttachedPdf, lookAtPaper } from '$lib/server/documents/queries/new-document';
import { render } from '$lib/server/services/render-pdf';
import type { RequestHandler } from './$types';

/** A document as its PDF: as it was attached, else made from what is posted. */
export const GET: RequestHandler = async ({ locals, params }) => {
	const id = rowNumber(params.id) ?? 0;
	const paper = await view(locals, lookAtPaper, id);
	if (!paper) error(404, 'There is no such document.');
	const name = `${paper.number.replace(/[^\w.-]+/g, '-')}.pdf`;
	const attached = await view(locals, lookAtAttachedPdf, id);
	if (attached) return keptFileResponse({ name, type: 'application/pdf', content: attached });
	const pdf = await render({ what: 'paper', paper });
	return new Response(new Uint8Array(pdf), {
		headers: { 'content-type': 'application/pdf', 'content-disposition': contentDisposition('inline', name) }
	});
};

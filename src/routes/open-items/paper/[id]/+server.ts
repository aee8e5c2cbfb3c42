import { rowNumber } from '$lib/server/platform/http/row-number';
import { contentDisposition } from '$lib/server/platform/http/content-disposition';
import { error } from '@sveltejs/kit';
import { view } from '$lib/server/platform/http/view';
import { lookAtPaper } from '$lib/server/documents/queries/new-document';
import { render } from '$lib/server/services/render-pdf';
import type { RequestHandler } from './$types';

/** A document as its PDF, made from what is posted. */
export const GET: RequestHandler = async ({ locals, params }) => {
	const paper = await view(locals, lookAtPaper, rowNumber(params.id) ?? 0);
	if (!paper) error(404, 'There is no such document.');
	const pdf = await render({ what: 'paper', paper });
	const name = `${paper.number.replace(/[^\w.-]+/g, '-')}.pdf`;
	return new Response(new Uint8Array(pdf), {
		headers: { 'content-type': 'application/pdf', 'content-disposition': contentDisposition('inline', name) }
	});
};

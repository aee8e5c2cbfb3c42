import { rowNumber } from '$lib/server/platform/http/row-number';
import { contentDisposition } from '$lib/server/platform/http/content-disposition';
import { error } from '@sveltejs/kit';
import type { Letter } from '$lib/core/7-letters/letter';
import { statusOf } from '$lib/server/platform/http/refuse';
import { view } from '$lib/server/platform/http/view';
import { lookAtLetter } from '$lib/server/letters/queries/letters';
import { lookAtReturned } from '$lib/server/returns/queries/returns';
import { render } from '$lib/server/services/render-pdf';
import { letterPage, problemSentence } from '$lib/words';
import type { RequestHandler } from './$types';

/** The letter that an account would get today: the PDF itself, or the same as a page (`as=page`) for beside the list. */
export const GET: RequestHandler = async ({ locals, url }) => {
	const returnedId = rowNumber(url.searchParams.get('of'));
	const returned = returnedId && (await view(locals, lookAtReturned, returnedId));
	const kind: Letter['kind'] = returned
		? 'returned'
		: url.searchParams.get('kind') === 'reminder'
			? 'reminder'
			: 'statement';
	const input = {
		...{ kind, returnedId },
		customerId: returned ? returned.customerId : (rowNumber(url.searchParams.get('customer')) ?? 0),
		currency: returned ? returned.currency : (url.searchParams.get('currency') ?? '')
	};
	const found = await view(locals, lookAtLetter, input);
	const asPage = url.searchParams.get('as') === 'page';
	if (!found.ok) {
		const says = found.problems.map(problemSentence).join(' ');
		if (asPage) return new Response(says, { headers: { 'content-type': 'text/plain; charset=utf-8' } });
		error(statusOf(found.problems), says);
	}
	const { letter } = found.value;
	if (asPage)
		return new Response(letterPage(letter), { headers: { 'content-type': 'text/html; charset=utf-8' } });
	const pdf = await render({ what: 'letter', letter });
	const name = `${kind}-${letter.customer.code}-${letter.date}.pdf`;
	return new Response(new Uint8Array(pdf), {
		headers: { 'content-type': 'application/pdf', 'content-disposition': contentDisposition('inline', name) }
	});
};

import { cleanText } from '$lib/core/text/clean-text';
import { rowNumber } from '$lib/server/platform/http/row-number';
import { contentDisposition } from '$lib/server/platform/http/content-disposition';
import { error } from '@sveltejs/kit';
import { statusOf } from '$lib/server/platform/http/refuse';
import { view } from '$lib/server/platform/http/view';
import { lookAtLetters } from '$lib/server/letters/queries/letters';
import { lookAtReturned } from '$lib/server/returns/queries/returns';
import { render } from '$lib/server/services/render-pdf';
import { problemSentence } from '$lib/words';
import type { LettersAsked } from '$lib/server/letters/store/letters-for';
import { readStatement } from '../read-statement';
import type { RequestHandler } from './$types';

/** The letter that an account would get today, as PDF: as it will arrive. */
export const GET: RequestHandler = async ({ locals, url }) => {
	const returnedId = rowNumber(url.searchParams.get('of'));
	const returned = returnedId && (await view(locals, lookAtReturned, returnedId));
	const account = returned
		? { customerId: returned.customerId, currency: returned.currency, returnedId }
		: {
				customerId: rowNumber(url.searchParams.get('customer')) ?? 0,
				currency: url.searchParams.get('currency') ?? ''
			};
	const statement = readStatement(url);
	const note = cleanText(url.searchParams.get('note') ?? '').slice(0, 4_100);
	const asked: LettersAsked = {
		kind: returned ? 'returned' : url.searchParams.get('kind') === 'reminder' ? 'reminder' : 'statement',
		...(statement ? { statement } : {}),
		...(note ? { note } : {}),
		accounts: [account]
	};
	const [found] = await view(locals, lookAtLetters, asked);
	if (!found!.ok) error(statusOf(found!.problems), found!.problems.map(problemSentence).join(' '));
	const { letter } = found!.value;
	const pdf = await render({ what: 'letter', letter });
	const name = `${asked.kind}-${letter.customer.code}-${letter.date}.pdf`;
	return new Response(new Uint8Array(pdf), {
		headers: { 'content-type': 'application/pdf', 'content-disposition': contentDisposition('inline', name) }
	});
};

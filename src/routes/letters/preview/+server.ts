import { error, type RequestEvent } from '@sveltejs/kit';
import { z } from 'zod';
import { checkWording } from '$lib/core/7-letters/wording/check-wording';
import { LETTER_KINDS, LETTER_LANGUAGES } from '$lib/core/7-letters/letter';
import { cleanText, cleanTexts } from '$lib/core/text/clean-text';
import { contentDisposition } from '$lib/server/platform/http/content-disposition';
import { isTooDeep } from '$lib/server/platform/http/is-too-deep';
import { rowNumber } from '$lib/server/platform/http/row-number';
import { statusOf } from '$lib/server/platform/http/refuse';
import { view } from '$lib/server/platform/http/view';
import { lookAtStep } from '$lib/server/letters/queries/by-hand';
import { lookAtLetters } from '$lib/server/letters/queries/letters';
import type { LettersAsked } from '$lib/server/letters/store/letters-for';
import { WORDING } from '$lib/server/letters/store/wording-shape';
import { lookAtReturned } from '$lib/server/returns/queries/returns';
import { render } from '$lib/server/services/render-pdf';
import { problemSentence, wordingFault } from '$lib/words';
import { readStatement } from '../read-statement';
import type { RequestHandler } from './$types';

/** Words of a letter are a few thousand letters long. */
const MOST_BYTES = 200_000;

/** The letter that an account would get today, as PDF: as it will arrive. */
export const GET: RequestHandler = async (event) => shown(event, await askedBy(event));

const WORDS_ASKED = z.object({ words: WORDING });

/** The same with words that are still being written. */
export const POST: RequestHandler = async (event) => {
	const text = await event.request.text();
	if (text.length > MOST_BYTES) error(413, 'That is more than a letter may say.');
	const given = jsonOf(text);
	const read = WORDS_ASKED.safeParse(isTooDeep(given) ? null : cleanTexts(given));
	if (!read.success) error(400, read.error.issues[0]?.message ?? 'These are no words of a letter.');
	const { words } = read.data;
	const asked = await askedBy(event);
	const [fault] = checkWording(words, asked.kind);
	if (fault) error(422, wordingFault(fault));
	return shown(event, { ...asked, accounts: asked.accounts.map((one) => ({ ...one, words })) });
};

async function askedBy({ locals, url }: RequestEvent): Promise<LettersAsked> {
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
	const wording = /^[a-z0-9-]{1,60}$/.exec(url.searchParams.get('wording') ?? '')?.[0];
	const kind = LETTER_KINDS.find((one) => one === url.searchParams.get('kind')) ?? 'statement';
	const language = LETTER_LANGUAGES.find((one) => one === url.searchParams.get('language'));
	const about = (url.searchParams.get('items') ?? '')
		.split(',')
		.flatMap((one) => rowNumber(one) ?? [])
		.slice(0, 500);
	// A reminder is the step that the account reaches, with that step's words, day to answer by and items.
	const step = kind === 'reminder' && !returned ? await view(locals, lookAtStep, account) : {};
	return {
		kind: returned ? 'returned' : kind,
		...(statement ? { statement } : {}),
		...(note ? { note } : {}),
		...(language ? { language } : {}),
		...(locals.who ? { person: locals.who.name } : {}),
		accounts: [
			{ ...step, ...account, ...(wording ? { wording } : {}), ...(about.length > 0 ? { about } : {}) }
		]
	};
}

async function shown({ locals }: RequestEvent, asked: LettersAsked): Promise<Response> {
	const [found] = await view(locals, lookAtLetters, asked);
	if (!found!.ok) error(statusOf(found!.problems), found!.problems.map(problemSentence).join(' '));
	const { letter } = found!.value;
	const pdf = await render({ what: 'letter', letter });
	const name = `${asked.kind}-${letter.customer.code}-${letter.date}.pdf`;
	return new Response(new Uint8Array(pdf), {
		headers: { 'content-type': 'application/pdf', 'content-disposition': contentDisposition('inline', name) }
	});
}

function jsonOf(text: string): unknown {
	try {
		return JSON.parse(text) as unknown;
	} catch {
		return null;
	}
}

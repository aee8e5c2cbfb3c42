import { z } from 'zod';
import { bookUnidentified, unidentifiedInput } from '$lib/server/acts/book-unidentified';
import { holdInput, holdReceipt } from '$lib/server/acts/hold-receipt';
import { perform } from '$lib/server/acts/perform';
import { placeInput } from '$lib/server/place-input';
import { placeMoney } from '$lib/server/acts/place-money';
import { placeCertain } from '$lib/server/acts/place-certain';
import { setAside, setAsideInput } from '$lib/server/acts/set-aside';
import { joinParts } from '$lib/server/acts/split-receipt';
import { tieEntry } from '$lib/server/acts/tie-entry';
import { tieReturn, tieReturnInput } from '$lib/server/acts/tie-return';
import { undoPlacing } from '$lib/server/acts/undo-placing';
import { readForm } from '$lib/server/http/read-form';
import { look, refuse } from '$lib/server/http/refuse';
import { lookAtDesk } from '$lib/server/looks/desk';
import type { PileRow } from '$lib/server/looks/pile';
import { reasonSentence } from '$lib/words/reason-sentence';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url, depends, parent }) => {
	depends('books:pile');
	const { app, who } = locals;
	const viewer = { who: who!, today: await app.today() };
	const asked = Number(url.searchParams.get('r')) || null;
	// `k` lays an account's credits on the desk, without new money.
	const credits = Number(url.searchParams.get('k')) || null;
	const receiptId = credits ? null : (asked ?? (await firstOf(parent)));
	const customerId = credits ?? (Number(url.searchParams.get('c')) || null);
	const also = (url.searchParams.get('also') ?? '').split(',').map(Number).filter(Boolean);
	// `lay` lays these items on the strip instead of what was proposed.
	const lay = (url.searchParams.get('lay') ?? '').split(',').map(Number).filter(Boolean);
	const desk =
		receiptId || credits
			? await look(lookAtDesk(app.books.db, { receiptId, customerId, also }, viewer))
			: null;
	return {
		desk,
		lay,
		reasons: desk?.answer ? desk.answer.reasons.map(reasonSentence) : [],
		gone: asked !== null && desk === null,
		mayAct: who!.role !== 'reader'
	};
};

/** The first receipt that is not certain, else the first of all. */
async function firstOf(parent: () => Promise<{ rows: readonly PileRow[] }>): Promise<number | null> {
	const { rows } = await parent();
	return rows.find((row) => row.band !== 'certain')?.id ?? rows[0]?.id ?? null;
}

export const actions: Actions = {
	post: async ({ request, locals }) => {
		const read = await readForm(request, placeInput);
		if (!read.ok) return refuse(read.problems);
		const result = await perform(
			locals.app.books,
			placeMoney,
			read.value,
			await locals.app.circumstance(locals.who!, read.key)
		);
		if (!result.ok) return refuse(result.problems);
		const { actId, waits } = result.value;
		return actId === null ? { asked: waits.length } : { done: [actId] };
	},
	certain: async ({ request, locals }) => {
		const read = await readForm(
			request,
			z.object({ receipts: z.array(z.object({ id: z.number().int(), version: z.number().int() })).max(5000) })
		);
		if (!read.ok) return refuse(read.problems);
		const result = await perform(
			locals.app.books,
			placeCertain,
			read.value,
			await locals.app.circumstance(locals.who!, read.key)
		);
		return result.ok ? { done: result.value.actIds } : refuse(result.problems);
	},
	undo: async ({ request, locals }) => {
		const read = await readForm(request, z.object({ actIds: z.array(z.number().int()).min(1).max(5000) }));
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!);
		for (const actId of [...read.value.actIds].reverse()) {
			const result = await perform(locals.app.books, undoPlacing, { actId }, at);
			if (!result.ok) return refuse(result.problems);
		}
		return { undone: read.value.actIds.length };
	},
	hold: async ({ request, locals }) => {
		const read = await readForm(request, holdInput);
		if (!read.ok) return refuse(read.problems);
		const result = await perform(
			locals.app.books,
			holdReceipt,
			read.value,
			await locals.app.circumstance(locals.who!)
		);
		return result.ok ? { held: true } : refuse(result.problems);
	},
	tie: async ({ request, locals }) => {
		const read = await readForm(
			request,
			z.object({
				receiptId: z.number().int(),
				receiptVersion: z.number().int(),
				to: z.object({ kind: z.enum(['slip', 'receipt']), id: z.number().int() })
			})
		);
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!, read.key);
		const result = await perform(locals.app.books, tieEntry, read.value, at);
		return result.ok ? { done: [result.value.actId] } : refuse(result.problems);
	},
	showReturn: async ({ request, locals }) => {
		const read = await readForm(request, tieReturnInput);
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!, read.key);
		const result = await perform(locals.app.books, tieReturn, read.value, at);
		return result.ok ? { done: [result.value.actId] } : refuse(result.problems);
	},
	join: async ({ request, locals }) => {
		const read = await readForm(request, z.object({ receiptId: z.number().int() }));
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!);
		const result = await perform(locals.app.books, joinParts, read.value, at);
		return result.ok ? { joined: true } : refuse(result.problems);
	},
	unidentified: async ({ request, locals }) => {
		const read = await readForm(request, unidentifiedInput);
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!, read.key);
		const result = await perform(locals.app.books, bookUnidentified, read.value, at);
		return result.ok ? { done: [result.value.actId] } : refuse(result.problems);
	},
	aside: async ({ request, locals }) => {
		const read = await readForm(request, setAsideInput);
		if (!read.ok) return refuse(read.problems);
		const result = await perform(
			locals.app.books,
			setAside,
			read.value,
			await locals.app.circumstance(locals.who!, read.key)
		);
		return result.ok ? { done: [result.value.actId] } : refuse(result.problems);
	}
};

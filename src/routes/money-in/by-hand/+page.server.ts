import { redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { addMethod, methodInput } from '$lib/server/acts/add-method';
import { draftInput, dropDrafts, keepDrafts } from '$lib/server/acts/drafts';
import { makeSlip } from '$lib/server/acts/make-slip';
import { perform } from '$lib/server/acts/perform';
import { postDrafts } from '$lib/server/acts/post-drafts';
import { readForm } from '$lib/server/http/read-form';
import { look, refuse } from '$lib/server/http/refuse';
import { methodsOf } from '$lib/server/repo/methods';
import { readPasted } from '$lib/server/repo/read-pasted';
import { lookAtByHand } from '$lib/server/looks/by-hand';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const hand = await look(lookAtByHand(locals.app.books.db, null, viewer));
	return { ...hand, mayAct: locals.who!.role !== 'reader' };
};

const ids = z.object({ ids: z.array(z.number().int()).min(1, 'Choose something first.').max(2000) });

export const actions: Actions = {
	keep: async ({ request, locals }) => {
		const read = await readForm(request, z.object({ rows: z.array(draftInput).min(1).max(2000) }));
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!, read.key);
		const result = await perform(locals.app.books, keepDrafts, read.value.rows, at);
		return result.ok ? { kept: result.value.ids } : refuse(result.problems);
	},
	paste: async ({ request, locals }) => {
		const read = await readForm(request, z.object({ text: z.string().max(500_000) }));
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!, read.key);
		const db = locals.app.books.db;
		const methods = await methodsOf(db);
		const rows = await readPasted(db, read.value.text, at.today, methods);
		if (!rows.ok) return refuse(rows.problems);
		const result = await perform(locals.app.books, keepDrafts, rows.value, at);
		return result.ok ? { kept: result.value.ids } : refuse(result.problems);
	},
	method: async ({ request, locals }) => {
		const read = await readForm(request, methodInput);
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!, read.key);
		const result = await perform(locals.app.books, addMethod, read.value, at);
		return result.ok ? { added: result.value.name } : refuse(result.problems);
	},
	drop: async ({ request, locals }) => {
		const read = await readForm(request, ids);
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!, read.key);
		const result = await perform(locals.app.books, dropDrafts, read.value.ids, at);
		return result.ok ? { dropped: read.value.ids.length } : refuse(result.problems);
	},
	post: async ({ request, locals }) => {
		const read = await readForm(request, ids);
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!, read.key);
		const result = await perform(locals.app.books, postDrafts, read.value, at);
		return result.ok ? { done: result.value.actIds } : refuse(result.problems);
	},
	slip: async ({ request, locals }) => {
		const read = await readForm(request, ids.extend({ bankAccountId: z.number().int() }));
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!, read.key);
		const { bankAccountId, ids: receiptIds } = read.value;
		const result = await perform(locals.app.books, makeSlip, { bankAccountId, receiptIds }, at);
		if (!result.ok) return refuse(result.problems);
		redirect(303, `/money-in/slips/${result.value.slipId}`);
	}
};

import { redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { makeSlip } from '$lib/server/receipts/commands/make-paying-in-slip';
import { postManualReceipts } from '$lib/server/receipts/commands/post-manual-receipts';
import { mayAct, view } from '$lib/server/platform/http/view';
import { waysToPay } from '$lib/server/receipts/queries/ways-to-pay';
import { readPasted } from '$lib/server/receipts/store/read-pasted';
import { lookAtManualReceipts } from '$lib/server/receipts/queries/manual-receipts';
import { action, shaped } from '$lib/server/platform/http/action';
import { addMethod } from '$lib/server/firm/commands/add-method';
import { dropManualReceipts, keepManualReceipts } from '$lib/server/receipts/commands/manual-receipts';
import { ok } from '$lib/core/result';
import { voidReceipt } from '$lib/server/receipts/commands/void-receipt';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const hand = await view(locals, lookAtManualReceipts, null);
	return { ...hand, mayAct: mayAct(locals) };
};

export const actions = {
	keep: action(keepManualReceipts),
	paste: action(keepManualReceipts, {
		prepare: async (fields, _, { locals }, ctx) => {
			const read = shaped(z.object({ text: z.string().max(500_000) }), fields);
			if (!read.ok) return read;
			const { db } = locals.app.books;
			const rows = await readPasted(db, read.value.text, ctx.today, await waysToPay(db));
			return rows.ok ? ok({ rows: rows.value }) : rows;
		}
	}),
	method: action(addMethod),
	drop: action(dropManualReceipts),
	post: action(postManualReceipts),
	void: action(voidReceipt),
	slip: action(makeSlip, { then: ({ slipId }) => redirect(303, `/money-in/slips/${slipId}`) })
};

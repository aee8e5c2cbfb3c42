import { asc, eq, inArray } from 'drizzle-orm';
import { z } from 'zod';
import { documentsPaid } from '../../../core/2-receipts/documents-paid';
import type { OpenItem } from '../../../core/model/records';
import type { Tx } from '../../platform/db/open';
import { customer, manualReceipt } from '../../platform/db/schema';
import { openItemsOf } from '../../documents/store/open-items';
import { postByHand } from './post-by-hand';
import { DomainError } from '../../act/domain-error';
import { idField } from '../../act/fields';
import { defineAct } from '../../act/define-act';

export const postManualReceiptsInput = z.object({
	ids: z.array(idField).min(1, 'Choose something first.').max(2000)
});

/**
 * Posts rows recorded by hand, all or none, whoever typed them: each becomes a receipt of its customer, allocated to the
 * documents it names, on the oldest, or on account; its money is on its way until the bank shows it. Dated ones wait.
 */
export const postManualReceipts = defineAct({
	kind: 'post-manual-receipts',
	role: 'clerk',
	input: postManualReceiptsInput,
	run: async (ctx, input): Promise<{ actId: number; count: number }> => {
		const { tx } = ctx;
		const rows = await tx
			.select({ draft: manualReceipt, name: customer.name })
			.from(manualReceipt)
			.innerJoin(customer, eq(customer.id, manualReceipt.customerId))
			.where(inArray(manualReceipt.id, [...input.ids]))
			.orderBy(asc(manualReceipt.id));
		if (rows.length !== input.ids.length) throw new DomainError({ code: 'draft-gone' });
		const dated = rows.find(({ draft }) => draft.date > ctx.today);
		if (dated) throw new DomainError({ code: 'draft-dated', customer: dated.name, date: dated.draft.date });
		const actId = await ctx.record({
			summary: { count: rows.length },
			facts: { rows: rows.map(({ draft }) => draft) }
		});
		for (const { draft, name } of rows) {
			const {
				customerId,
				method,
				reference,
				date,
				amount,
				currency,
				typedBy: by,
				paidIntoId,
				isPettyCash
			} = draft;
			const lines = await linesOf(tx, draft, name);
			const paidInto = { paidIntoId, isPettyCash };
			await postByHand(ctx, {
				...{ customerId, name, method, reference, date, amount, currency, by, paidInto, lines }
			});
		}
		await tx.delete(manualReceipt).where(inArray(manualReceipt.id, [...input.ids]));
		return { actId, count: rows.length };
	}
});

/** The documents named, else the oldest first, as far as the money goes. */
async function linesOf(tx: Tx, draft: typeof manualReceipt.$inferSelect, name: string) {
	if (draft.pays === 'account') return [];
	const open = (await openItemsOf(tx, [draft.customerId]))
		.filter((item) => item.currency === draft.currency && item.kind !== 'claim')
		.sort((a, b) => (a.due < b.due ? -1 : a.due > b.due ? 1 : a.id - b.id));
	const wanted =
		draft.pays === 'oldest'
			? open.filter((item) => item.kind !== 'credit_note')
			: itemsNamed(draft.pays, open, name);
	const credits = wanted.filter((item) => item.kind === 'credit_note');
	let left = draft.amount + credits.reduce((sum, item) => sum + item.open, 0);
	const lines = credits.map((item) => ({
		itemId: item.id,
		version: item.version,
		cash: -item.open
	}));
	for (const item of wanted) {
		if (item.kind === 'credit_note' || left <= 0) continue;
		const cash = Math.min(left, item.open);
		left -= cash;
		lines.push({ itemId: item.id, version: item.version, cash });
	}
	return lines;
}

/** The items that are named; a number that is not open on the account is refused. */
export function itemsNamed(pays: string, open: readonly OpenItem[], customer: string): readonly OpenItem[] {
	const { items, missing } = documentsPaid(pays, open);
	if (missing.length > 0)
		throw new DomainError(...missing.map((number) => ({ code: 'not-open', number, customer }) as const));
	return items;
}

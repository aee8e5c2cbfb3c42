import { ZERO } from '../../../core/money/minor';
import { asc, eq, inArray } from 'drizzle-orm';
import { z } from 'zod';
import { documentsPaid } from '../../../core/2-receipts/documents-paid';
import type { OpenItem } from '../../../core/model/records';
import type { Tx } from '../../platform/db/open';
import { customer, manualReceipt, receipt, receiptState } from '../../platform/db/schema';
import { openItemsOf } from '../../documents/store/open-items';
import { takeId } from '../../platform/db/take-ids';
import { waitingState } from '../store/receipt-states';
import { DomainError } from '../../act/domain-error';
import { idField } from '../../act/fields';
import { defineAct, type ActContext } from '../../act/define-act';
import { postAllocation } from '../../allocation/commands/allocate-receipt';

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
		for (const { draft, name } of rows) await postOne(ctx, draft, name);
		await tx.delete(manualReceipt).where(inArray(manualReceipt.id, [...input.ids]));
		return { actId, count: rows.length };
	}
});

async function postOne(
	ctx: ActContext,
	draft: typeof manualReceipt.$inferSelect,
	name: string
): Promise<void> {
	const { tx } = ctx;
	const id = await takeId(tx, receipt);
	await tx.insert(receipt).values({
		id,
		bankEntryId: null,
		method: draft.method,
		knownCustomerId: draft.customerId,
		booked: draft.date,
		amount: draft.amount,
		currency: draft.currency,
		payerName: name,
		text: draft.reference,
		charges: ZERO
	});
	await tx.insert(receiptState).values(waitingState(id, draft.date, 0));
	const { typedBy: by, method, reference } = draft;
	await postAllocation(
		ctx.part('allocate-receipt'),
		{
			...{ receiptId: id, receiptVersion: 1, customerId: draft.customerId },
			lines: await linesOf(tx, draft, name)
		},
		{ reasons: [{ code: 'recorded-by-hand', by, method, reference }] }
	);
}

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
		cash: -item.open,
		differences: []
	}));
	for (const item of wanted) {
		if (item.kind === 'credit_note' || left <= 0) continue;
		const cash = Math.min(left, item.open);
		left -= cash;
		lines.push({ itemId: item.id, version: item.version, cash, differences: [] });
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

import { eq, inArray } from 'drizzle-orm';
import { journalOfPosting } from '../../../core/5-journal/journal-of-posting';
import { reverseJournal } from '../../../core/5-journal/reverse-journal';
import { reductionsOf } from '../../../core/4-allocation/reductions-of';
import { CHART } from '../../../core/5-journal/chart';
import type { Day } from '../../../core/day/day';
import type { Allocation, Difference } from '../../../core/model/posting';
import { minor, ZERO } from '../../../core/money/minor';
import type { Tx } from '../../platform/db/open';
import {
	act,
	allocation,
	receiptAdjustment,
	customer,
	difference,
	document,
	item,
	itemState,
	receipt,
	receiptState,
	returnedPayment
} from '../../platform/db/schema';
import { moveReceipt } from '../../receipts/store/receipt-states';
import { refuseUndone } from '../../act/refuse-undone';
import { DomainError } from '../../act/domain-error';
import { nextNumber } from '../../documents/store/next-number';
import type { JournalLine } from '../../../core/model/journal';
import { journalOf } from '../../ledger/store/journal-of';
import { postJournal } from '../../ledger/store/post-journal';
import { returnedPayments } from '../store/returned-payments';
import { numberPosting } from '../../allocation/store/number-posting';
import { writeReductions } from '../../reductions/store/write-reductions';
import { writePosting } from '../../allocation/store/write-posting';
import { accountingDate } from '../../receipts/commands/accounting-day';
import { issue } from '../../documents/commands/issue-documents';
import { defineAct, type ActContext } from '../../act/define-act';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { actIdInput } from '../../act/fields';
import { saidOf } from '../../act/said';

/**
 * Takes a returned payment back that was none: its money is the customer's again, on the items it had settled as far as they
 * are still open, the rest on account; the bank's fee is taken back; a charge that nobody paid is credited. Refused while
 * a debit entry of the bank shows the return.
 */
export const undoReturn = defineAct({
	kind: 'undo-return',
	role: 'clerk',
	input: actIdInput,
	run: async (ctx, input): Promise<{ actId: number }> => {
		const { tx } = ctx;
		const first = await tx.select().from(act).where(eq(act.id, input.actId)).get();
		const made = await tx.select().from(returnedPayment).where(eq(returnedPayment.actId, input.actId)).get();
		if (!first || !made) throw new DomainError({ code: 'not-found', what: 'returned payment' });
		await refuseUndone(tx, first.id);
		const [back] = await returnedPayments(tx, { id: made.id });
		if (back!.moneyShown || back!.feeShown)
			throw new DomainError({ code: 'credit-in-use', what: 'the bank’s entry that shows the return' });
		const date = await accountingDate(tx, ctx.today);
		const now = await tx
			.select({ state: receiptState, currency: receipt.currency })
			.from(receiptState)
			.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
			.where(eq(receiptState.receiptId, made.receiptId))
			.get();
		const again = await whatItSettled(tx, made.actId, now!.currency);
		const used = again.allocations.reduce(
			(sum, one) => ({ amount: sum.amount + one.creditAmount, base: sum.base + one.creditBase }),
			{ amount: 0, base: 0 }
		);
		const change = (await tx
			.select()
			.from(receiptAdjustment)
			.where(eq(receiptAdjustment.actId, first.id))
			.get())!;
		const posting = await numberPosting(tx, {
			...again,
			receiptAdjustments: [
				{
					...{ receiptId: made.receiptId, customerId: made.customerId, currency: made.currency },
					...{ kind: 'returned' as const, amount: minor(made.amount), base: minor(made.base) }
				}
			],
			credits: []
		});
		const actId = await ctx.record({
			date,
			summary: { of: saidOf(first) },
			facts: { undoes: first.id, placed: again.allocations.length },
			customerId: made.customerId,
			receiptId: made.receiptId,
			undoesId: first.id
		});
		await writePosting(
			tx,
			{ actId, date, receiptId: made.receiptId },
			{ ...posting, receiptAdjustments: [] }
		);
		await writeReductions(ctx, actId, reductionsOf({ ...posting, receiptAdjustments: [] }));
		await tx.insert(receiptAdjustment).values({
			...{ id: posting.receiptAdjustments[0]!.id, actId, date, kind: 'returned' },
			...{ receiptId: made.receiptId, customerId: made.customerId },
			...{ amount: made.amount, base: made.base, undoesId: change.id }
		});
		await moveReceipt(tx, { id: made.receiptId, state: now!.state.state }, 'undo_return', actId, {
			onAccount: minor(now!.state.onAccount + made.amount - used.amount),
			onAccountBase: minor(now!.state.onAccountBase + made.base - used.base)
		});
		await postJournal(tx, actId, date, [
			...journalOfPosting(null, posting, { receiptId: made.receiptId }),
			...reverseJournal(await feeLines(tx, first.id))
		]);
		if (made.chargeId !== null) await creditCharge(ctx, made.chargeId, date);
		return { actId };
	}
});

/** The lines of the bank's fee in the journal of the return. */
async function feeLines(tx: Tx, actId: number): Promise<JournalLine[]> {
	// The fee's two lines are the last: differences that go back may be on the same account.
	const lines = (await journalOf(tx, actId)).slice(-2);
	const [fee] = lines;
	return fee?.account === CHART.bankCharges.code && fee.amount > 0 ? lines : [];
}

/** What the return took off, to be allocated again as far as the items are open for it; a difference goes with its item. */
async function whatItSettled(tx: Tx, actId: number, currency: string) {
	const rows = await tx
		.select({ part: allocation, owner: document.customerId, currency: document.currency })
		.from(allocation)
		.innerJoin(item, eq(item.id, allocation.itemId))
		.innerJoin(document, eq(document.id, item.documentId))
		.where(eq(allocation.actId, actId));
	const gaps = await tx
		.select({ gap: difference, owner: document.customerId, currency: document.currency })
		.from(difference)
		.innerJoin(item, eq(item.id, difference.itemId))
		.innerJoin(document, eq(document.id, item.documentId))
		.where(eq(difference.actId, actId));
	const ids = [...new Set([...rows.map(({ part }) => part.itemId), ...gaps.map(({ gap }) => gap.itemId)])];
	const states = await tx.select().from(itemState).where(inArray(itemState.itemId, ids));
	const items = new Map(states.map((row) => [row.itemId, { open: row.open, base: row.openBase }]));
	const allocations: Allocation[] = [];
	const differences: Difference[] = [];
	for (const itemId of ids) {
		const own = rows.filter(({ part }) => part.itemId === itemId);
		const total = own.reduce(
			(sum, { part }) => ({
				amount: sum.amount - part.amount,
				creditAmount: sum.creditAmount - part.creditAmount,
				itemBase: sum.itemBase - part.itemBase,
				creditBase: sum.creditBase - part.creditBase
			}),
			{ amount: 0, creditAmount: 0, itemBase: 0, creditBase: 0 }
		);
		// A claim is decided anew, by a person: it is not split off again here.
		const back = gaps.filter(({ gap }) => gap.itemId === itemId && gap.amount < 0 && gap.kind !== 'claim');
		const closes = back.reduce((sum, { gap }) => sum - gap.amount, 0);
		const state = items.get(itemId)!;
		if (total.amount <= 0 || total.amount + closes > state.open) continue;
		const [one] = own;
		allocations.push({
			source: { receiptId: one!.part.receiptId! },
			...{ creditCustomerId: one!.part.creditCustomerId, creditCurrency: currency },
			...{ itemId, itemCustomerId: one!.owner, itemCurrency: one!.currency },
			...{ amount: minor(total.amount), creditAmount: minor(total.creditAmount) },
			...{ itemBase: minor(total.itemBase), creditBase: minor(total.creditBase) }
		});
		for (const { gap, owner, currency: of } of back)
			differences.push({
				...{ itemId, customerId: owner, currency: of, kind: gap.kind as Difference['kind'] },
				...{ amount: minor(-gap.amount), base: minor(-gap.base) }
			});
		const base = total.itemBase - back.reduce((sum, { gap }) => sum + gap.base, 0);
		items.set(itemId, {
			open: minor(state.open - total.amount - closes),
			base: minor(state.base - base)
		});
	}
	return {
		allocations,
		differences,
		changes: [...items].map(([itemId, { open, base }]) => ({
			...{ itemId, open: minor(open), openBase: minor(base) }
		}))
	};
}

/** A charge that is owed whole is credited; one that was paid stays for a person to decide. */
async function creditCharge(ctx: ActContext, chargeId: number, date: Day): Promise<void> {
	const { tx } = ctx;
	const charge = await tx
		.select({ document, id: item.id, total: item.total, state: itemState, name: customer.name })
		.from(document)
		.innerJoin(item, eq(item.documentId, document.id))
		.innerJoin(itemState, eq(itemState.itemId, item.id))
		.innerJoin(customer, eq(customer.id, document.customerId))
		.where(eq(document.id, chargeId))
		.get();
	if (!charge || charge.state.open !== charge.total) return;
	const { customerId, currency, number } = charge.document;
	const net = minor(charge.total);
	const { documentIds } = await issue(ctx, [
		{
			...{ kind: 'credit_note', number: await nextNumber(tx, 'credit_note'), customerId, issued: date },
			...{ currency, text: `credit for ${number}` },
			lines: [{ text: `Credit for ${number}`, net, taxBasisPoints: 0, tax: ZERO }],
			instalments: [{ due: date, amount: net }],
			...{ purchaseOrder: null, orderReference: null, paymentReference: null },
			...{ discountBasisPoints: null, discountUntil: null }
		}
	]);
	const note = await tx.select({ id: item.id }).from(item).where(eq(item.documentId, documentIds[0]!)).get();
	await ctx.run(allocateReceipt, {
		...{ receiptId: null, receiptVersion: null, customerId, date },
		lines: [
			{ itemId: charge.id, version: charge.state.version, cash: net, differences: [] },
			{ itemId: note!.id, version: 1, cash: -net, differences: [] }
		]
	});
}

import { and, eq, gt, inArray, ne, notInArray } from 'drizzle-orm';
import { isWaiting } from '../../../core/2-receipts/receipt-life';
import { reversePosting } from '../../../core/4-allocation/reverse-posting';
import { reverseJournal } from '../../../core/5-journal/reverse-journal';
import { minor, ZERO } from '../../../core/money/minor';
import type { Tx } from '../../platform/db/open';
import {
	act,
	allocation,
	claim,
	receiptAdjustment,
	difference,
	document,
	item,
	itemState,
	receipt,
	receiptState,
	refundFile,
	refundInFile,
	bankReturnMatch,
	bankMatch,
	standingAllocation,
	standingBankMatch,
	standingReceiptAdjustment
} from '../../platform/db/schema';
import { unlearnUsualLine } from '../../receipts/store/usual-lines';
import { releaseAdvice } from '../../receipts/store/kept-advices';
import { changeItems } from '../../documents/store/change-items';
import { reopenClaims, withdrawClaims } from '../../claims/store/claim-states';
import { changeCredits, moveReceipt } from '../../receipts/store/receipt-states';
import { postingAsItStands } from '../store/posting-as-it-stands';
import { undoneSource, writeUndoing } from '../store/write-undoing';
import { postJournal } from '../../ledger/store/post-journal';
import { undoReductions, undoSomeReductions } from '../../reductions/store/write-reductions';
import { returnedPayments } from '../../returns/store/returned-payments';
import type { z } from 'zod';
import { actIdInput, dayField } from '../../act/fields';
import { kindOf } from '../../act/kinds';
import { UNDOABLE_POSTINGS } from '../../act/undoable';
import { saidOf } from '../../act/said';
import { defineAct, type ActContext } from '../../act/define-act';
import { accountingDate } from '../../receipts/commands/accounting-day';
import { refuseUndone } from '../../act/refuse-undone';
import { DomainError } from '../../act/domain-error';

export const undoPostingInput = actIdInput.extend({
	/** The accounting day; without one, that of the act, or the first open one. */
	date: dayField.optional()
});

/**
 * Undoes the allocation of money or credits, or the setting aside of money: by second records that point at the first, on
 * the same accounting day (the first open one, if that is locked). New money waits again; every item and every credit drawn
 * on is as it was. Refused where what it brought is in use: money on account allocated since, a claim decided or paid.
 */
export const undoPosting = defineAct({
	kind: 'undo-posting',
	role: 'clerk',
	input: undoPostingInput,
	run: (ctx, input) => undoOne(ctx, input, false)
});

/**
 * Undoes one posting, at the place in the record that the context has.
 * @param again true where the money is allocated again in the same transaction: then it may be at the bank already
 */
export async function undoOne(
	ctx: ActContext<'undo-posting'>,
	input: z.output<typeof undoPostingInput>,
	again: boolean
): Promise<{ actId: number }> {
	const { tx } = ctx;
	const first = await tx.select().from(act).where(eq(act.id, input.actId)).get();
	const kind = first && kindOf(first);
	if (!first || !kind || !UNDOABLE_POSTINGS.includes(kind))
		throw new DomainError({ code: 'not-found', what: 'allocation' });
	await refuseUndone(tx, first.id);
	const bringsMoney = kind !== 'allocate-credits';
	const bankMatches = await tx.select().from(bankMatch).where(eq(bankMatch.actId, first.id));
	const bankReturnMatches = await tx
		.select()
		.from(bankReturnMatch)
		.where(eq(bankReturnMatch.actId, first.id));
	if (kind === 'allocate-receipt' && !again) await refuseMatched(tx, first.receiptId!);
	if (kind === 'book-unidentified') await refuseIdentified(tx, first.id, first.receiptId!);
	await refuseCameBack(tx, first.id, first.receiptId);
	const standing = await postingAsItStands(tx, first);
	const { allocations, differences, receiptAdjustments } = standing;
	for (const row of receiptAdjustments) await refuseInFile(tx, row.id);
	if (bringsMoney) await refuseUsedSince(tx, standing.actIds, first.receiptId!);
	const claims = await tx
		.select({ claim, state: itemState, total: item.total, number: document.number })
		.from(claim)
		.innerJoin(document, eq(document.id, claim.documentId))
		.innerJoin(item, eq(item.documentId, claim.documentId))
		.innerJoin(itemState, eq(itemState.itemId, item.id))
		.where(and(eq(claim.actId, first.id), ne(claim.state, 'withdrawn')));
	for (const one of claims)
		if (one.claim.state !== 'open' || one.state.open !== one.total)
			throw new DomainError({ code: 'credit-in-use', what: `the claim ${one.number}` });

	const back = reversePosting(
		{
			allocations: allocations.map(asAllocation),
			differences: differences.map(asDifference),
			receiptAdjustments: receiptAdjustments.map((row) => ({
				receiptId: row.receiptId,
				amount: row.amount,
				base: row.base
			}))
		},
		await stateNow(tx, allocations, differences, receiptAdjustments)
	);
	const date = input.date ?? (await accountingDate(tx, first.date));
	const actId = await ctx.record({
		date,
		summary: { of: saidOf(first) },
		facts: { undoes: first.id },
		customerId: first.customerId,
		receiptId: first.receiptId,
		undoesId: first.id
	});
	if (standing.reductions === null) await undoReductions(tx, actId, first.id);
	else await undoSomeReductions(tx, actId, standing.reductions);
	const undoings = await writeUndoing(tx, { actId, date }, { allocations, differences, receiptAdjustments });
	if (bankMatches.length)
		await tx.insert(bankMatch).values(bankMatches.map(({ id, ...row }) => ({ ...row, actId, undoesId: id })));
	if (bankReturnMatches.length)
		await tx.insert(bankReturnMatch).values(
			bankReturnMatches.map(({ id, ...row }) => ({
				...{ ...row, actId, undoesId: id, amount: minor(-row.amount), base: minor(-row.base) }
			}))
		);
	await changeItems(tx, actId, back.changes);
	await reopenClaims(tx, back.changes);
	const withdrawn = await withdrawClaims(tx, { actId, date, receiptId: first.receiptId }, claims);
	await changeCredits(
		tx,
		actId,
		back.credits.filter((one) => !bringsMoney || one.receiptId !== first.receiptId)
	);
	if (kind === 'set-aside') await unlearn(tx, first);
	if (bringsMoney) {
		// Allocated again in the same step, the money still is what the advice announced.
		if (!again) await releaseAdvice(tx, first.receiptId!);
		const receipt = { id: first.receiptId!, state: await stateOf(tx, first.receiptId!) };
		const move = kind === 'book-unidentified' ? 'undo_unidentified' : 'undo';
		await moveReceipt(tx, receipt, move, actId, {
			...{ customerId: null, onAccount: ZERO, onAccountBase: ZERO, depositFor: null },
			...(kind === 'book-unidentified' ? { unidentifiedActId: null, unidentifiedBase: null } : {})
		});
	}
	await postJournal(
		tx,
		actId,
		date,
		reverseJournal(standing.lines, undoneSource(actId, undoings, withdrawn))
	);
	return { actId };
}

/** What a setting aside taught is taken back with it. */
async function unlearn(tx: Tx, first: typeof act.$inferSelect): Promise<void> {
	const row = await tx.select().from(receipt).where(eq(receipt.id, first.receiptId!)).get();
	const { account } = JSON.parse(first.facts) as { account?: string };
	if (row && account) await unlearnUsualLine(tx, row, account);
}

async function stateOf(tx: Tx, receiptId: number) {
	const row = await tx
		.select({ state: receiptState.state })
		.from(receiptState)
		.where(eq(receiptState.receiptId, receiptId))
		.get();
	return row!.state;
}

/** Money that was booked to unidentified receipts and allocated since has to be taken off there first. */
async function refuseIdentified(tx: Tx, actId: number, receiptId: number): Promise<void> {
	const now = await tx.select().from(receiptState).where(eq(receiptState.receiptId, receiptId)).get();
	if (!now || !isWaiting(now.state) || now.unidentifiedActId !== actId)
		throw new DomainError({ code: 'credit-in-use', what: 'the money, which is allocated by now' });
}

/** A refund that went to the bank in a file is on its way: it cannot be taken back here. */
async function refuseInFile(tx: Tx, receiptAdjustmentId: number): Promise<void> {
	const row = await tx
		.select({ name: refundFile.name })
		.from(refundInFile)
		.innerJoin(refundFile, eq(refundFile.id, refundInFile.fileId))
		.where(eq(refundInFile.receiptAdjustmentId, receiptAdjustmentId))
		.get();
	if (row) throw new DomainError({ code: 'credit-in-use', what: `the refund in ${row.name}` });
}

/** Money recorded by hand that the bank shows by now is there: its allocation may be changed, but not taken back to waiting. */
async function refuseMatched(tx: Tx, receiptId: number): Promise<void> {
	const row = await tx
		.select()
		.from(standingBankMatch)
		.where(eq(standingBankMatch.recordedId, receiptId))
		.get();
	if (row) throw new DomainError({ code: 'credit-in-use', what: 'the bank’s entry that it was matched to' });
}

/** Of a payment that came back since nothing is left to take off: the return took it off. What was allocated after it stands by itself. */
async function refuseCameBack(tx: Tx, actId: number, receiptId: number | null): Promise<void> {
	const drawn = await tx
		.selectDistinct({ id: allocation.receiptId })
		.from(allocation)
		.where(eq(allocation.actId, actId));
	const ids = new Set([...drawn.flatMap((row) => row.id ?? []), ...(receiptId === null ? [] : [receiptId])]);
	for (const id of ids) {
		const back = (await returnedPayments(tx, { receiptId: id })).find((one) => one.actId > actId);
		if (back)
			throw new DomainError({ code: 'came-back', payer: back.payerName ?? back.customer, date: back.date });
	}
}

/** Money that was allocated since, or paid back, has to be taken off there first. */
async function refuseUsedSince(tx: Tx, actIds: readonly number[], receiptId: number): Promise<void> {
	for (const table of [standingAllocation, standingReceiptAdjustment]) {
		const used = await tx
			.select({ id: table.id })
			.from(table)
			.where(
				and(eq(table.receiptId, receiptId), gt(table.actId, actIds[0]!), notInArray(table.actId, [...actIds]))
			)
			.limit(1);
		if (used.length)
			throw new DomainError({ code: 'credit-in-use', what: 'what of this money lay on account' });
	}
}

async function stateNow(
	tx: Tx,
	allocations: readonly (typeof allocation.$inferSelect)[],
	differences: readonly (typeof difference.$inferSelect)[],
	receiptAdjustments: readonly (typeof receiptAdjustment.$inferSelect)[]
) {
	const itemIds = new Set<number>([...allocations, ...differences].map((row) => row.itemId));
	for (const row of allocations) if (row.creditItemId !== null) itemIds.add(row.creditItemId);
	const receiptIds = new Set([...allocations, ...receiptAdjustments].flatMap((row) => row.receiptId ?? []));
	const items = await tx
		.select()
		.from(itemState)
		.where(inArray(itemState.itemId, [...itemIds]));
	const credits = await tx
		.select()
		.from(receiptState)
		.where(inArray(receiptState.receiptId, [...receiptIds]));
	return {
		items: items.map((row) => ({
			itemId: row.itemId,
			open: row.open,
			openBase: row.openBase
		})),
		credits: credits.map((row) => ({
			receiptId: row.receiptId,
			onAccount: row.onAccount,
			onAccountBase: row.onAccountBase
		}))
	};
}

function asAllocation(row: typeof allocation.$inferSelect) {
	return {
		source: row.receiptId !== null ? { receiptId: row.receiptId } : { itemId: row.creditItemId! },
		itemId: row.itemId,
		amount: row.amount,
		creditAmount: row.creditAmount,
		itemBase: row.itemBase,
		creditBase: row.creditBase
	};
}

function asDifference({ itemId, amount, base }: typeof difference.$inferSelect) {
	return { itemId, amount: minor(amount), base: minor(base) };
}

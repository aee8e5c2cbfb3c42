import { and, eq, inArray } from 'drizzle-orm';
import { z } from 'zod';
import { postReturn, type PostedReturn } from '../../../core/4-allocation/post-return';
import { journalOfBankFee } from '../../../core/5-journal/journal-of-bank-fee';
import { journalOfPosting } from '../../../core/5-journal/journal-of-posting';
import type { Day } from '../../../core/day/day';
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
	returnedPayment
} from '../../platform/db/schema';
import { shortDay } from '../../../words';
import { moveReceipt } from '../../receipts/store/receipt-states';
import { issueCharge } from './issue-charge';
import { DomainError } from '../../act/domain-error';
import { reopenClaims, withdrawClaims } from '../../claims/store/claim-states';
import { paymentBack } from '../../allocation/store/payment-back';
import { postJournal } from '../../ledger/store/post-journal';
import type { JournalLine } from '../../../core/model/journal';
import type { NumberedPosting } from '../../../core/model/posting';
import { numbered } from '../../allocation/store/number-posting';
import { writeUndoing } from '../../allocation/store/write-undoing';
import { undoSomeReductions } from '../../reductions/store/write-reductions';
import { writePosting } from '../../allocation/store/write-posting';
import { chosenDate, converter } from '../../receipts/commands/accounting-day';
import { defineAct } from '../../act/define-act';
import { amountField, dayField, sumField } from '../../act/fields';
import { matchBankReturn, type ReturnPart } from './match-bank-return';

const amount = sumField;

/** What the screen for a returned payment sends. Amounts in minor units of the payment's currency. */
export const returnInput = z.object({
	receiptId: z.number().int(),
	receiptVersion: z.number().int(),
	amount: amountField,
	date: dayField.nullable(),
	reason: z.string().trim().min(1, 'Say why it was returned.').max(35),
	note: z.string().trim().max(500).default(''),
	/** What the bank charges for it. */
	fee: amount.default(ZERO),
	/** What the customer is charged for it; nought for nothing. */
	charge: amount.default(ZERO),
	/** Differences booked with the payment that go back too. */
	differencesBack: z.array(z.number().int()).max(5000).default([]),
	/** Allocations that are taken off before others. */
	first: z.array(z.number().int()).max(5000).default([]),
	/** The bank's debit entry that shows it, where it is there. */
	shown: z
		.object({
			receiptId: z.number().int(),
			receiptVersion: z.number().int(),
			part: z.enum(['money', 'both'])
		})
		.nullable()
		.default(null)
});

/**
 * A payment comes back, all of it or a part: its allocations are taken off, so that the invoices are owed again from their first
 * due day; differences booked with it go back where asked; the bank's fee is booked and charged on; the bank's debit entry
 * is met where it is there already. One act, dated in an open period.
 */
export const returnPayment = defineAct({
	kind: 'return-payment',
	role: 'clerk',
	input: returnInput,
	run: async (ctx, input): Promise<{ actId: number }> => {
		const { tx } = ctx;
		const found = await tx
			.select({ row: receipt, state: receiptState })
			.from(receiptState)
			.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
			.where(eq(receiptState.receiptId, input.receiptId))
			.get();
		const standing = found && (await paymentBack(tx, input.receiptId));
		if (!found || !standing) throw new DomainError({ code: 'not-found', what: 'allocated payment' });
		if (found.state.version !== input.receiptVersion) {
			const last = await tx.select().from(act).where(eq(act.id, found.state.lastActId)).get();
			throw new DomainError({ code: 'receipt-taken', who: last!.userName, at: last!.at, to: null });
		}
		const date = await chosenDate(tx, input.date, ctx.today);
		if (date < found.row.booked)
			throw new DomainError({
				...{ code: 'field', field: 'date' },
				message: `It cannot have been returned before it came, on ${shortDay(found.row.booked)}.`
			});
		const back = postReturn({
			...standing,
			amount: minor(input.amount),
			differencesBack: input.differencesBack,
			first: input.first
		});
		if (!back.ok) throw new DomainError(...back.problems);
		await refuseSettledClaims(tx, back.value, standing);

		const { currency } = standing;
		const toBase = await converter(tx, currency, date);
		const fee = minor(input.fee);
		const feeBase = fee === 0 ? ZERO : toBase(fee);
		const actId = await ctx.record({
			date,
			summary: { amount: input.amount, currency, payer: found.row.payerName },
			facts: { ...input, takenOff: back.value.takenOff, again: back.value.again.length },
			customerId: standing.customerId,
			receiptId: input.receiptId
		});
		const lines = await writeBack(tx, { actId, date, receiptId: input.receiptId }, back.value);
		const [left] = back.value.posting.credits;
		await moveReceipt(tx, { id: input.receiptId, state: found.state.state }, 'return', actId, {
			...{ onAccount: left!.onAccount, onAccountBase: left!.onAccountBase },
			...(left!.onAccount === 0 ? { depositFor: null } : {})
		});
		await postJournal(tx, actId, date, [
			...lines,
			...journalOfBankFee({ amount: fee, base: feeBase, currency })
		]);
		const chargeId = input.charge
			? await issueCharge(ctx, { ...standing, date, charge: input.charge, paidOn: found.row.booked })
			: null;
		const [change] = back.value.posting.receiptAdjustments;
		const { id } = await tx
			.insert(returnedPayment)
			.values({
				...{ actId, date, receiptId: input.receiptId, customerId: standing.customerId, currency },
				...{ amount: input.amount, base: minor(-change!.base), fee, feeBase },
				...{ reason: input.reason, note: input.note, chargeId },
				opened: [
					...new Set(
						standing.allocations
							.filter((one) => back.value.takenOff.includes(one.id))
							.map((one) => one.itemId)
					)
				]
			})
			.returning({ id: returnedPayment.id })
			.get();
		if (input.shown) {
			const part: ReturnPart = input.shown.part === 'both' && fee > 0 ? 'both' : 'money';
			const { receiptId, receiptVersion } = input.shown;
			await ctx.run(matchBankReturn, {
				...{ receiptId, receiptVersion, returnedId: id, part, restIsCharge: false }
			});
		}
		return { actId };
	}
});

/** A claim may go back with the payment only while nothing was decided about it. */
async function refuseSettledClaims(
	tx: Tx,
	back: PostedReturn,
	standing: { readonly differences: readonly { id: number; kind: string; itemId: number }[] }
): Promise<void> {
	for (const one of await claimsBack(tx, back, standing))
		if (one.claim.state !== 'open' || one.state.open !== one.total)
			throw new DomainError({
				code: 'credit-in-use',
				what: `the claim ${one.number}, which was decided or paid`
			});
}

/** Deductions that go back count no more. */
async function reductionsBack(tx: Tx, differences: readonly (typeof difference.$inferSelect)[]) {
	const owners = await tx
		.select({ id: item.id, customerId: item.customerId })
		.from(item)
		.where(
			inArray(
				item.id,
				differences.map((one) => one.itemId)
			)
		);
	const byItem = new Map(owners.map((row) => [row.id, row.customerId]));
	return differences.flatMap(({ actId, kind, base, itemId }) =>
		kind === 'settled_before' ? [] : [{ actId, kind, base, customerId: byItem.get(itemId)! }]
	);
}

/** The claims that were split off by the differences that go back. */
async function claimsBack(
	tx: Tx,
	back: Pick<PostedReturn, 'differencesBack'>,
	standing: { readonly differences: readonly { id: number; kind: string; itemId: number }[] }
) {
	const from = standing.differences.filter(
		(one) => one.kind === 'claim' && back.differencesBack.includes(one.id)
	);
	if (from.length === 0) return [];
	const acts = tx
		.select({ id: difference.actId })
		.from(difference)
		.where(
			inArray(
				difference.id,
				from.map((one) => one.id)
			)
		);
	return tx
		.select({ claim, state: itemState, total: item.total, number: document.number })
		.from(claim)
		.innerJoin(document, eq(document.id, claim.documentId))
		.innerJoin(item, eq(item.documentId, claim.documentId))
		.innerJoin(itemState, eq(itemState.itemId, item.id))
		.where(
			and(
				inArray(claim.actId, acts),
				inArray(
					claim.fromItemId,
					from.map((one) => one.itemId)
				)
			)
		);
}

/** Writes what is taken off as second records that point at the first, and what is allocated anew; returns the journal of it. */
async function writeBack(
	tx: Tx,
	at: { readonly actId: number; readonly date: Day; readonly receiptId: number },
	back: PostedReturn
): Promise<JournalLine[]> {
	const allocations = await tx
		.select()
		.from(allocation)
		.where(inArray(allocation.id, [...back.takenOff]));
	const differences = await tx
		.select()
		.from(difference)
		.where(inArray(difference.id, [...back.differencesBack]));
	const claims = await claimsBack(tx, back, {
		differences: differences.map(({ id, kind, itemId }) => ({ id, kind, itemId }))
	});
	const { actId, date, receiptId } = at;
	await undoSomeReductions(tx, actId, await reductionsBack(tx, differences));
	const undoings = await writeUndoing(
		tx,
		{ actId, date },
		{ allocations, differences, receiptAdjustments: [] }
	);
	const again = await numbered(tx, allocation, back.again);
	const receiptAdjustments = await numbered(tx, receiptAdjustment, back.posting.receiptAdjustments);
	const { changes, credits } = back.posting;
	await writePosting(tx, at, {
		allocations: again,
		differences: [],
		receiptAdjustments,
		changes,
		credits: []
	});
	await reopenClaims(tx, changes);
	const withdrawn = await withdrawClaims(tx, at, claims);
	const fromItems = new Map(claims.map((one) => [one.claim.fromItemId, one.claim.documentId]));
	const undoing = (kind: string, id: number) => undoings.get(`${kind} ${id}`)!;
	const turned: NumberedPosting = {
		...{ receiptAdjustments, credits, changes },
		allocations: [
			...back.posting.allocations
				.slice(0, back.takenOff.length)
				.map((part, i) => ({ ...part, id: undoing('allocation', back.takenOff[i]!) })),
			...again
		],
		differences: back.posting.differences.map((gap, i) => ({
			...gap,
			id: undoing('deduction', back.differencesBack[i]!)
		}))
	};
	const claimSources = new Map(
		turned.differences.flatMap(({ id, kind, itemId }) => {
			const source = kind === 'claim' ? withdrawn.get(fromItems.get(itemId) ?? 0) : undefined;
			return source ? [[id, source] as const] : [];
		})
	);
	return journalOfPosting(null, turned, { receiptId, claims: claimSources });
}

import { minor, ZERO } from '../../../core/money/minor';
import { and, desc, eq, gte, gt, lte } from 'drizzle-orm';
import { typicalSums } from '../../../core/money/typical-sums';
import { findReturned, MOST_DAYS_TO_RETURN, type ReturnClue, saysReturned } from '../../../core/3-matching';
import { nameKey } from '../../../core/text/name-key';
import { addDays } from '../../../core/day/arithmetic';
import type { Db } from '../../platform/db/open';
import { customer, receipt, receiptState } from '../../platform/db/schema';
import { returnedPayments, type ReturnedPayment } from '../store/returned-payments';

/** A payment that may have come back. */
export interface AllocatedPayment {
	readonly receiptId: number;
	readonly booked: string;
	readonly amount: number;
	readonly currency: string;
	readonly payerName: string | null;
	readonly text: string;
	readonly method: string;
	readonly customer: string;
	readonly code: string;
	readonly clues: readonly ReturnClue[];
	readonly over: number;
}

/** What a debit entry of the bank may be: a return booked before, or one to be booked. */
export interface DebitMeans {
	readonly shows: readonly (ReturnedPayment & {
		readonly part: 'money' | 'fee' | 'both';
		readonly rest: number;
	})[];
	readonly payments: readonly AllocatedPayment[];
	readonly says: boolean;
}

type Debit = Pick<
	typeof receipt.$inferSelect,
	'amount' | 'currency' | 'booked' | 'payerName' | 'payerAccount' | 'endToEndId' | 'text' | 'returnReason'
>;

/** So many that fit are shown. */
export const PAYMENTS_FOUND = 6;

/** What a debit entry that waits may be the bank's showing of. */
export async function whatDebitMeans(db: Db, row: Debit): Promise<DebitMeans> {
	const shown = -row.amount;
	const { returnFeeMost } = typicalSums(row.currency);
	const waiting = (await returnedPayments(db)).filter(
		(one) => one.currency === row.currency && (!one.moneyShown || (one.fee > 0 && !one.feeShown))
	);
	const shows = waiting.flatMap((one) => {
		const parts: ['money' | 'fee' | 'both', number][] = [];
		if (!one.moneyShown && one.fee > 0 && !one.feeShown) parts.push(['both', one.amount + one.fee]);
		if (!one.moneyShown) parts.push(['money', one.amount]);
		if (one.fee > 0 && !one.feeShown) parts.push(['fee', one.fee]);
		const exact = parts.find(([, amount]) => amount === shown);
		// What takes more than was booked has to be the payer's own return: it may carry the bank's fee.
		const own =
			one.payerName !== null && row.payerName !== null && nameKey(one.payerName) === nameKey(row.payerName);
		const near = parts.find(
			([part, amount]) => part !== 'fee' && shown > amount && shown - amount <= returnFeeMost
		);
		const found = exact ?? (own ? near : undefined);
		return found ? [{ ...one, part: found[0], rest: shown - found[1] }] : [];
	});
	const rows = await db
		.select({
			receiptId: receipt.id,
			booked: receipt.booked,
			amount: receipt.amount,
			currency: receipt.currency,
			payerName: receipt.payerName,
			payerAccount: receipt.payerAccount,
			endToEndId: receipt.endToEndId,
			text: receipt.text,
			method: receipt.method,
			customer: customer.name,
			code: customer.code
		})
		.from(receiptState)
		.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
		.innerJoin(customer, eq(customer.id, receiptState.customerId))
		.where(
			and(
				eq(receiptState.state, 'allocated'),
				gte(receiptState.booked, addDays(row.booked, -MOST_DAYS_TO_RETURN)),
				gt(receipt.amount, ZERO),
				gte(receipt.amount, minor(shown - returnFeeMost)),
				lte(receipt.amount, minor(shown)),
				eq(receipt.currency, row.currency)
			)
		)
		.orderBy(desc(receipt.booked))
		.limit(500);
	const back = new Set((await returnedPayments(db)).map((one) => one.receiptId));
	const free = rows.filter((one) => !back.has(one.receiptId));
	const entry = { ...row, booked: row.booked, amount: shown };
	const found = findReturned(
		entry,
		free.map((one) => ({ ...one, booked: one.booked }))
	).slice(0, PAYMENTS_FOUND);
	const byId = new Map(free.map((one) => [one.receiptId, one]));
	return {
		shows,
		says: saysReturned(entry),
		payments: (shows.some((one) => one.rest === 0) ? [] : found).map(({ receiptId, clues, over }) => ({
			...byId.get(receiptId)!,
			clues,
			over
		}))
	};
}

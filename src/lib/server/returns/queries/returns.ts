import { minor, ZERO } from '../../../core/money/minor';
import { and, desc, eq, gte, gt, inArray, like, lte, or } from 'drizzle-orm';
import { typicalSums } from '../../../core/money/typical-sums';
import { findReturned, MOST_DAYS_TO_RETURN, type ReturnClue, saysReturned } from '../../../core/3-matching';
import { nameKey } from '../../../core/text/name-key';
import { addDays } from '../../../core/day/arithmetic';
import type { Db } from '../../platform/db/open';
import {
	bankAccount,
	bankEntry,
	receiptAdjustment,
	customer,
	document,
	item,
	receipt,
	receiptState,
	refundFile,
	refundInFile,
	returnedPayment
} from '../../platform/db/schema';
import { firstOpenDay } from '../../periods/store/check-period';
import { paymentBack, type Standing } from '../../allocation/store/payment-back';
import { returnedPayments, type ReturnedPayment } from '../store/returned-payments';
import { defineLook } from '../../act/define-look';

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

const PAYMENTS_FOUND = 6;

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

/** Payments that came back, and those found to be marked so. */
export const lookAtReturns = defineLook('reader', async (db, query: string) => {
	const text = query.trim().replace(/[%_]/g, '');
	const amount = /^[\d,]+(\.\d\d)?$/.test(text)
		? Number(
				text
					.replace(/,/g, '')
					.replace(/^(\d+)$/, '$1.00')
					.replace('.', '')
			)
		: null;
	const wanted = `%${text}%`;
	const found = text
		? await db
				.select({
					receiptId: receipt.id,
					booked: receipt.booked,
					amount: receipt.amount,
					currency: receipt.currency,
					payerName: receipt.payerName,
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
						gt(receipt.amount, ZERO),
						or(
							like(customer.name, wanted),
							like(customer.code, wanted),
							like(receipt.payerName, wanted),
							like(receipt.text, wanted),
							amount === null ? undefined : eq(receipt.amount, minor(amount))
						)
					)
				)
				.orderBy(desc(receiptState.booked), desc(receipt.id))
				.limit(30)
		: [];
	return { returned: (await returnedPayments(db)).slice(0, 200), found };
});

export interface ReturnDesk {
	readonly payment: {
		readonly receiptId: number;
		readonly version: number;
		readonly booked: string;
		readonly amount: number;
		readonly currency: string;
		readonly payerName: string | null;
		readonly text: string;
		readonly method: string;
		readonly bank: string | null;
	};
	readonly customer: { readonly id: number; readonly code: string; readonly name: string };
	readonly standing: Standing;
	/** Numbers of the items, by item. */
	readonly labels: Readonly<Record<number, string>>;
	/** Names of other accounts whose items it paid, by customer. */
	readonly owners: Readonly<Record<number, string>>;
	/** The debit entries that may show it: the one asked for first. */
	readonly debits: readonly {
		readonly receiptId: number;
		readonly version: number;
		readonly booked: string;
		readonly amount: number;
		readonly text: string;
		readonly reason: string | null;
	}[];
	/** What was charged for the last return. */
	readonly lastCharge: number;
	readonly lastFee: number;
	readonly firstOpen: string | null;
	readonly before: readonly ReturnedPayment[];
}

/** A payment on the desk to be marked as returned; null where it is not allocated, or came back whole. */
export const lookAtReturn = defineLook(
	'clerk',
	async (db, input: { receiptId: number; shownId: number | null }): Promise<ReturnDesk | null> => {
		const standing = await paymentBack(db, input.receiptId);
		if (!standing) return null;
		const row = (await db
			.select({ row: receipt, state: receiptState, bank: bankAccount.name })
			.from(receiptState)
			.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
			.leftJoin(bankEntry, eq(bankEntry.id, receipt.bankEntryId))
			.leftJoin(bankAccount, eq(bankAccount.id, bankEntry.bankAccountId))
			.where(eq(receiptState.receiptId, input.receiptId))
			.get())!;
		const ids = standing.items.map((one) => one.itemId);
		const labels = await db
			.select({ id: item.id, number: document.number, part: item.part, parts: item.parts })
			.from(item)
			.innerJoin(document, eq(document.id, item.documentId))
			.where(inArray(item.id, ids));
		const owners = await db
			.select({ id: customer.id, code: customer.code, name: customer.name })
			.from(customer)
			.where(
				inArray(customer.id, [standing.customerId, ...standing.allocations.map((one) => one.itemCustomerId)])
			);
		const debits = await db
			.select({
				receiptId: receipt.id,
				version: receiptState.version,
				booked: receipt.booked,
				amount: receipt.amount,
				text: receipt.text,
				reason: receipt.returnReason
			})
			.from(receiptState)
			.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
			.where(
				and(
					inArray(receiptState.state, ['waiting', 'held']),
					eq(receipt.currency, row.row.currency),
					lte(receipt.amount, minor(-1)),
					input.shownId === null
						? and(
								lte(receipt.amount, minor(-row.row.amount)),
								gte(receipt.amount, minor(-row.row.amount - typicalSums(row.row.currency).returnFeeMost))
							)
						: eq(receipt.id, input.shownId)
				)
			)
			.limit(PAYMENTS_FOUND);
		const last = await db.select().from(returnedPayment).orderBy(desc(returnedPayment.id)).limit(1).get();
		const lastCharge = last?.chargeId
			? await db.select({ total: document.total }).from(document).where(eq(document.id, last.chargeId)).get()
			: undefined;
		const { id, booked, amount, currency, payerName, text, method } = row.row;
		return {
			payment: {
				...{ receiptId: id, version: row.state.version, booked, amount, currency, payerName, text, method },
				bank: row.bank
			},
			customer: owners.find((one) => one.id === standing.customerId)!,
			standing,
			labels: Object.fromEntries(
				labels.map((one) => [
					one.id,
					one.parts > 1 ? `${one.number} (${one.part} of ${one.parts})` : one.number
				])
			),
			owners: Object.fromEntries(owners.map((one) => [one.id, one.name])),
			debits,
			lastCharge: lastCharge?.total ?? 0,
			lastFee: last?.fee ?? 0,
			firstOpen: await firstOpenDay(db),
			before: await returnedPayments(db, { receiptId: id })
		};
	}
);

/** One returned payment that stands. */
export const lookAtReturned = defineLook(
	'reader',
	async (db, id: number): Promise<ReturnedPayment | null> => (await returnedPayments(db, { id }))[0] ?? null
);

/** A refund that went to the bank in a file and may be what came in now. */
export interface RefundBack {
	readonly customerId: number;
	readonly customer: string;
	readonly amount: number;
	readonly date: string;
	readonly file: string;
}

/** Refunds of just this amount that went out within a year: of this payer, or any where the entry calls itself a return. */
export async function refundsBack(
	db: Db,
	row: Pick<
		typeof receipt.$inferSelect,
		'amount' | 'currency' | 'booked' | 'payerName' | 'text' | 'returnReason'
	>
): Promise<RefundBack[]> {
	const found = await db
		.select({
			customerId: customer.id,
			customer: customer.name,
			amount: receiptAdjustment.amount,
			date: refundFile.date,
			file: refundFile.name,
			payee: receipt.payerName
		})
		.from(refundInFile)
		.innerJoin(refundFile, eq(refundFile.id, refundInFile.fileId))
		.innerJoin(receiptAdjustment, eq(receiptAdjustment.id, refundInFile.receiptAdjustmentId))
		.innerJoin(receipt, eq(receipt.id, receiptAdjustment.receiptId))
		.innerJoin(customer, eq(customer.id, receiptAdjustment.customerId))
		.where(
			and(
				eq(receiptAdjustment.amount, minor(-row.amount)),
				eq(receipt.currency, row.currency),
				gte(refundFile.date, addDays(row.booked, -MOST_DAYS_TO_RETURN)),
				lte(refundFile.date, row.booked)
			)
		)
		.orderBy(desc(refundFile.id))
		.limit(50);
	const same = (name: string | null) =>
		name !== null && row.payerName !== null && nameKey(name) === nameKey(row.payerName);
	return found
		.filter((one) => saysReturned(row) || same(one.payee) || same(one.customer))
		.slice(0, PAYMENTS_FOUND)
		.map(({ payee: _payee, amount, ...one }) => ({ ...one, amount: -amount }));
}

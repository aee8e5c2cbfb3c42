import { append } from '../../../core/append';
import { and, inArray, or, sql } from 'drizzle-orm';
import type { Minor } from '../../../core/money/minor';
import {
	amountKey,
	booksAsked,
	numberFrames,
	type CreditOnAccount,
	type MatchBooks,
	type NumberFrame,
	type Recorded
} from '../../../core/3-matching';
import type { Customer, ReceiptFacts } from '../../../core/model/records';
import { chunks } from '../../platform/db/chunks';
import { groupBy } from '../../../core/group-by';
import type { Reader } from '../../platform/db/open';
import { customer, customerName, document, payerAccount } from '../../platform/db/schema';
import { keptAdvices } from '../../receipts/store/kept-advices';
import { habitsOf } from './lessons';
import { namesIndex } from './names-index';
import { pastFees } from './past-fees';
import { payerLessonsFor } from './payer-lessons';
import { allocatedBefore } from '../../allocation/store/allocated-before';
import { onItsWay } from '../../receipts/store/on-its-way';
import { openItemsOf } from '../../documents/store/open-items';
import { readSetting } from '../../firm/store/settings';

/**
 * Of the books, what can matter to these receipts: accounts whose payer account or name is on them, the branches of those,
 * accounts with a document that their words name, and what all of these owe. The size follows the pile, not the books.
 * @param connection what `db` reads by, where it is a transaction of its own
 */
export async function matchingBooks(
	db: Reader,
	receipts: readonly ReceiptFacts[],
	connection: object = db
): Promise<MatchBooks> {
	const asked = booksAsked(receipts, await framesOf(db), await namesIndex(db, connection));
	const ids = new Set(asked.customerIds);
	for (const part of chunks([...asked.payerAccounts]))
		for (const row of await db.select().from(payerAccount).where(inArray(payerAccount.account, part)))
			ids.add(row.customerId);
	const payerLessons = await payerLessonsFor(db, receipts);
	for (const one of payerLessons) ids.add(one.customerId);
	for (const part of chunks([...ids]))
		for (const row of await db
			.select({ id: customer.id })
			.from(customer)
			.where(inArray(customer.parentId, part)))
			ids.add(row.id);
	const recorded = (await onItsWay(db)).map((one): Recorded => ({
		label: `${one.method} ${one.reference}`.trim(),
		date: one.date,
		amount: one.amount as Minor,
		currency: one.currency,
		customerId: one.customerId
	}));
	for (const one of recorded) if (one.customerId !== null) ids.add(one.customerId);
	const advices = (await keptAdvices(db)).filter((one) =>
		asked.amounts.has(amountKey(one.total, one.currency))
	);
	for (const one of advices) ids.add(one.customerId);
	const named = await documentsNamed(db, asked.references);
	for (const row of named) ids.add(row.customerId);
	// Claims wait for a decision; money is proposed for them by nobody.
	const items = (await openItemsOf(db, [...ids])).filter((item) => item.kind !== 'claim');
	const open = new Set(items.map((item) => item.documentId));
	return {
		baseCurrency: (await readSetting(db, 'firm'))?.baseCurrency,
		customers: await customersById(db, [...ids]),
		items,
		recorded,
		advices,
		credits: await creditsOnAccount(db, [...ids]),
		payerLessons,
		allocatedBefore: await allocatedBefore(db, receipts, [...ids]),
		habits: await habitsOf(db, [...ids]),
		pastFees: await pastFees(db),
		settledNumbers: named.filter((row) => !open.has(row.id)).map((row) => row.number)
	};
}

/** Earlier money of customers that lies on account; a deposit is kept for its order. */
async function creditsOnAccount(db: Reader, ids: readonly number[]): Promise<CreditOnAccount[]> {
	return db.all<CreditOnAccount>(sql`
		select s.receipt_id as receiptId, s.customer_id as customerId, r.currency as currency, r.booked as booked,
			s.on_account as amount
		from receipt_state s join receipt r on r.id = s.receipt_id
		where s.customer_id in (select value from json_each(${JSON.stringify(ids)})) and s.on_account > 0
			and s.state = 'allocated' and s.deposit_for is null`);
}

/** What stands around the digits of the firm's newest documents. */
async function framesOf(db: Reader): Promise<NumberFrame[]> {
	const rows = await db.all<{ number: string }>(sql`select number from document order by id desc limit 1000`);
	return numberFrames(rows.map((row) => row.number));
}

async function documentsNamed(db: Reader, words: ReadonlySet<string>) {
	const found: { id: number; number: string; customerId: number }[] = [];
	const columns = { id: document.id, number: document.number, customerId: document.customerId };
	for (const part of chunks([...words]))
		append(
			found,
			await db
				.select(columns)
				.from(document)
				.where(
					or(
						inArray(document.numberKey, part),
						inArray(document.paymentReferenceKey, part),
						// An order may have many documents, most of them settled: only those still open are of use.
						and(
							inArray(document.purchaseOrderKey, part),
							sql`exists (select 1 from item i join item_state s on s.item_id = i.id where i.document_id = ${document.id} and s.open > 0)`
						)
					)
				)
		);
	return found;
}

/** Customers as matching knows them, with all their names and payer accounts. */
export async function customersById(db: Reader, ids: readonly number[]): Promise<Customer[]> {
	const out: Customer[] = [];
	for (const part of chunks(ids)) {
		const rows = await db.select().from(customer).where(inArray(customer.id, part));
		const names = await db.select().from(customerName).where(inArray(customerName.customerId, part));
		const accounts = await db.select().from(payerAccount).where(inArray(payerAccount.customerId, part));
		const namesOf = groupBy(names, (row) => row.customerId);
		const accountsOf = groupBy(accounts, (row) => row.customerId);
		for (const { id, code, name, parentId, currency } of rows)
			out.push({
				id,
				code,
				name,
				parentId,
				currency,
				otherNames: (namesOf.get(id) ?? []).map((row) => row.name).filter((other) => other !== name),
				payerAccounts: (accountsOf.get(id) ?? []).map((row) => row.account)
			});
	}
	return out;
}

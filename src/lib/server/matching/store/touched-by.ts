import { sql } from 'drizzle-orm';
import { amountKey, type PayerTrait } from '../../../core/3-matching';
import { documentsOf, marksOfDocument } from './documents-named';
import { payerMark, payerMarks } from './payer-lessons';
import type { Reader } from '../../platform/db/open';
import type { Changes } from '../../platform/db/seal/changes-since';

/** What hangs on rows that were written. */
export interface Touched {
	/** Receipts that were written: they wait, wait otherwise, or wait no longer. */
	readonly receipts: ReadonlySet<number>;
	/** Customers who owe something else, or pay in other ways, than before. */
	readonly customers: ReadonlySet<number>;
	/** What payers are known by (trait and key) that may teach something else. */
	readonly payers: ReadonlySet<string>;
	/** By what words name documents that came, or whose items are open or settled otherwise. */
	readonly references: ReadonlySet<string>;
	/** Sums that were allocated, or are no longer (`amountKey`). */
	readonly amounts: ReadonlySet<string>;
	/** Whether a receipt recorded by hand is among them. */
	readonly byHand: boolean;
	/** Whether one is among them of which a processor kept a fee. */
	readonly fees: boolean;
}

/** Reads what hangs on changes, in a handful of queries. */
export async function touchedBy(db: Reader, changes: Changes): Promise<Touched> {
	const keys = (table: string) => (changes.get(table) ?? []).map(Number);
	const receiptIds = keys('receipt_state');
	const itemIds = keys('item_state');
	const receipts = await receiptsTouched(db, receiptIds);
	const documents = await documentsOf(db, { itemIds, ids: keys('document') });
	// What an allocation taught of a habit it taught of the customer of its items.
	const lessons = await db.all<{ customerId: number }>(sql`
		select customer_id as customerId from forgotten_lesson
		where act_id in (select value from json_each(${JSON.stringify(keys('forgotten_lesson'))}))`);
	const forgotten = await db.all<{ trait: PayerTrait; key: string }>(sql`
		select trait, key from forgotten_payer
		where act_id in (select value from json_each(${JSON.stringify(keys('forgotten_payer'))}))`);
	return {
		receipts: new Set(receiptIds),
		customers: new Set([
			...receipts.flatMap((one) => one.customerId ?? []),
			...documents.map((one) => one.customerId),
			...lessons.map((one) => one.customerId)
		]),
		payers: new Set([
			...receipts.flatMap(payerMarks),
			...forgotten.map((one) => payerMark(one.trait, one.key))
		]),
		references: new Set(documents.flatMap(marksOfDocument)),
		amounts: new Set(receipts.map((one) => amountKey(one.amount, one.currency))),
		byHand: receipts.some((one) => one.byHand === 1),
		fees: receipts.some((one) => one.keeps === 1)
	};
}

interface ReceiptTouched {
	readonly customerId: number | null;
	readonly payerName: string | null;
	readonly payerAccount: string | null;
	readonly text: string;
	readonly amount: number;
	readonly currency: string;
	readonly byHand: 0 | 1;
	readonly keeps: 0 | 1;
}

function receiptsTouched(db: Reader, ids: readonly number[]): Promise<ReceiptTouched[]> {
	return db.all<ReceiptTouched>(sql`
		select s.customer_id as customerId, r.payer_name as payerName, r.payer_account as payerAccount, r.text as text,
			r.amount as amount, r.currency as currency, r.bank_entry_id is null as byHand,
			exists (select 1 from allocation a join difference d on d.act_id = a.act_id
				where a.receipt_id = r.id and d.kind = 'processor_fee') as keeps
		from receipt r join receipt_state s on s.receipt_id = r.id
		where r.id in (select value from json_each(${JSON.stringify(ids)}))`);
}

import { accountNow } from '../../customers/store/merged-accounts';
import { inArray, or, sql } from 'drizzle-orm';
import { append } from '../../../core/append';
import { chunks } from '../../platform/db/chunks';
import type { Reader } from '../../platform/db/open';
import { document } from '../../platform/db/schema';
import { STANDING_PAST } from './standing-past';

/** A document with the keys by which words may name it. */
export interface NamedDocument {
	/** Null where the books of before had it: it is settled. */
	readonly id: number | null;
	readonly number: string;
	readonly customerId: number;
	readonly numberKey: string;
	readonly paymentReferenceKey: string | null;
	readonly purchaseOrderKey: string | null;
}

/** What words may name a document by, each once. */
export function marksOfDocument(one: NamedDocument): string[] {
	const keys = [one.numberKey, one.paymentReferenceKey, one.purchaseOrderKey];
	return [...new Set(keys.flatMap((key) => key || []))];
}

const COLUMNS = {
	...{ id: document.id, number: document.number },
	customerId: accountNow(sql`${document.customerId}`)
		.mapWith(Number)
		.as('customer_now'),
	...{ numberKey: document.numberKey, paymentReferenceKey: document.paymentReferenceKey },
	purchaseOrderKey: document.purchaseOrderKey
};

/** An order may have many documents, most of them settled: only those still open are of use. */
const IS_OPEN = sql`exists (select 1 from item i join item_state s on s.item_id = i.id where i.document_id = ${document.id} and s.open > 0)`;

/**
 * Documents by their numbers, their payment references, and, as far as they are open, their orders; and those that a history says are
 * settled.
 */
export async function documentsNamed(db: Reader, references: Iterable<string>): Promise<NamedDocument[]> {
	const found = new Map<number, NamedDocument>();
	const past: NamedDocument[] = [];
	for (const part of chunks([...references])) {
		const rows = await db
			.select(COLUMNS)
			.from(document)
			.where(
				or(
					inArray(document.numberKey, part),
					inArray(document.paymentReferenceKey, part),
					sql`${inArray(document.purchaseOrderKey, part)} and ${IS_OPEN}`
				)
			);
		for (const row of rows) found.set(row.id, row);
		append(past, await pastNamed(db, part));
	}
	return [...found.values(), ...past];
}

/** Documents that payments of a history settled, and that these books do not have themselves. */
async function pastNamed(db: Reader, keys: readonly string[]): Promise<NamedDocument[]> {
	const rows = await db.all<{ number: string; customerId: number; numberKey: string }>(sql`
		select distinct n.number as number, n.number_key as numberKey, ${accountNow(sql`p.customer_id`)} as customerId
		from past_number n join past_payment p on p.id = n.past_payment_id
		where n.number_key in (select value from json_each(${JSON.stringify(keys)})) and ${STANDING_PAST}
			and not exists (select 1 from document d where d.number_key = n.number_key)`);
	return rows.map((row) => ({ ...row, id: null, paymentReferenceKey: null, purchaseOrderKey: null }));
}

/** The documents of items, and those of some numbers (`ids`), with the keys by which they may be named. */
export async function documentsOf(
	db: Reader,
	{ itemIds, ids }: { readonly itemIds: readonly number[]; readonly ids: readonly number[] }
): Promise<NamedDocument[]> {
	const found: NamedDocument[] = [];
	for (const part of chunks([...itemIds]))
		append(
			found,
			await db
				.select(COLUMNS)
				.from(document)
				.where(sql`${document.id} in (select document_id from item where id in ${part})`)
		);
	for (const part of chunks([...ids]))
		append(found, await db.select(COLUMNS).from(document).where(inArray(document.id, part)));
	return found;
}

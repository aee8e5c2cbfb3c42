import { inArray, or, sql } from 'drizzle-orm';
import { append } from '../../../core/append';
import { chunks } from '../../platform/db/chunks';
import type { Reader } from '../../platform/db/open';
import { document } from '../../platform/db/schema';

/** A document with the keys by which words may name it. */
export interface NamedDocument {
	readonly id: number;
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
	...{ id: document.id, number: document.number, customerId: document.customerId },
	...{ numberKey: document.numberKey, paymentReferenceKey: document.paymentReferenceKey },
	purchaseOrderKey: document.purchaseOrderKey
};

/** An order may have many documents, most of them settled: only those still open are of use. */
const IS_OPEN = sql`exists (select 1 from item i join item_state s on s.item_id = i.id where i.document_id = ${document.id} and s.open > 0)`;

/** Documents by their numbers, their payment references, and, as far as they are open, their orders. */
export async function documentsNamed(db: Reader, references: Iterable<string>): Promise<NamedDocument[]> {
	const found = new Map<number, NamedDocument>();
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
	}
	return [...found.values()];
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

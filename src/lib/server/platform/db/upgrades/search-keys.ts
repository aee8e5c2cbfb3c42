import { sql, type SQL } from 'drizzle-orm';
import { nameKey } from '../../../../core/text/name-key';
import { tellingWords } from '../../../../core/text/telling-words';
import { referenceKey } from '../../../../core/text/words-of-text';
import { wordsKey } from '../../../../core/text/words-key';
import { usualLine } from '../schema';
import type { Tx } from '../types';
import { withRowsOpen } from './with-rows-open';

/** So many rows are read and written at once. */
const ROWS = 5_000;

/**
 * Makes the keys anew by which customers' names and payers are looked for, from the names and texts themselves where books keep
 * them, else from the keys of before. To be run once for each version of `SEARCH_KEYS`.
 * @returns 0: every key can be made anew
 */
export async function rebuildSearchKeys(tx: Tx): Promise<number> {
	await rebuildNames(tx);
	await rebuildLessons(tx);
	await rebuildForgotten(tx);
	await rebuildDocuments(tx);
	await rebuildUsualLines(tx);
	return 0;
}

/** Names that customers are known by. */
async function rebuildNames(tx: Tx): Promise<void> {
	await inParts<{ id: number; name: string }>(
		tx,
		(from) => sql`select id, name from customer_name where id > ${from} order by id limit ${ROWS}`,
		async (rows) => {
			const keys = JSON.stringify(rows.map(({ id, name }) => [id, nameKey(name)]));
			await tx.run(sql`update customer_name set key = rows.value ->> 1
				from json_each(${keys}) as rows where customer_name.id = rows.value ->> 0`);
		}
	);
}

/** What allocations taught of payers, from their receipts. */
async function rebuildLessons(tx: Tx): Promise<void> {
	await withRowsOpen(tx, 'payer_lesson', () =>
		inParts<{ id: number; payerName: string | null; text: string }>(
			tx,
			(from) => sql`
			select l.act_id as id, r.payer_name as payerName, r.text from payer_lesson l
			join receipt r on r.id = l.receipt_id where l.act_id > ${from} order by l.act_id limit ${ROWS}`,
			async (rows) => {
				const keys = JSON.stringify(
					rows.map(({ id, payerName, text }) => [
						id,
						(payerName && nameKey(payerName)) || null,
						wordsKey(text)
					])
				);
				await tx.run(sql`update payer_lesson set name = rows.value ->> 1, words = rows.value ->> 2
				from json_each(${keys}) as rows where payer_lesson.act_id = rows.value ->> 0`);
			}
		)
	);
}

/** What was forgotten of payers: only its key was kept. */
async function rebuildForgotten(tx: Tx): Promise<void> {
	await withRowsOpen(tx, 'forgotten_payer', () =>
		inParts<{ id: number; trait: 'name' | 'words'; key: string }>(
			tx,
			(from) => sql`
			select act_id as id, trait, key from forgotten_payer
			where act_id > ${from} and trait in ('name', 'words') order by act_id limit ${ROWS}`,
			async (rows) => {
				const keys = JSON.stringify(
					rows.map(({ id, trait, key }) => [
						id,
						trait === 'name' ? nameKey(key) : tellingWords(key).join(' ') || key
					])
				);
				await tx.run(sql`update forgotten_payer set key = rows.value ->> 1
				from json_each(${keys}) as rows where forgotten_payer.act_id = rows.value ->> 0`);
			}
		)
	);
}

/** Numbers, orders and payment references of documents. */
async function rebuildDocuments(tx: Tx): Promise<void> {
	await withRowsOpen(tx, 'document', () =>
		inParts<DocumentKeys>(
			tx,
			(from) => sql`
			select id, number, purchase_order as purchaseOrder, payment_reference as paymentReference,
				number_key as numberKey, purchase_order_key as purchaseOrderKey, payment_reference_key as paymentReferenceKey
			from document where id > ${from} order by id limit ${ROWS}`,
			async (rows) => {
				const changed = rows.map(keysOfDocument).filter((keys, at) => differ(keys, rows[at]));
				if (changed.length === 0) return;
				await tx.run(sql`update document
				set number_key = rows.value ->> 1, purchase_order_key = rows.value ->> 2, payment_reference_key = rows.value ->> 3
				from json_each(${JSON.stringify(changed)}) as rows where document.id = rows.value ->> 0`);
			}
		)
	);
}

/** Usual lines; of two that come to one key, the first stays found. */
async function rebuildUsualLines(tx: Tx): Promise<void> {
	for (const { id, name } of await tx.select({ id: usualLine.id, name: usualLine.name }).from(usualLine))
		await tx.run(sql`update or ignore usual_line set name_key = ${nameKey(name)} where id = ${id}`);
}

interface DocumentKeys {
	readonly id: number;
	readonly number: string;
	readonly purchaseOrder: string | null;
	readonly paymentReference: string | null;
	readonly numberKey: string;
	readonly purchaseOrderKey: string | null;
	readonly paymentReferenceKey: string | null;
}

type Keys = readonly [
	id: number,
	number: string,
	purchaseOrder: string | null,
	paymentReference: string | null
];

function keysOfDocument({ id, number, purchaseOrder, paymentReference }: DocumentKeys): Keys {
	return [
		id,
		referenceKey(number),
		purchaseOrder && referenceKey(purchaseOrder),
		paymentReference && referenceKey(paymentReference)
	];
}

/** Most documents keep their keys: only those whose keys changed are written. */
function differ([, number, purchaseOrder, paymentReference]: Keys, row: DocumentKeys | undefined): boolean {
	return (
		number !== row?.numberKey ||
		purchaseOrder !== row.purchaseOrderKey ||
		paymentReference !== row.paymentReferenceKey
	);
}

/** Goes through a table by its number, some thousand rows at a time. */
async function inParts<Row extends { readonly id: number }>(
	tx: Tx,
	read: (from: number) => SQL,
	write: (rows: readonly Row[]) => Promise<void>
): Promise<void> {
	for (let from = 0; ;) {
		const rows = await tx.all<Row>(read(from));
		const last = rows.at(-1);
		if (!last) return;
		await write(rows);
		from = last.id;
	}
}

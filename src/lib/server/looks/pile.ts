import { and, eq, inArray, max, sql } from 'drizzle-orm';
import type { Band } from '../../core/3-matching/answer';
import { bankFile, bankStatement, receipt, receiptState, statementEntry } from '../db/schema';
import { answeredPile } from './answers';
import { defineLook } from './define-look';

export interface PileRow {
	readonly id: number;
	readonly version: number;
	readonly band: Band;
	readonly held: string | null;
	/** The customer's name where known, else the payer's as the bank prints it. */
	readonly who: string;
	readonly amount: number;
	readonly currency: string;
	/** Numbers of the items that the answer takes. */
	readonly numbers: readonly string[];
	/** Amount placed by the answer, minus the open total of its items when short. */
	readonly gap: number;
	readonly otherAnswers: number;
	readonly text: string;
}

/** The pile on Money in: every receipt that waits, by how sure the answer is. */
export const lookAtPile = defineLook('reader', async (db, _: null) => {
	const { receipts, answers, books } = await answeredPile(db);
	const customers = new Map(books.customers.map((row) => [row.id, row.name]));
	const items = new Map(books.items.map((row) => [row.id, row]));
	const rows: PileRow[] = receipts.map((row) => {
		const answer = answers.get(row.id)!;
		const lines = answer.lines.filter((line) => items.has(line.itemId));
		const open = lines.reduce((sum, line) => sum + Math.sign(line.cash) * items.get(line.itemId)!.open, 0);
		return {
			id: row.id,
			version: row.version,
			band: answer.band,
			held: row.heldBecause,
			who: (answer.customerId && customers.get(answer.customerId)) || row.payerName || 'Unnamed payer',
			amount: row.amount,
			currency: row.currency,
			numbers: [...new Set(lines.map((line) => items.get(line.itemId)!.number))],
			gap: lines.length ? row.amount - open : 0,
			otherAnswers: answer.otherAnswers,
			text: row.text
		};
	});
	const newest = db.select({ id: max(bankFile.id) }).from(bankFile);
	const done = await db
		.select({ n: sql<number>`count(*)` })
		.from(bankStatement)
		.innerJoin(statementEntry, eq(statementEntry.statementId, bankStatement.id))
		.innerJoin(receipt, eq(receipt.bankEntryId, statementEntry.entryId))
		.innerJoin(receiptState, eq(receiptState.receiptId, receipt.id))
		.where(and(eq(bankStatement.fileId, newest), inArray(receiptState.state, ['placed', 'set_aside'])))
		.get();
	return { rows, doneOfNewest: done?.n ?? 0 };
});

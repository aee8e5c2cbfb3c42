import { and, eq, gt, inArray, ne, sql } from 'drizzle-orm';
import type { Band } from '../../core/3-matching/answer';
import { act, receiptState } from '../db/schema';
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
export const lookAtPile = defineLook('reader', async (db, _: null, { today }) => {
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
	const done = await db
		.select({ n: sql<number>`count(*)` })
		.from(receiptState)
		.innerJoin(act, eq(act.id, receiptState.actId))
		.where(
			and(
				inArray(receiptState.state, ['placed', 'set_aside']),
				eq(sql`substr(${act.at}, 1, 10)`, today),
				ne(act.userId, 'seed'),
				gt(act.id, 0)
			)
		)
		.get();
	return { rows, doneToday: done?.n ?? 0 };
});

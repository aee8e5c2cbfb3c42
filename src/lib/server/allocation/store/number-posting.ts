import { numberPosting as numberFrom } from '../../../core/5-journal/number-posting';
import type { NumberedPosting, Posting } from '../../../core/model/posting';
import type { Tx } from '../../platform/db/open';
import { allocation, receiptAdjustment, difference } from '../../platform/db/schema';
import { takeIds } from '../../platform/db/take-ids';

type Numbered = Parameters<typeof takeIds>[1];

/** Gives the records of an allocation their numbers, so that the journal can say what each line stands for. */
export async function numberPosting(tx: Tx, posting: Posting): Promise<NumberedPosting> {
	return numberFrom(posting, {
		allocation: await firstOf(tx, allocation, posting.allocations),
		difference: await firstOf(tx, difference, posting.differences),
		receiptAdjustment: await firstOf(tx, receiptAdjustment, posting.receiptAdjustments)
	});
}

/** Rows with numbers of their table, in order. */
export async function numbered<T>(
	tx: Tx,
	table: Numbered,
	rows: readonly T[]
): Promise<(T & { readonly id: number })[]> {
	const first = await firstOf(tx, table, rows);
	return rows.map((row, i) => ({ ...row, id: first + i }));
}

async function firstOf(tx: Tx, table: Numbered, rows: readonly unknown[]): Promise<number> {
	return rows.length === 0 ? 0 : takeIds(tx, table, rows.length);
}

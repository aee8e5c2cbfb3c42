import { minor } from '../../../core/money/minor';
import type { Day } from '../../../core/day/day';
import type { JournalSource, JournalSourceKind } from '../../../core/model/journal';
import type { Tx } from '../../platform/db/open';
import { allocation, receiptAdjustment, difference } from '../../platform/db/schema';
import { takeIds } from '../../platform/db/take-ids';

export interface FirstRecords {
	readonly allocations: readonly (typeof allocation.$inferSelect)[];
	readonly differences: readonly (typeof difference.$inferSelect)[];
	readonly receiptAdjustments: readonly (typeof receiptAdjustment.$inferSelect)[];
}

/** The record that takes back each first one, by kind and number. */
export type Undoings = ReadonlyMap<string, number>;

/** Writes second records that point at the first: every amount with the other sign, on the day of the undoing. */
export async function writeUndoing(
	tx: Tx,
	at: { readonly actId: number; readonly date: Day },
	{ allocations, differences, receiptAdjustments }: FirstRecords
): Promise<Undoings> {
	const undoings = new Map<string, number>();
	const turned = async <T extends { readonly id: number }>(
		kind: JournalSourceKind,
		table: typeof allocation | typeof difference | typeof receiptAdjustment,
		rows: readonly T[]
	) => {
		let id = rows.length ? await takeIds(tx, table, rows.length) : 0;
		return rows.map((row) => {
			undoings.set(`${kind} ${row.id}`, id);
			return { ...row, ...at, id: id++, undoesId: row.id };
		});
	};
	const parts = await turned('allocation', allocation, allocations);
	const gaps = await turned('deduction', difference, differences);
	const changes = await turned('receipt-adjustment', receiptAdjustment, receiptAdjustments);
	if (parts.length)
		await tx.insert(allocation).values(
			parts.map((row) => ({
				...row,
				amount: minor(-row.amount),
				creditAmount: minor(-row.creditAmount),
				itemBase: minor(-row.itemBase),
				creditBase: minor(-row.creditBase)
			}))
		);
	if (gaps.length)
		await tx
			.insert(difference)
			.values(gaps.map((row) => ({ ...row, amount: minor(-row.amount), base: minor(-row.base) })));
	if (changes.length)
		await tx
			.insert(receiptAdjustment)
			.values(changes.map((row) => ({ ...row, amount: minor(-row.amount), base: minor(-row.base) })));
	return undoings;
}

/** What a turned journal line stands for: the record that takes back what the first line stood for. */
export function undoneSource(
	actId: number,
	undoings: Undoings,
	/** The records that take claims back, by the claim's document. */
	withdrawn: ReadonlyMap<number, JournalSource>
): (source: JournalSource) => JournalSource {
	return (source) => {
		if (source.kind === 'document') return withdrawn.get(source.id) ?? source;
		if (source.kind === 'currency-difference') return { ...source, id: actId };
		return { ...source, id: undoings.get(`${source.kind} ${source.id}`) ?? source.id };
	};
}

import {
	amountKey,
	type KeptAdvice,
	type NameIndex,
	type NumberPatterns,
	type PastFee,
	type Recorded,
	tariffPayer,
	type UsualLine
} from '../../../core/3-matching';

import { groupBy } from '../../../core/group-by';

import { readSetting } from '../../firm/store/settings';

import { namesIndex } from './names-index';
import { numberSeries } from './number-series';
import { pastFees } from './past-fees';

import type { Reader } from '../../platform/db/open';
import { keptAdvices } from '../../receipts/store/kept-advices';
import { onItsWay } from '../../receipts/store/on-its-way';

import { usualLines } from '../../receipts/store/usual-lines';

/** What all receipts are answered by. Each is the same object for as long as it says the same. */
export interface KnownFirm {
	readonly baseCurrency: string | undefined;
	readonly names: NameIndex;
	readonly patterns: NumberPatterns;
	/** Money that was recorded by hand, and advices, by what they come to (`amountKey`). */
	readonly recorded: ReadonlyMap<string, readonly Recorded[]>;
	readonly advices: ReadonlyMap<string, readonly KeptAdvice[]>;
	/** How entries that are no customer's were booked, by `usualKeys`; the same object while none of it changes. */
	readonly usual: ReadonlyMap<string, UsualLine>;
	/** By whose tariff they may follow (`tariffPayer`). */
	readonly fees: ReadonlyMap<string, readonly PastFee[]>;
}

/**
 * Reads what all receipts are answered by; of the firm as it was before what is still so.
 * @param pile whose names and numbers are kept between one reading and the next
 */
export async function readFirm(
	db: Reader,
	pile: object,
	before: KnownFirm | null,
	what: { readonly lists: boolean; readonly fees: boolean }
): Promise<KnownFirm> {
	if (before && !what.lists && !what.fees) return before;
	const recorded = async () =>
		(await onItsWay(db)).map(({ method, reference, date, amount, currency, customerId }): Recorded => ({
			...{ label: `${method} ${reference}`.trim(), date, amount, currency, customerId }
		}));
	return {
		baseCurrency: (await readSetting(db, 'firm'))?.baseCurrency,
		names: await namesIndex(db, pile),
		patterns: (await numberSeries(db, pile)).patterns,
		recorded:
			before && !what.lists
				? before.recorded
				: grouped(await recorded(), (one) => amountKey(one.amount, one.currency), before?.recorded),
		advices:
			before && !what.lists
				? before.advices
				: grouped(await keptAdvices(db), (one) => amountKey(one.total, one.currency), before?.advices),
		usual: before && !what.lists ? before.usual : await usualNow(db, before?.usual),
		fees:
			before && !what.fees
				? before.fees
				: grouped(await pastFees(db), (one) => tariffPayer(one) ?? '', before?.fees)
	};
}

/** Usual lines, each the same object as before where it says the same. */
async function usualNow(
	db: Reader,
	before: ReadonlyMap<string, UsualLine> = new Map()
): Promise<ReadonlyMap<string, UsualLine>> {
	const now = new Map(await usualLines(db));
	for (const [key, line] of now) {
		const known = before.get(key);
		if (
			known?.account === line.account &&
			known.name === line.name &&
			known.times === line.times &&
			known.setBy === line.setBy
		)
			now.set(key, known);
	}
	return now;
}

/** Rows by a key, in the lists of before where those say the same. */
function grouped<T>(
	rows: readonly T[],
	key: (row: T) => string,
	before: ReadonlyMap<string, readonly T[]> = new Map()
): ReadonlyMap<string, readonly T[]> {
	const now: Map<string, readonly T[]> = groupBy(rows, key);
	for (const [at, list] of now) {
		const known = before.get(at);
		if (known && JSON.stringify(known) === JSON.stringify(list)) now.set(at, known);
	}
	return now;
}

import { groupBy } from '../group-by';
import type { StatementEntry } from '../model/bank';

type DayAndAmount = Pick<StatementEntry, 'booked' | 'amount'>;

/**
 * Entries of a statement that neither references nor words told to be in the books or not, though a file of another format brought ones of
 * the same day and amount that none of the statement's entries is: they may be the same, or two real payments alike.
 * @param entries that are not paired, with their places
 * @param known entries of other formats that are not paired
 * @returns for each such place the entries that it may be
 */
export function doubtfulEntries<K extends DayAndAmount>(
	entries: readonly (DayAndAmount & { readonly place: number })[],
	known: readonly K[]
): ReadonlyMap<number, readonly K[]> {
	const others = groupBy(known, dayAndAmount);
	return new Map(
		entries.flatMap((entry) => {
			const alike = others.get(dayAndAmount(entry));
			return alike ? [[entry.place, alike] as const] : [];
		})
	);
}

const dayAndAmount = ({ booked, amount }: DayAndAmount) => `${booked} ${amount}`;

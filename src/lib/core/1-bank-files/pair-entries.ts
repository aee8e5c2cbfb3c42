import { groupBy } from '../group-by';
import type { StatementEntry } from '../model/bank';
import { QueuesByKey } from './queues-by-key';
import { referencesOf } from './references-of';

/** What of an entry tells that it is the same as one that another format brought. */
export type EntryLooks = Pick<
	StatementEntry,
	'booked' | 'amount' | 'entryReference' | 'bankReference' | 'text' | 'details'
>;

/** Most comparisons by words within one day and amount: beyond, only references and equal words tell. */
const MOST_COMPARED = 250_000;
/** Of entries that nothing else vouches for: as large a part of the fewer words must be the other's, and so many at the least. */
const SHARED_PART = 0.5;
const SHARED_LEAST = 2;

/**
 * Which entries of a statement are in the books already, brought by a file of another format, where the same entry has another shape. Of
 * the same day and amount, first those that share a reference, then those with the same words, then those whose words are most alike. Each
 * is paired once: of two real payments alike one may be there and the other not.
 * @param entries of the statement, with their places
 * @param known entries of other formats, with their ids
 * @param wholeDays whether both formats list all of their days, their balances proving it: then one common word is enough, or none where
 * one of them has no words; else they are not taken for the same unless most words are
 * @returns the id for each place that has one
 */
export function pairEntries(
	entries: readonly (EntryLooks & { readonly place: number })[],
	known: readonly (EntryLooks & { readonly id: number })[],
	wholeDays: boolean
): Map<number, number> {
	const pairs = new Map<number, number>();
	const taken = new Set<number>();
	const pair = (place: number, id: number) => {
		pairs.set(place, id);
		taken.add(id);
	};
	const knownOf = groupBy(known, sumOfDay);
	for (const [key, some] of groupBy(entries, sumOfDay)) {
		const others = knownOf.get(key);
		if (!others) continue;
		for (const keysOf of [referencesOf, (one: EntryLooks) => [wordsOf(one).join(' ')].filter(Boolean)]) {
			const queues = new QueuesByKey<number>();
			for (const other of others)
				if (!taken.has(other.id)) for (const own of keysOf(other)) queues.add(own, other.id);
			for (const entry of some) {
				if (pairs.has(entry.place)) continue;
				for (const own of keysOf(entry)) {
					const id = queues.first(own, (one) => taken.has(one));
					if (id === undefined) continue;
					pair(entry.place, id);
					break;
				}
			}
		}
		const left = some.filter((one) => !pairs.has(one.place));
		const open = others.filter((one) => !taken.has(one.id));
		if (left.length * open.length > MOST_COMPARED) continue;
		const alike = left.flatMap((entry) =>
			open.flatMap((other) => {
				const likeness = likenessOf(wordsOf(entry), wordsOf(other), wholeDays);
				return likeness === null ? [] : [{ place: entry.place, id: other.id, likeness }];
			})
		);
		alike.sort((a, b) => b.likeness - a.likeness || a.place - b.place || a.id - b.id);
		for (const { place, id } of alike) if (!pairs.has(place) && !taken.has(id)) pair(place, id);
	}
	return pairs;
}

function sumOfDay(entry: EntryLooks): string {
	return `${entry.booked} ${entry.amount}`;
}

/** The words of an entry, each once, in order of the alphabet. */
function wordsOf(entry: EntryLooks): string[] {
	const text = [entry.text, ...entry.details.flatMap((one) => [one.counterpartyName ?? '', one.text])].join(
		' '
	);
	return [...new Set(text.toUpperCase().match(/[\p{L}\p{N}]{3,}/gu) ?? [])].sort();
}

/** How much of the fewer words is among the others, from 0 to 1; null where they are not the same entry's. */
function likenessOf(a: readonly string[], b: readonly string[], wholeDays: boolean): number | null {
	const fewer = Math.min(a.length, b.length);
	if (fewer === 0) return wholeDays ? 0 : null;
	const other = new Set(b);
	const shared = a.filter((word) => other.has(word)).length;
	const part = shared / fewer;
	if (wholeDays) return shared > 0 ? part : null;
	return shared >= SHARED_LEAST && part >= SHARED_PART ? part : null;
}

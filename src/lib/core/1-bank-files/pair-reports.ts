import { compareText } from '../compare-text';
import { addDays, daysBetween } from '../day/arithmetic';
import type { Day } from '../day/day';
import { groupBy } from '../group-by';
import { pairEntries, type EntryLooks } from './pair-entries';
import { QueuesByKey } from './queues-by-key';
import { referencesOf } from './references-of';

/** A report may name another day than that on which the statement books; they are no further apart. */
export const MOST_DAYS_APART = 7;
/** Shorter ones are numbers within a message, which begin again in the next. */
const LEAST_REFERENCE = 6;

/**
 * Which entry of the books each entry of a bank's report is: the same amount, and first a reference that both have, within some days; then the same
 * day, and words alike; then, where of a day and amount there is one each, unless they name different payers. Each is paired once.
 * @param entries what statements list
 * @param reported what reports of one format list
 * @returns the id of the reported one for each entry, by the entry's id
 */
export function pairReports(
	entries: readonly (EntryLooks & { readonly id: number })[],
	reported: readonly (EntryLooks & { readonly id: number })[]
): Map<number, number> {
	const pairs = new Map<number, number>();
	const taken = new Set<number>();
	const pair = (entry: number, other: number) => {
		pairs.set(entry, other);
		taken.add(other);
	};
	const isTaken = ({ id }: EntryLooks & { readonly id: number }) => taken.has(id);
	const waiting = new QueuesByKey<(typeof reported)[number]>();
	const sums = new Set<string>();
	for (const other of reported)
		for (const key of keysOf(other)) {
			sums.add(key);
			waiting.add(`${key} ${other.booked}`, other);
		}
	for (const entry of entries) {
		const keys = keysOf(entry).filter((key) => sums.has(key));
		if (keys.length === 0) continue;
		const near = daysAround(entry.booked).flatMap((day) =>
			keys.flatMap((key) => waiting.first(`${key} ${day}`, isTaken) ?? [])
		);
		near.sort(
			(a, b) => distance(a, entry) - distance(b, entry) || compareText(a.booked, b.booked) || a.id - b.id
		);
		if (near[0]) pair(entry.id, near[0].id);
	}
	const alike = pairEntries(
		entries.filter(({ id }) => !pairs.has(id)).map((entry) => ({ ...entry, place: entry.id })),
		reported.filter(({ id }) => !taken.has(id)),
		false
	);
	for (const [entry, other] of alike) pair(entry, other);

	const leftOf = groupBy(
		reported.filter(({ id }) => !taken.has(id)),
		sumOfDay
	);
	for (const [key, [entry, ...more]] of groupBy(
		entries.filter(({ id }) => !pairs.has(id)),
		sumOfDay
	)) {
		const others = leftOf.get(key) ?? [];
		if (entry && more.length === 0 && others.length === 1 && !contradict(entry, others[0]!))
			pair(entry.id, others[0]!.id);
	}
	return pairs;
}

/** The amount with each reference that tells something by itself. */
function keysOf(entry: EntryLooks): string[] {
	return referencesOf(entry)
		.filter((one) => one.length >= LEAST_REFERENCE)
		.map((one) => `${entry.amount} ${one}`);
}

function daysAround(booked: Day): Day[] {
	return Array.from({ length: 2 * MOST_DAYS_APART + 1 }, (_, n) => addDays(booked, n - MOST_DAYS_APART));
}

function distance(a: EntryLooks, b: EntryLooks): number {
	return Math.abs(daysBetween(a.booked, b.booked));
}

function sumOfDay({ booked, amount }: EntryLooks): string {
	return `${booked} ${amount}`;
}

/** Both say who paid, and it is not the same. */
function contradict(a: EntryLooks, b: EntryLooks): boolean {
	const [here, there] = [payersOf(a), payersOf(b)];
	return here.size > 0 && there.size > 0 && ![...here].some((one) => there.has(one));
}

function payersOf({ details }: EntryLooks): ReadonlySet<string> {
	return new Set(
		details
			.flatMap((one) => [one.counterpartyName, one.counterpartyAccount])
			.flatMap((one) => (one ? one.replace(/\s+/g, ' ').trim().toUpperCase() : []))
	);
}

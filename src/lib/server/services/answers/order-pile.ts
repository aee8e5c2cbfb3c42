import type { Band } from '../../../core/3-matching';
import { amountLookedFor } from '../../../words/amount-looked-for';
import type { Waiting } from '../../receipts/store/waiting-receipts';
import type { Pile } from './answers';

/**
 * The groups of the pile, in the order in which they are gone through. What is booked as unidentified is dealt with for the day, and
 * stands by itself until an answer is found for it.
 */
export const PILE_GROUPS = [
	'certain',
	'likely',
	'choose',
	'none',
	'held',
	'unidentified'
] as const satisfies readonly (Band | 'held' | 'unidentified')[];
export type PileGroup = (typeof PILE_GROUPS)[number];

/** By what a group is in order: as the bank booked it, or the largest amounts first. */
export const PILE_ORDERS = ['day', 'amount'] as const;

/** What somebody wants to see of the pile. */
export interface PileFilter {
	/** Part of a name, of the bank's words or of a number, or an amount. */
	readonly find: string;
	readonly order: (typeof PILE_ORDERS)[number];
	readonly group: PileGroup | null;
	/** The firm's account at which the bank shows it. */
	readonly bankAccountId: number | null;
	/** Who looks into it. */
	readonly heldFor: string | null;
}

export const WHOLE_PILE: PileFilter = {
	...{ find: '', order: 'day', group: null, bankAccountId: null, heldFor: null }
};

/** The pile in the order in which a clerk goes through it. */
export interface OrderedPile {
	readonly groups: Readonly<Record<PileGroup, readonly Waiting[]>>;
	/** What came of it, by currency, in minor units; what is booked as unidentified is not counted. */
	readonly sums: Readonly<Record<string, number>>;
	/** How many are to be dealt with. */
	readonly count: number;
	/** Where a receipt stands: its group and its place there. */
	readonly placeOf: ReadonlyMap<number, { readonly group: PileGroup; readonly at: number }>;
}

const ordered = new WeakMap<Pile, Map<string, OrderedPile>>();
/** So many ways of looking at one pile are kept. */
const KEPT = 20;

/** Puts a pile in order; once for each, and each way of looking at it. */
export function orderPile(pile: Pile, filter: PileFilter = WHOLE_PILE): OrderedPile {
	const kept = ordered.get(pile) ?? new Map<string, OrderedPile>();
	ordered.set(pile, kept);
	const key = JSON.stringify([filter.find, filter.order, filter.group, filter.bankAccountId, filter.heldFor]);
	const known = kept.get(key);
	if (known) return known;
	if (kept.size >= KEPT) kept.clear();
	const groups: Record<PileGroup, Waiting[]> = {
		...{ certain: [], likely: [], choose: [], none: [], held: [], unidentified: [] }
	};
	const sums: Record<string, number> = {};
	let count = 0;
	const wanted = wantedBy(filter, pile);
	for (const row of [...pile.receipts].sort(inOrder(filter.order))) {
		const group = groupOf(row, pile);
		if ((filter.group !== null && group !== filter.group) || !wanted(row)) continue;
		groups[group].push(row);
		// Dealt with for the day, even where an answer was found for it meanwhile.
		if (row.unidentifiedActId !== null) continue;
		count++;
		if (row.amount > 0) sums[row.currency] = (sums[row.currency] ?? 0) + row.amount;
	}
	const placeOf = new Map(
		PILE_GROUPS.flatMap((group) => groups[group].map(({ id }, at) => [id, { group, at }] as const))
	);
	const made = { groups, sums, count, placeOf };
	kept.set(key, made);
	return made;
}

function groupOf(row: Waiting, pile: Pile): PileGroup {
	const { band } = pile.answers.get(row.id)!;
	const explained = band === 'certain' || band === 'likely';
	if (row.unidentifiedActId !== null && (row.heldBecause || !explained)) return 'unidentified';
	return row.heldBecause ? 'held' : band;
}

function inOrder(order: PileFilter['order']): (a: Waiting, b: Waiting) => number {
	return order === 'amount'
		? (a, b) => Math.abs(b.amount) - Math.abs(a.amount) || a.id - b.id
		: (a, b) => a.id - b.id;
}

/** Whether a receipt is one of those that are wanted. */
function wantedBy({ find, bankAccountId, heldFor }: PileFilter, pile: Pile): (row: Waiting) => boolean {
	const text = find.trim().toLowerCase();
	const amount = text ? amountLookedFor(text) : null;
	return (row) => {
		if (bankAccountId !== null && row.bankAccountId !== bankAccountId) return false;
		if (heldFor !== null && row.heldFor !== heldFor) return false;
		if (!text) return true;
		if (amount !== null && Math.abs(row.amount) === amount) return true;
		const shown = pile.shown.get(row.id);
		return [row.payerName, row.text, row.heldBecause, shown?.customer, ...(shown?.numbers ?? [])].some(
			(one) => one?.toLowerCase().includes(text)
		);
	};
}

/** The receipts before and after one in the order of the pile; the first of all comes after none. */
export function besideInPile(
	{ groups, placeOf }: OrderedPile,
	receiptId: number | null
): { readonly previous: number | null; readonly next: number | null } {
	const full = PILE_GROUPS.filter((group) => groups[group].length > 0);
	const place = receiptId === null ? undefined : placeOf.get(receiptId);
	if (!place) return { previous: null, next: (full[0] && groups[full[0]][0]?.id) ?? null };
	const own = groups[place.group];
	const n = full.indexOf(place.group);
	const [before, after] = [full[n - 1], full[n + 1]];
	return {
		previous: own[place.at - 1]?.id ?? (before && groups[before].at(-1)?.id) ?? null,
		next: own[place.at + 1]?.id ?? (after && groups[after][0]?.id) ?? null
	};
}

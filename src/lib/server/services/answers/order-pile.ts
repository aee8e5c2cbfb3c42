import type { Band } from '../../../core/3-matching';
import type { Waiting } from '../../receipts/store/waiting-receipts';
import type { Pile } from './answers';

/** The groups of the pile, in the order in which they are gone through. */
export const PILE_GROUPS = ['certain', 'likely', 'choose', 'none', 'held'] as const satisfies readonly (
	Band | 'held'
)[];
export type PileGroup = (typeof PILE_GROUPS)[number];

/** The pile in the order in which a clerk goes through it. */
export interface OrderedPile {
	readonly groups: Readonly<Record<PileGroup, readonly Waiting[]>>;
	/** What came of it, by currency, in minor units. */
	readonly sums: Readonly<Record<string, number>>;
	/** Where a receipt stands: its group and its place there. */
	readonly placeOf: ReadonlyMap<number, { readonly group: PileGroup; readonly at: number }>;
}

const ordered = new WeakMap<Pile, OrderedPile>();

/** Puts a pile in order; once for each. */
export function orderPile(pile: Pile): OrderedPile {
	const known = ordered.get(pile);
	if (known) return known;
	const groups: Record<PileGroup, Waiting[]> = { certain: [], likely: [], choose: [], none: [], held: [] };
	const sums: Record<string, number> = {};
	for (const row of [...pile.receipts].sort((a, b) => a.id - b.id)) {
		groups[row.heldBecause ? 'held' : pile.answers.get(row.id)!.band].push(row);
		if (row.amount > 0) sums[row.currency] = (sums[row.currency] ?? 0) + row.amount;
	}
	const placeOf = new Map(
		PILE_GROUPS.flatMap((group) => groups[group].map(({ id }, at) => [id, { group, at }] as const))
	);
	const made = { groups, sums, placeOf };
	ordered.set(pile, made);
	return made;
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

import { amountGroups } from './amount-groups';
import { largeSets } from './large-sets';
import { halvesOf, meetInTheMiddle } from './meet-in-the-middle';
import { compareSets, type SetsFound } from './sets-found';
import { smallSets } from './small-sets';
import { sumsTable, sumsTableShape } from './sums-table';

/** How far a search goes: listed sets, and look-ups, of which some fifty million take a second. */
export interface SetsWanted {
	readonly keep: number;
	readonly steps: number;
}

const TRIES = 3_000;
/** Up to so many items are left out of "all but these". */
const LEFT_OUT = 3;

/**
 * Sets of amounts (minor units, credit notes negative) that come to a target exactly: the first of them, and how many
 * there are. The way is chosen by the size of the books: choices that fit in two halves are met in the middle, few
 * different sums are tabled, and both of these count everything. Else sets of up to five, and all but up to three, are
 * counted, and larger ones are sought where there are many; then `all` tells that there may be more.
 */
export function findSets(amounts: readonly number[], target: number, { keep, steps }: SetsWanted): SetsFound {
	const groups = amountGroups(amounts);
	const halves = halvesOf(groups);
	if (halves) return meetInTheMiddle(halves, target, keep);
	const shape = sumsTableShape(groups);
	if (shape) return sumsTable(groups, shape, target, keep);

	const small = smallSets(amounts, target, { keep, steps });
	const places = groups.flatMap((group) => [...group.places]);
	const total = places.reduce((sum, place) => sum + amounts[place]!, 0);
	const out = smallSets(amounts, total - target, { keep, steps, largest: LEFT_OUT });
	const allBut = out.sets.map((left) => withoutLatest(groups, amounts, left));
	const whole = total === target ? [[...places].sort((a, b) => a - b)] : [];
	let sets = [...small.sets, ...whole, ...allBut];
	let count = small.count + whole.length + out.count;
	const all = small.all && small.size >= 5 && nothingLarger(groups, target);
	if (!all && count < keep) {
		const large = largeSets(amounts, target, { keep, tries: TRIES });
		const known = new Set(sets.map((set) => set.join()));
		const fresh = large.sets.filter((set) => !known.has(set.join()));
		sets = [...sets, ...fresh];
		count += fresh.length;
	}
	return { sets: [...sets].sort(compareSets).slice(0, keep), count, all };
}

/** All places but those of the amounts left out; of equal amounts the latest are left out. */
function withoutLatest(
	groups: ReturnType<typeof amountGroups>,
	amounts: readonly number[],
	left: readonly number[]
): number[] {
	const out = new Map<number, number>();
	for (const place of left) out.set(amounts[place]!, (out.get(amounts[place]!) ?? 0) + 1);
	return groups
		.flatMap(({ amount, places }) => places.slice(0, places.length - (out.get(amount) ?? 0)))
		.sort((a, b) => a - b);
}

/** Whether no set of more than five can come to the target: nothing is negative and the six lowest are too much. */
function nothingLarger(groups: ReturnType<typeof amountGroups>, target: number): boolean {
	if (groups.some((group) => group.amount < 0)) return false;
	const lowest = groups
		.flatMap(({ amount, places }) => places.slice(0, 6).map(() => amount))
		.sort((a, b) => a - b)
		.slice(0, 6);
	return lowest.length < 6 || lowest.reduce((sum, amount) => sum + amount, 0) > target;
}

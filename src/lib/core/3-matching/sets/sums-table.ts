import type { AmountGroup } from './amount-groups';
import { compareSets, type SetsFound } from './sets-found';

/** So many cells a table may have, over all groups. */
const MOST_CELLS = 12_000_000;
/** So many steps are gone when sets are drawn up from the table. */
const MOST_DRAWN = 20_000;
const NONE = 0xffff;

interface Shape {
	/** What all amounts are whole multiples of, minor units. */
	readonly unit: number;
	/** The lowest and the highest sum, in units. */
	readonly lowest: number;
	readonly width: number;
}

/** How a table of all sums would look; null where it would be too large. */
export function sumsTableShape(groups: readonly AmountGroup[]): Shape | null {
	let unit = 0;
	let lowest = 0;
	let highest = 0;
	let choices = 0;
	for (const { amount, places } of groups) {
		unit = divisor(unit, Math.abs(amount));
		if (amount < 0) lowest += amount * places.length;
		else highest += amount * places.length;
		choices += places.length;
	}
	if (unit === 0) return null;
	const width = (highest - lowest) / unit + 1;
	return width * choices <= MOST_CELLS * 4 && width * groups.length <= MOST_CELLS
		? { unit, lowest: lowest / unit, width }
		: null;
}

function divisor(a: number, b: number): number {
	return b === 0 ? a : divisor(b, a % b);
}

/**
 * All sets that come to the target, by a table of every sum that the groups so far can make (Bellman's recursion for the
 * subset-sum problem, 1957): how many sets make it, and how small the smallest is. Cost is groups times sums.
 */
export function sumsTable(
	groups: readonly AmountGroup[],
	{ unit, lowest, width }: Shape,
	target: number,
	keep: number
): SetsFound {
	if (target % unit !== 0) return { sets: [], count: 0, all: true };
	const wanted = target / unit - lowest;
	if (wanted < 0 || wanted >= width) return { sets: [], count: 0, all: true };
	const sizes: Uint16Array[] = [new Uint16Array(width).fill(NONE)];
	sizes[0]![-lowest] = 0;
	let counts = new Float64Array(width);
	counts[-lowest] = 1;
	for (const { amount, places } of groups) {
		const step = amount / unit;
		const before = sizes.at(-1)!;
		const after = before.slice();
		const more = counts.slice();
		for (let taken = 1; taken <= places.length; taken++) {
			const shift = step * taken;
			for (let sum = Math.max(0, -shift); sum < Math.min(width, width - shift); sum++) {
				const size = before[sum]!;
				if (size === NONE) continue;
				more[sum + shift]! += counts[sum]!;
				if (size + taken < after[sum + shift]!) after[sum + shift] = size + taken;
			}
		}
		sizes.push(after);
		counts = more;
	}
	const sets = draw(groups, sizes, unit, wanted, keep);
	// Too many to be told apart by a floating number are many enough.
	const count = Math.min(counts[wanted]!, Number.MAX_SAFE_INTEGER) - (target === 0 ? 1 : 0);
	return { sets, count, all: true };
}

/** Draws sets up from the table, last group first, the smallest first at each turn. */
function draw(
	groups: readonly AmountGroup[],
	sizes: readonly Uint16Array[],
	unit: number,
	wanted: number,
	keep: number
): number[][] {
	const sets: number[][] = [];
	let steps = 0;
	const go = (group: number, sum: number, chosen: readonly number[]): void => {
		if (sets.length >= keep || ++steps > MOST_DRAWN) return;
		if (group < 0) {
			if (chosen.length > 0) sets.push([...chosen].sort((a, b) => a - b));
			return;
		}
		const { amount, places } = groups[group]!;
		const ways: { taken: number; size: number; sum: number }[] = [];
		for (let taken = 0; taken <= places.length; taken++) {
			const rest = sum - (amount / unit) * taken;
			const size = rest < 0 ? NONE : (sizes[group]![rest] ?? NONE);
			if (size !== NONE) ways.push({ taken, size: size + taken, sum: rest });
		}
		for (const way of ways.sort((a, b) => a.size - b.size))
			go(group - 1, way.sum, [...chosen, ...places.slice(0, way.taken)]);
	};
	go(groups.length - 1, wanted, []);
	return sets.sort(compareSets);
}

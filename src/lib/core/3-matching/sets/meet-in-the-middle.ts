import type { AmountGroup } from './amount-groups';
import { compareSets, type SetsFound } from './sets-found';

/** So many choices each half may have. */
const MOST_CHOICES = 1 << 18;
/** So many sets are drawn up before the smallest are picked. */
const MOST_DRAWN = 2_000;

/** One half: every choice's sum, ascending, and the choice itself as a number in the mixed base of the groups. */
interface Half {
	readonly groups: readonly AmountGroup[];
	readonly sums: Float64Array;
	readonly choices: Float64Array;
}

/** Splits the groups so that both halves have about as many choices; null where one half would have too many. */
export function halvesOf(groups: readonly AmountGroup[]): [AmountGroup[], AmountGroup[]] | null {
	const halves: [AmountGroup[], AmountGroup[]] = [[], []];
	const sizes: [number, number] = [1, 1];
	for (const group of [...groups].sort((a, b) => b.places.length - a.places.length)) {
		const side = sizes[0] <= sizes[1] ? 0 : 1;
		halves[side].push(group);
		sizes[side] *= group.places.length + 1;
		if (sizes[side] > MOST_CHOICES) return null;
	}
	return halves;
}

/**
 * All sets of the groups' amounts that come to the target: every choice of one half is met with the choices of the other
 * that complete it (Horowitz and Sahni, Computing partitions with applications to the knapsack problem, 1974). The sums
 * of each half are merged in order, so the cost is linear in the choices of the halves.
 */
export function meetInTheMiddle(
	[left, right]: readonly [readonly AmountGroup[], readonly AmountGroup[]],
	target: number,
	keep: number
): SetsFound {
	const a = halfOf(left);
	const b = halfOf(right);
	const sets: number[][] = [];
	let count = 0;
	let j = b.sums.length - 1;
	for (let i = 0; i < a.sums.length;) {
		const sum = a.sums[i]!;
		const iEnd = endOfRun(a.sums, i);
		while (j >= 0 && sum + b.sums[j]! > target) j--;
		if (j >= 0 && sum + b.sums[j]! === target) {
			let first = j;
			while (first > 0 && b.sums[first - 1] === b.sums[j]) first--;
			count += (iEnd - i) * (j - first + 1);
			for (let x = i; x < iEnd && sets.length < MOST_DRAWN; x++)
				for (let y = first; y <= j && sets.length < MOST_DRAWN; y++)
					sets.push([...placesOf(a, a.choices[x]!), ...placesOf(b, b.choices[y]!)].sort((p, q) => p - q));
		}
		i = iEnd;
	}
	// The empty set is no answer to anything.
	if (target === 0) count--;
	const real = sets.filter((set) => set.length > 0).sort(compareSets);
	return { sets: real.slice(0, keep), count, all: true };
}

function endOfRun(sums: Float64Array, from: number): number {
	let end = from + 1;
	while (end < sums.length && sums[end] === sums[from]) end++;
	return end;
}

function halfOf(groups: readonly AmountGroup[]): Half {
	let sums = new Float64Array(1);
	let choices = new Float64Array(1);
	let base = 1;
	for (const { amount, places } of groups) {
		const oldSums = sums;
		const oldChoices = choices;
		for (let taken = 1; taken <= places.length; taken++)
			[sums, choices] = merged(sums, choices, oldSums, oldChoices, amount * taken, base * taken);
		base *= places.length + 1;
	}
	return { groups, sums, choices };
}

/** Merges a list with another one moved by an amount, both ascending. */
function merged(
	sums: Float64Array,
	choices: Float64Array,
	others: Float64Array,
	otherChoices: Float64Array,
	amount: number,
	choice: number
): [Float64Array<ArrayBuffer>, Float64Array<ArrayBuffer>] {
	const length = sums.length + others.length;
	const out = new Float64Array(length);
	const outChoices = new Float64Array(length);
	let i = 0;
	let j = 0;
	for (let k = 0; k < length; k++) {
		if (j >= others.length || (i < sums.length && sums[i]! <= others[j]! + amount)) {
			out[k] = sums[i]!;
			outChoices[k] = choices[i++]!;
		} else {
			out[k] = others[j]! + amount;
			outChoices[k] = otherChoices[j++]! + choice;
		}
	}
	return [out, outChoices];
}

function placesOf(half: Half, choice: number): number[] {
	let rest = choice;
	return half.groups.flatMap(({ places }) => {
		const taken = rest % (places.length + 1);
		rest = Math.floor(rest / (places.length + 1));
		return places.slice(0, taken);
	});
}

import { append } from '../../append';
import { amountGroups } from './amount-groups';
import { PairTable } from './pair-table';
import { compareSets, type SetsFound } from './sets-found';

/** Above so many amounts pairs are not tabled. */
const MOST_TABLED = 700;
const LARGEST = 5;

interface Row {
	readonly amount: number;
	readonly place: number;
	/** Whether it is the first of its equal amounts: the others are taken only after it. */
	readonly first: boolean;
}

/**
 * Sets of one to five amounts that come to the target, counted and the first `keep` listed, as far as the steps go. The
 * two lowest of a set are looked up in a table of pairs, so that sets of five cost n³ look-ups, sets of four n², and
 * smaller ones less. Of equal amounts the earlier are always taken first.
 */
export function smallSets(
	amounts: readonly number[],
	target: number,
	{ keep, steps, largest = LARGEST }: { keep: number; steps: number; largest?: number }
): SetsFound & { readonly steps: number; readonly size: number } {
	const rows: Row[] = amountGroups(amounts)
		.sort((a, b) => a.amount - b.amount)
		.flatMap(({ amount, places }) =>
			places.slice(0, largest).map((place, i) => ({ amount, place, first: i === 0 }))
		);
	const n = rows.length;
	const values = Float64Array.from(rows, (row) => row.amount);
	const firsts = new Map<number, number>();
	rows.forEach((row, at) => {
		if (row.first) firsts.set(row.amount, at);
	});
	const sets: number[][] = [];
	let count = 0;
	let used = 0;
	let size = 0;
	const take = (...chosen: number[]) => {
		count++;
		if (sets.length < keep) sets.push(chosen.map((at) => rows[at]!.place).sort((a, b) => a - b));
	};
	/** Whether `at` may follow `before` in a set: the first of its equals, or the next of them. */
	const follows = (before: number, at: number) => rows[at]!.first || at === before + 1;
	const done = (all: boolean) => ({ sets: sets.sort(compareSets), count, all, steps: used, size });

	const one = firsts.get(target);
	if (one !== undefined) take(one);
	size = 1;
	used += n;
	if (largest < 2) return done(true);
	pairBelow(n, target, (a, b) => take(a, b));
	size = 2;
	used += n;
	if (largest < 3) return done(true);
	if (used + (n * n) / 2 > steps) return done(false);
	for (let c = 2; c < n; c++) pairBelow(c, target - values[c]!, (a, b) => take(a, b, c), c);
	used += (n * n) / 2;
	size = 3;
	if (largest < 4) return done(true);
	if (n > MOST_TABLED || used + n * n > steps) return done(false);

	// Sets of four and five: the pair below `c` comes from the table, which grows with `c`.
	const fives = largest >= LARGEST && used + n * n + cost(n) <= steps;
	const bigger: number[][] = [];
	let counted = 0;
	const table = new PairTable((n * (n - 1)) / 2 + 1);
	const least = n > 1 ? values[0]! + values[1]! : 0;
	for (let c = 2; c < n; c++) {
		for (let a = 0; a < c - 1; a++)
			if (rows[a]!.first && follows(a, c - 1)) table.add(values[a]! + values[c - 1]!, a, c - 1);
		const most = values[c - 1]! + values[c - 2]!;
		const { first } = rows[c]!;
		/** The pairs below `c` that come to a need, with `c` and the rest, as sets of four or five. */
		const lookUp = (need: number, rest: readonly number[], list: number[][]): number => {
			let here = 0;
			const one = (a: number, b: number) => {
				list.push([a, b, c, ...rest].map((at) => rows[at]!.place).sort((p, q) => p - q));
				return list.length < keep;
			};
			if (first) {
				here = table.count(need);
				if (here > 0 && list.length < keep) table.each(need, one);
				return here;
			}
			pairBelow(
				c,
				need,
				(a, b) => {
					here++;
					if (list.length < keep) one(a, b);
				},
				c
			);
			return here;
		};
		for (let d = c + 1; d < n; d++) {
			if (!follows(c, d)) continue;
			const need = target - values[c]! - values[d]!;
			// What is left only shrinks from here on, unless the next is a credit note as well.
			if (need < least && need - values[d]! < least) break;
			if (need >= least && need <= most) count += lookUp(need, [d], sets);
			if (!fives) continue;
			for (let e = d + 1; e < n; e++) {
				const last = need - values[e]!;
				if (last < least) break;
				if (last > most || !follows(d, e)) continue;
				if (!first || table.count(last) !== 0) counted += lookUp(last, [d, e], bigger);
			}
		}
	}
	used += n * n;
	size = 4;
	if (largest < LARGEST || !fives) return done(largest < LARGEST);
	append(sets, bigger.slice(0, Math.max(0, keep - sets.length)));
	count += counted;
	used += cost(n);
	size = 5;
	return done(true);

	/** Every pair below a place that comes to the sum; where the place is no first of its equals, the one before it is in. */
	function pairBelow(
		below: number,
		sum: number,
		found: (a: number, b: number) => void,
		above?: number
	): void {
		if (above !== undefined && !rows[above]!.first) {
			const b = above - 1;
			const a = rows[b]!.first ? firsts.get(sum - values[b]!) : b - 1;
			if (a === undefined || a < 0 || a >= b || !rows[a]!.first) return;
			if (values[a]! + values[b]! === sum && follows(a, b)) found(a, b);
			return;
		}
		let a = 0;
		let b = below - 1;
		while (a < b) {
			const here = values[a]! + values[b]!;
			if (here < sum) a++;
			else if (here > sum) b--;
			else {
				// Equal amounts stand side by side, so only firsts and a second beside its first are real pairs.
				const [low, high] = [values[a]!, values[b]!];
				if (low === high) {
					const first = firsts.get(low)!;
					if (first + 1 < below && values[first + 1] === low) found(first, first + 1);
					return;
				}
				found(firsts.get(low)!, firsts.get(high)!);
				while (a < below && values[a] === low) a++;
				while (b >= 0 && values[b] === high) b--;
			}
		}
	}
}

/** Look-ups that sets of five take. */
function cost(n: number): number {
	return (n * n * n) / 6;
}

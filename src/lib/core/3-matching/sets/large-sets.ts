import { amountGroups } from './amount-groups';
import { PairTable } from './pair-table';
import { compareSets, type SetsFound } from './sets-found';

/** Pairs of at most so many amounts complete a set. */
const MOST_TABLED = 400;
/** Of more amounts than this fewer are tabled and tried: a set among so many is found soon, or never. */
const MANY_AMOUNTS = 700;
const TABLED_OF_MANY = 150;
const TRIES_OF_MANY = 200;

/**
 * Some sets of six and more amounts that come to the target, where there are too many to count: random beginnings (always
 * the same ones) completed by a pair that is looked up. Finds sets where there are many; finding none proves nothing.
 */
export function largeSets(
	amounts: readonly number[],
	target: number,
	{ keep, tries }: { keep: number; tries: number }
): SetsFound {
	const groups = amountGroups(amounts);
	const rows = groups.flatMap(({ amount, places }) => places.map((place) => ({ amount, place })));
	const n = rows.length;
	if (n < 6) return { sets: [], count: 0, all: false };
	const random = numbers(n);
	// A fixed mixing, so that the tabled ones are of all kinds.
	const mixed = rows.map((row) => ({ row, key: random() })).sort((a, b) => a.key - b.key);
	const tabled = mixed.slice(0, n > MANY_AMOUNTS ? TABLED_OF_MANY : MOST_TABLED).map(({ row }) => row);
	const table = new PairTable((tabled.length * (tabled.length - 1)) / 2 + 1);
	let least = Infinity;
	let most = -Infinity;
	for (let b = 1; b < tabled.length; b++)
		for (let a = 0; a < b; a++) {
			const sum = tabled[a]!.amount + tabled[b]!.amount;
			least = Math.min(least, sum);
			most = Math.max(most, sum);
			table.add(sum, a, b);
		}
	const found = new Map<string, number[]>();
	const order = rows.map((_, at) => at);
	const turns = n > MANY_AMOUNTS ? Math.min(tries, TRIES_OF_MANY) : tries;
	for (let turn = 0; turn < turns && found.size < keep; turn++) {
		const chosen = new Set<number>();
		let sum = 0;
		for (let at = 0; at < n - 2 && chosen.size < n - 2; at++) {
			const other = at + Math.floor(random() * (n - at));
			[order[at], order[other]] = [order[other]!, order[at]!];
			const row = rows[order[at]!]!;
			if (target - sum - row.amount < least && row.amount > 0) {
				if (target - sum <= most) break;
				continue;
			}
			sum += row.amount;
			chosen.add(row.place);
			if (chosen.size < 4) continue;
			const need = target - sum;
			if (need > most || table.count(need) === 0) continue;
			table.each(need, (a, b) => {
				const [first, second] = [tabled[a]!.place, tabled[b]!.place];
				if (chosen.has(first) || chosen.has(second)) return true;
				const set = earliest(groups, [...chosen, first, second]);
				found.set(set.join(), set);
				return false;
			});
			if (found.size >= keep) break;
		}
	}
	const sets = [...found.values()].sort(compareSets);
	return { sets, count: sets.length, all: false };
}

/** The same amounts, taking the earliest of equal ones. */
function earliest(groups: ReturnType<typeof amountGroups>, places: readonly number[]): number[] {
	const chosen = new Set(places);
	return groups
		.flatMap((group) => {
			const taken = group.places.filter((place) => chosen.has(place)).length;
			return group.places.slice(0, taken);
		})
		.sort((a, b) => a - b);
}

/** The same row of numbers from nought to one for the same seed (mulberry32). */
function numbers(seed: number): () => number {
	let state = seed + 0x6d2b79f5;
	return () => {
		state = (state + 0x6d2b79f5) | 0;
		let t = Math.imul(state ^ (state >>> 15), 1 | state);
		t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
		return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
	};
}

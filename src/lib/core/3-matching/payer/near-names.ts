import { wordsOfName } from '../../text/name-key';

/** Words that stand beside a name and tell no two apart. */
const BESIDE = new Set(
	'MR MRS MS MISS DR PROF HERR FRAU MME MLLE SR SRA SIG UK GB DE FR NL GROUP HOLDING HOLDINGS ACCOUNT ACCT CLIENT TRADING AS TA FIRMA SOCIETE'.split(
		' '
	)
);
/** A word shorter than this may not have a slip in it: too many others are as near. */
const SHORTEST_SLIP = 5;
/** A word may be shortened to so many letters. */
const SHORTEST_PART = 3;
/** A shorter name, all its words together, is nearly too many others. */
const SHORTEST_NAME = 9;
/** Names looked at for one that is sought, and words of a name. */
const MOST_LOOKED = 5_000;
const MOST_WORDS = 10;

/**
 * An index of names for finding one that is written nearly so: its words in another order, shortened, or with one letter wrong,
 * missing, too many or swapped with the next. The cost of a look-up follows the rarest word and not the number of names.
 */
export class NearNames {
	readonly #names: readonly (readonly string[])[];
	/** Places of the names that have a word. */
	readonly #having = new Map<string, number[]>();
	/** Words by what is left of them without one letter. */
	readonly #slips = new Map<string, string[]>();
	readonly #sorted: readonly string[];

	/** Names by their keys (see `nameKey`), each once. */
	constructor(readonly keys: readonly string[]) {
		this.#names = keys.map((key) => told(key.split(' ')));
		this.#names.forEach((words, at) => {
			for (const word of new Set(words)) {
				const list = this.#having.get(word);
				if (list) list.push(at);
				else this.#having.set(word, [at]);
			}
		});
		this.#sorted = [...this.#having.keys()].sort();
		for (const word of this.#sorted)
			if (word.length >= SHORTEST_SLIP - 1)
				for (const left of [word, ...withoutOne(word)]) {
					const list = this.#slips.get(left);
					if (list) list.push(word);
					else this.#slips.set(left, [word]);
				}
	}

	/** The keys that a name as printed is nearly: those with the fewest slips, ascending; empty where none is near. */
	find(printed: string): string[] {
		const sought = told(wordsOfName(printed));
		if (sought.length === 0 || sought.length > MOST_WORDS || sought.join('').length < SHORTEST_NAME)
			return [];
		// Every word has to be in the name: those that have the rarest of them are all there can be.
		let rarest: readonly string[] | null = null;
		let fewest = Infinity;
		for (const word of sought) {
			const near = this.#near(word);
			const having = near.reduce((sum, one) => sum + this.#having.get(one)!.length, 0);
			if (having === 0) return [];
			if (having < fewest) [rarest, fewest] = [near, having];
		}
		if (rarest === null || fewest > MOST_LOOKED) return [];
		const places = new Set(rarest.flatMap((one) => this.#having.get(one)!));
		let least = Infinity;
		let best: string[] = [];
		for (const place of places) {
			const slips = slipsBetween(sought, this.#names[place]!);
			if (slips === null || slips > least) continue;
			if (slips < least) best = [];
			least = slips;
			best.push(this.keys[place]!);
		}
		return best.sort();
	}

	/** Words of the index that a word may stand for. */
	#near(word: string): string[] {
		const near = new Set<string>();
		if (this.#having.has(word)) near.add(word);
		// A number stands for itself alone.
		if (/\d/.test(word)) return [...near];
		for (let length = SHORTEST_PART; length < word.length; length++)
			if (this.#having.has(word.slice(0, length))) near.add(word.slice(0, length));
		if (word.length >= SHORTEST_PART) {
			let [low, high] = [0, this.#sorted.length];
			while (low < high) {
				const middle = (low + high) >> 1;
				if (this.#sorted[middle]! < word) low = middle + 1;
				else high = middle;
			}
			for (let at = low; this.#sorted[at]?.startsWith(word); at++) near.add(this.#sorted[at]!);
		}
		if (word.length >= SHORTEST_SLIP)
			for (const left of [word, ...withoutOne(word)])
				for (const one of this.#slips.get(left) ?? []) if (isSlip(word, one)) near.add(one);
		return [...near];
	}
}

/** The words that tell a name from others; all where none does. */
function told(words: readonly string[]): readonly string[] {
	const kept = words.filter((word) => !BESIDE.has(word));
	return kept.length ? kept : words;
}

/**
 * What it costs to read one row of words as the other, each word for one: nothing for the same, one for a shortened one, two for
 * a slip, a half for each that stands elsewhere. Null where a word is left over on either side, or more than one has a slip.
 */
function slipsBetween(sought: readonly string[], name: readonly string[]): number | null {
	if (sought.length !== name.length) return null;
	const taken = new Set<number>();
	let slips = 0;
	let wrong = 0;
	for (const [at, word] of sought.entries()) {
		let best = -1;
		let cost = Infinity;
		for (const [place, one] of name.entries()) {
			if (taken.has(place)) continue;
			const here = costOf(word, one);
			if (here === null) continue;
			const all = here + (place === at ? 0 : 0.5);
			if (all < cost) [best, cost] = [place, all];
		}
		if (best < 0) return null;
		taken.add(best);
		slips += cost;
		if (cost >= 2) wrong++;
	}
	return wrong > 1 ? null : slips;
}

/** What it costs to read one word as another; null where it can't be. */
function costOf(word: string, one: string): number | null {
	if (word === one) return 0;
	if (/\d/.test(word) || /\d/.test(one)) return null;
	const [short, long] = word.length < one.length ? [word, one] : [one, word];
	if (short.length >= SHORTEST_PART && long.startsWith(short)) return 1;
	return word.length >= SHORTEST_SLIP && isSlip(word, one) ? 2 : null;
}

/** Whether two words differ by one letter wrong, missing, too many or swapped with the next. */
export function isSlip(a: string, b: string): boolean {
	if (a === b || Math.abs(a.length - b.length) > 1) return false;
	let i = 0;
	while (i < a.length && a[i] === b[i]) i++;
	const [restA, restB] = [a.slice(i), b.slice(i)];
	if (a.length === b.length)
		return (
			restA.slice(1) === restB.slice(1) ||
			(restA[0] === restB[1] && restA[1] === restB[0] && restA.slice(2) === restB.slice(2))
		);
	return a.length < b.length ? restA === restB.slice(1) : restA.slice(1) === restB;
}

function withoutOne(word: string): string[] {
	return Array.from(word, (_, i) => word.slice(0, i) + word.slice(i + 1));
}

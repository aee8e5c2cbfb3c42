import type { Band } from '../answer';
import type { Payer } from '../payer/find-payer';

/** What a set of items is, seen as something that a payer may have meant. */
export type SetKind = 'one' | 'until' | 'until-but-one' | 'all' | 'set';

/**
 * How often a payer who names nothing means such a thing, before the amount is looked at: one item, all up to a day, all that is
 * open, or some set of so many items; and anything else (a part, a round sum, something that is not open). The one table of
 * these. They are assumptions, set by judgement and not measured on any firm's payments; `npm run bench -- hard` shows what they lead to.
 */
const HOW_OFTEN = {
	one: 0.7,
	until: 0.06,
	all: 0.04,
	butOne: 0.01,
	other: 0.1,
	sets: [0, 0, 0.1, 0.05, 0.03, 0.02]
} as const;
const LARGER_SETS = 0.01;
/** Payers who say "statement" or "to date" mean it so much more often. */
const SAID = 8;

/**
 * The weight of one meaning before it is compared: how often its kind is meant, shared among all meanings of that kind that the
 * account offers (`items` open ones).
 */
export function weightOf(kind: SetKind, size: number, items: number, upToDate: boolean): number {
	if (kind === 'one') return HOW_OFTEN.one / items;
	if (kind === 'all') return HOW_OFTEN.all * (upToDate ? SAID : 1);
	if (kind === 'until') return (HOW_OFTEN.until * (upToDate ? SAID : 1)) / (2 * items);
	if (kind === 'until-but-one') return (HOW_OFTEN.butOne * (upToDate ? SAID : 1)) / (items * items);
	return (HOW_OFTEN.sets[size] ?? LARGER_SETS) / choices(items, size);
}

/** The weight of "something else, and the sum is a coincidence": round sums coincide more often. */
export function weightOfCoincidence(amount: number, largest: number): number {
	const step = STEPS.find((one) => amount % one === 0) ?? 1;
	return (HOW_OFTEN.other * step) / Math.max(largest, LEAST_SPREAD);
}
/** Minor units to which sums are rounded, the coarsest first. */
const STEPS = [100_000, 10_000, 5_000, 1_000, 500, 100, 50, 10] as const;
const LEAST_SPREAD = 200_000;

/** In how many ways so many can be chosen of so many. */
function choices(items: number, size: number): number {
	let ways = 1;
	for (let i = 0; i < Math.min(size, items - size); i++) ways *= (items - i) / (i + 1);
	return ways;
}

/** What stands against being sure, whatever the figures say. */
export interface Doubts {
	/** Which of equal items is meant is not known. */
	readonly equal: boolean;
	/** The words speak of a part, something taken off, or money on account, or name a number that is not ours. */
	readonly words: boolean;
}

/** From here on an answer by its amount alone is certain: one in so many may be a coincidence. */
const SURE = {
	account: { one: 0.995, more: 0.999 },
	name: { one: 0.9993, more: 0.9993 },
	part: { one: 0.99995, more: 1 }
} as const;
const LIKELY = 0.7;

/**
 * The band of an answer that nothing but its amount speaks for: how probable it is among all other meanings, by how well the
 * payer is known. A name that was cut off or is nearly one is half a proof: only one item with a sum of its own is certain with
 * it. One that stands in the words only is none: a person looks.
 */
export function bandOfSet(probability: number, size: number, payer: Payer['by'], doubts: Doubts): Band {
	if (probability < LIKELY) return 'choose';
	if (doubts.equal || doubts.words || (payer !== 'account' && payer !== 'name' && payer !== 'part'))
		return 'likely';
	return probability >= SURE[payer][size === 1 ? 'one' : 'more'] ? 'certain' : 'likely';
}

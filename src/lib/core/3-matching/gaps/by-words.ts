import { minor } from '../../money/minor';
import type { Answer, Reason } from '../answer';
import type { Habits } from '../lessons/habits';
import { remittancePhrases } from '../../text/remittance-phrases';
import { atMostLikely, onLast, withGap, type Short } from './short';

/** A larger part of what is owed, in percent, is no tax that a customer withholds. */
const MOST_TAX = 35;
/** A gap no larger than this, in minor units and as a share of what is open, is an odd penny. */
const SMALL = { most: 99, share: 50 } as const;

/** Rates, in basis points, at which tax is withheld from payments across a border. */
const RATES = new Set([500, 750, 1_000, 1_250, 1_500, 2_000, 2_500, 3_000]);

/**
 * The words say that tax was withheld, or it was withheld at just this rate before; or a payment in another currency than the
 * firm's own is short by just a usual rate, and no terms allow a discount.
 */
export function byTax(short: Short, habits: Habits, baseCurrency: string | null): Answer | null {
	const { receipt, items, open, gap, answer } = short;
	if (gap * 100 > open * MOST_TAX) return null;
	const basisPoints = Math.round((10_000 * gap) / open);
	const exact = Math.abs((open * basisPoints) / 10_000 - gap) < 1;
	const { tax } = remittancePhrases(receipt.text);
	const before = habits.taxRates.some((one) => one.basisPoints === basisPoints) && exact;
	const abroad = baseCurrency !== null && receipt.currency !== baseCurrency;
	const terms = items.some((item) => item.discountBasisPoints !== null);
	const usual = abroad && exact && RATES.has(basisPoints) && !terms;
	if (tax === null && !before && !usual) return null;
	const reasons: Reason[] = [
		{
			...{ code: 'tax-said', words: tax ?? '', basisPoints: exact ? basisPoints : 0, before },
			...{ amount: minor(gap), currency: receipt.currency }
		}
	];
	return withGap(short, 'withholding_tax', shares(short), reasons, atMostLikely(answer.band));
}

/** The words say why less was paid: a claim of the customer, for a person to accept. */
export function byClaim(short: Short): Answer | null {
	const { claim } = remittancePhrases(short.receipt.text);
	if (!claim) return null;
	const reasons = [{ code: 'claim-said', words: claim.words, claim: claim.reason }] as const;
	return withGap(short, 'claim', onLast(short), reasons, atMostLikely(short.answer.band));
}

/** A gap of pennies is one that nobody asks for. */
export function bySmallness(short: Short): Answer | null {
	const { gap, open, answer } = short;
	if (gap > SMALL.most || gap * SMALL.share > open) return null;
	// Digits swapped in typing say what the gap is: the rest is owed.
	if (answer.reasons.some(({ code }) => code === 'digits-swapped')) return null;
	return withGap(short, 'small_difference', onLast(short), [], atMostLikely(answer.band));
}

/** The gap shared among the items by what is open of each, so that it comes to the penny. */
function shares({ items, open, gap }: Short): number[] {
	let [before, given] = [0, 0];
	return items.map((item) => {
		before += item.open;
		const upTo = Math.round((gap * before) / open);
		const own = upTo - given;
		given = upTo;
		return own;
	});
}

import { minor } from '../../money/minor';
import { typicalSums } from '../../money/typical-sums';
import type { Answer } from '../answer';
import type { Habits } from '../lessons/habits';
import { atMostLikely, MOST_FEE, onLast, payerKnown, withGap, type Short } from './short';

/** The bank states the charges that it kept, and they are just the gap: certain where the payer is known, for nothing is left open. */
export function byStatedCharges(short: Short): Answer | null {
	const { receipt, gap, answer } = short;
	if (!receipt.charges || receipt.charges !== gap) return null;
	const sure = answer.band === 'likely' && payerKnown(answer);
	const band = answer.band === 'choose' ? 'likely' : sure ? 'certain' : answer.band;
	const { currency } = receipt;
	const reasons = [{ code: 'charges-stated', amount: minor(gap), currency }] as const;
	return withGap(short, 'bank_charge', onLast(short), reasons, band);
}

/** A gap of a sum that banks kept of this customer's payments before. */
export function byHabitOfCharges(short: Short, habits: Habits, customer: string): Answer | null {
	const { receipt, gap, answer } = short;
	const { currency } = receipt;
	const known = habits.charges.find((one) => one.amount === gap && one.currency === currency);
	if (!known) return null;
	const { times } = known;
	const reasons = [{ code: 'charge-habit', times, customer, amount: minor(gap), currency }] as const;
	return withGap(short, 'bank_charge', onLast(short), reasons, atMostLikely(answer.band));
}

/** A payment in another currency than the firm's own, short by a sum that banks on the way usually keep. */
export function byUsualCharge(short: Short, baseCurrency: string | null): Answer | null {
	const { receipt, gap, open, answer } = short;
	const { currency } = receipt;
	if (baseCurrency === null || currency === baseCurrency) return null;
	const { chargeLeast, chargeMost, chargeStep } = typicalSums(currency);
	const usual = gap >= chargeLeast && gap <= chargeMost && gap % chargeStep === 0;
	if (!usual || gap * MOST_FEE > open) return null;
	// Digits swapped in typing say what the gap is.
	if (answer.reasons.some(({ code }) => code === 'digits-swapped')) return null;
	const reasons = [{ code: 'charge-usual', amount: minor(gap), currency }] as const;
	return withGap(short, 'bank_charge', onLast(short), reasons, atMostLikely(answer.band));
}

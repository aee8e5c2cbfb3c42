import { addDays, daysBetween } from '../../day/arithmetic';
import { proportion } from '../../money/proportion';
import type { OpenItem } from '../../model/records';
import { minor } from '../../money/minor';
import type { Answer, Reason } from '../answer';
import { discountDaysAllowed, type Habits } from '../lessons/habits';
import { payerKnown, withGap, type Short } from './short';

/** Days after the last day of a discount on which it is still taken for one: banks and weekends. */
export const GRACE = 3;

/**
 * All of the gap is the discount that the terms of all items, or of just one, allow, of what is open or of the whole document. In
 * time it is certain where the payer is known; some days late it is for a person to allow, as many days late as it was allowed
 * before, and so is one that was rounded otherwise.
 */
export function byDiscount(short: Short, habits: Habits): Answer | null {
	const { receipt, items, gap, answer } = short;
	const grace = Math.max(GRACE, discountDaysAllowed(habits));
	const allowed = (base: 'open' | 'total') =>
		items.map((item) =>
			item.discountBasisPoints && item.discountUntil && receipt.booked <= addDays(item.discountUntil, grace)
				? proportion(item[base], item.discountBasisPoints, 10_000)
				: 0
		);
	const exact = (['open', 'total'] as const)
		.map(allowed)
		.map((each) => (sumOf(each) === gap ? each : onlyOne(each, gap)))
		.find((each) => each !== null);
	const offs = exact ?? roundedOtherwise(items, allowed('open'), gap);
	if (!offs) return null;
	const taken = items.filter((_, i) => offs[i]! > 0);
	const late = Math.max(...taken.map((item) => daysBetween(item.discountUntil!, receipt.booked)));
	const [first] = taken;
	const reasons: Reason[] = [
		{
			code: 'discount-taken',
			basisPoints: first!.discountBasisPoints!,
			until: first!.discountUntil!,
			amount: minor(gap),
			currency: receipt.currency
		}
	];
	if (late > GRACE) reasons.push({ code: 'late-discount-habit', ...habits.lateDiscount });
	const sure = exact !== undefined && late <= 0 && answer.band === 'likely' && payerKnown(answer);
	return withGap(short, 'settlement_discount', offs, reasons, sure ? 'certain' : answer.band);
}

const sumOf = (list: readonly number[]) => list.reduce((sum, off) => sum + off, 0);

/** The discounts with none but the first that is just the gap; null where none is. */
function onlyOne(offs: readonly number[], gap: number): readonly number[] | null {
	const at = offs.indexOf(gap);
	return at < 0 ? null : offs.map((off, i) => (i === at ? off : 0));
}

/** All discounts, where each that is no whole number of minor units may have been rounded the other way: the last takes it. */
function roundedOtherwise(
	items: readonly OpenItem[],
	offs: readonly number[],
	gap: number
): readonly number[] | null {
	// How many could be a unit more, having been rounded down, and how many a unit less.
	let [more, less] = [0, 0];
	for (const [i, { open, discountBasisPoints }] of items.entries()) {
		if (offs[i] === 0) continue;
		const rest = (BigInt(open) * BigInt(discountBasisPoints!)) % 10_000n;
		if (rest >= 5_000n) less++;
		else if (rest > 0n) more++;
	}
	const apart = gap - sumOf(offs);
	const last = offs.findLastIndex((off) => off > 0);
	if (apart > more || apart < -less || last < 0 || offs[last]! + apart <= 0) return null;
	return offs.map((off, i) => (i === last ? off + apart : off));
}

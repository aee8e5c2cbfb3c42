import { addDays } from '../day/arithmetic';
import type { Day } from '../day/day';
import type { DaySpan, LateSpan } from '../model/late-span';

/** What is open of an item from a day on: at the end of that day and of those after it, until the next. */
export interface OpenFrom {
	readonly from: Day;
	readonly open: number;
}

/**
 * The days of a span on which something was late, cut where the amount or the rate changes, or where days are left out (in dispute,
 * promised). Days without a rate, and those on which nothing was open, are no part of it.
 * @param opens oldest first
 * @param rates oldest first
 */
export function lateSpans(
	{ from, to }: DaySpan,
	opens: readonly OpenFrom[],
	rates: readonly { readonly from: Day; readonly basisPoints: number }[],
	leftOut: readonly DaySpan[]
): LateSpan[] {
	if (from > to) return [];
	// Each day on which something changes begins a piece.
	const starts = new Set<Day>([from]);
	for (const day of [
		...opens.map((one) => one.from),
		...rates.map((one) => one.from),
		...leftOut.flatMap((one) => [one.from, addDays(one.to, 1)])
	])
		if (day > from && day <= to) starts.add(day);
	const cuts = [...starts].sort();
	const spans: LateSpan[] = [];
	cuts.forEach((start, n) => {
		const end = n + 1 < cuts.length ? addDays(cuts[n + 1]!, -1) : to;
		const open = lastBy(opens, start)?.open ?? 0;
		const basisPoints = lastBy(rates, start)?.basisPoints ?? 0;
		if (open <= 0 || basisPoints <= 0) return;
		if (leftOut.some((one) => one.from <= start && start <= one.to)) return;
		const before = spans.at(-1);
		const joins =
			before && before.open === open && before.basisPoints === basisPoints && addDays(before.to, 1) === start;
		if (joins) spans[spans.length - 1] = { ...before, to: end };
		else spans.push({ from: start, to: end, open, basisPoints });
	});
	return spans;
}

/** The last of a list that begins on a day or before it. */
function lastBy<T extends { readonly from: Day }>(list: readonly T[], day: Day): T | undefined {
	let found: T | undefined;
	for (const one of list) {
		if (one.from > day) break;
		found = one;
	}
	return found;
}

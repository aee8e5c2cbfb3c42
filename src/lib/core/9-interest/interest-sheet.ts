import { append } from '../append';
import { addDays } from '../day/arithmetic';
import type { Day } from '../day/day';
import { minor, type Minor } from '../money/minor';
import { interestOf } from './interest-of';
import type { InterestTerms } from './interest-terms';
import { lateSpans, type OpenFrom } from './late-spans';
import type { DaySpan, LateSpan } from '../model/late-span';

/** Interest that was charged on an item before, and stands. */
export interface Charged extends DaySpan {
	/** By which the charge is known. */
	readonly id: number;
	readonly amount: Minor;
}

/** An item that may bear interest. Amounts in minor units of its currency. */
export interface InterestItem {
	readonly id: number;
	readonly due: Day;
	/** Whether it is interest itself. */
	readonly isInterest: boolean;
	/** What was open of it over time, oldest first. */
	readonly opens: readonly OpenFrom[];
	/** Days on which it was in dispute or promised. */
	readonly leftOut: readonly DaySpan[];
	readonly charged: readonly Charged[];
	/** Whether compensation was charged for it before. */
	readonly isCompensated: boolean;
}

/** One row of the sheet: what is charged on an item, with the days that it is for. */
export interface InterestRow extends DaySpan {
	readonly itemId: number;
	readonly spans: readonly LateSpan[];
	readonly amount: Minor;
	readonly compensation: Minor;
}

/** What was charged too much on days before, because a payment came to be known later. */
export interface InterestCorrection extends DaySpan {
	readonly itemId: number;
	readonly chargeId: number;
	readonly charged: Minor;
	readonly shouldBe: Minor;
}

export interface InterestSheet {
	readonly rows: readonly InterestRow[];
	readonly corrections: readonly InterestCorrection[];
	/** What is charged, compensation among it. */
	readonly charge: Minor;
	/** What is given back. */
	readonly credit: Minor;
	/** Whether it comes to less than is worth charging; what is given back is given back all the same. */
	readonly isSmall: boolean;
}

/**
 * The interest of one account up to a day: each day of each item is charged once. Days that were charged are reckoned anew from what is
 * known now, and what was too much is given back; what was too little is not asked for again.
 */
export function interestSheet(
	items: readonly InterestItem[],
	terms: InterestTerms,
	through: Day
): InterestSheet {
	const rows: InterestRow[] = [];
	const corrections: InterestCorrection[] = [];
	for (const item of items) {
		if (item.isInterest && !terms.onInterest) continue;
		for (const one of item.charged) {
			const shouldBe = interestOf(lateSpans(one, item.opens, terms.rates, item.leftOut), terms.dayCount);
			if (shouldBe < one.amount)
				corrections.push({
					...{ itemId: item.id, chargeId: one.id, from: one.from, to: one.to },
					...{ charged: one.amount, shouldBe }
				});
		}
		append(rows, rowsOf(item, terms, through));
	}
	const charge = rows.reduce((sum, row) => sum + row.amount + row.compensation, 0);
	const credit = corrections.reduce((sum, one) => sum + one.charged - one.shouldBe, 0);
	return {
		...{ rows, corrections, charge: minor(charge), credit: minor(credit) },
		isSmall: charge < terms.least || charge === 0
	};
}

/** A row for each stretch of days that was not charged: one, unless a charge between others was taken back. */
function rowsOf(item: InterestItem, terms: InterestTerms, through: Day): InterestRow[] {
	const first = addDays(item.due, terms.graceDays + 1);
	const rows = freeSpans({ from: first, to: through }, item.charged).flatMap((free): InterestRow[] => {
		const spans = lateSpans(free, item.opens, terms.rates, item.leftOut);
		if (spans.length === 0) return [];
		const amount = interestOf(spans, terms.dayCount);
		return [{ itemId: item.id, from: spans[0]!.from, to: free.to, spans, amount, compensation: minor(0) }];
	});
	const [head] = rows;
	if (head && !item.isCompensated && !item.isInterest) {
		const most = Math.max(...rows.flatMap((row) => row.spans.map((span) => span.open)));
		rows[0] = { ...head, compensation: lastBand(terms, most)?.amount ?? minor(0) };
	}
	return rows.filter((row) => row.amount > 0 || row.compensation > 0);
}

function lastBand({ compensation }: InterestTerms, open: number) {
	return [...compensation].reverse().find((band) => open >= band.from);
}

/** The days of a span that were not charged. */
function freeSpans({ from, to }: DaySpan, charged: readonly DaySpan[]): DaySpan[] {
	const free: DaySpan[] = [];
	let next = from;
	for (const one of [...charged].sort((a, b) => (a.from < b.from ? -1 : 1))) {
		if (one.from > to) break;
		if (one.from > next) free.push({ from: next, to: addDays(one.from, -1) });
		if (one.to >= next) next = addDays(one.to, 1);
	}
	if (next <= to) free.push({ from: next, to });
	return free;
}

import { describe, expect, it } from 'vitest';
import { addDays } from '../../day/arithmetic';
import { day } from '../../day/day';
import { sampleItem } from '../../model/sample-item';
import type { DifferenceKind, OpenItem } from '../../model/records';
import { minor } from '../../money/minor';
import {
	discountDaysAllowed,
	FIRM_HABIT,
	learnHabits,
	LESSONS,
	lessonsOf,
	NO_HABITS,
	paysByStatement,
	paysOldestFirst,
	paysOntoOldest,
	without,
	type Taught
} from './habits';
import { lessonOf, lessonOfPast, type AllocationLesson } from './lesson-of';

const due = (n: number) => addDays(day('2026-09-01'), n);
const item = (id: number, days: number, open: number, over: Partial<OpenItem> = {}) =>
	sampleItem(id, open, { due: due(days), ...over });
const line = (one: OpenItem, cash = one.open as number, gap?: [DifferenceKind, number]) => ({
	item: one,
	cash: minor(cash),
	differences: gap ? [{ kind: gap[0], amount: minor(gap[1]) }] : []
});
const lesson = (lines: ReturnType<typeof line>[], others: OpenItem[] = [], booked = '2026-10-01') =>
	lessonOf({ booked: day(booked), lines, others });

describe('what one posting teaches', () => {
	const [a, b, c, d] = [item(1, 1, 1_000), item(2, 5, 2_100), item(3, 9, 3_300), item(4, 20, 4_700)];
	it.each<[string, AllocationLesson | null, Partial<AllocationLesson> | null]>([
		['the oldest, where there was a choice', lesson([line(a)], [b, c]), { choice: 'oldest' }],
		['a newer one, while an older was open', lesson([line(b)], [a, c]), { choice: 'other' }],
		['the only one there was', lesson([line(a)]), { choice: null }],
		['one of two equal ones', lesson([line(a)], [item(9, 3, 1_000)]), { choice: null }],
		['a claim beside it is no choice', lesson([line(a)], [{ ...b, kind: 'claim' }]), { choice: null }],
		[
			'all that was due by a day',
			lesson([line(a), line(b), line(c)], [d]),
			{ wholeUpTo: true, choice: 'oldest' }
		],
		['two are a set like any', lesson([line(a), line(b)], [d]), { wholeUpTo: false }],
		['all but an older one', lesson([line(b), line(c), line(d)], [a]), { wholeUpTo: false, choice: 'other' }],
		['the oldest, the last in part', lesson([line(a), line(b, 500)], [c]), { filled: true }],
		['in part, but not the last', lesson([line(a, 500), line(b)], [c]), { filled: false }],
		['short, with a name for it', lesson([line(a, 900, ['claim', 50])], [c]), { filled: false }],
		['what a bank kept', lesson([line(a, 985, ['bank_charge', 15])]), { bankCharge: minor(15) }],
		['tax of a tenth', lesson([line(a, 900, ['withholding_tax', 100])]), { taxBasisPoints: 1_000 }],
		['a credit note alone', lesson([line({ ...a, kind: 'credit_note' }, -1_000)]), null],
		['nothing', lesson([]), null]
	])('%s', (_, got, want) => (want === null ? expect(got).toBeNull() : expect(got).toMatchObject(want)));

	it('how late a discount was granted', () => {
		const offered = item(7, 30, 10_000, { discountUntil: day('2026-09-25') });
		const taken = line(offered, 9_800, ['settlement_discount', 200]);
		expect(lesson([taken], [], '2026-10-01')!.discountDaysLate).toBe(6);
		expect(lesson([taken], [], '2026-09-20')!.discountDaysLate).toBe(-5);
	});
	it('of a history only what closed the gap', () => {
		const past = {
			...{ customerCode: 'C1', date: day('2026-05-01'), amount: minor(9_000), currency: 'EUR' },
			...{ payerName: null, payerAccount: null, numbers: [] }
		};
		expect(
			lessonOfPast({ ...past, difference: { kind: 'withholding_tax', amount: minor(1_000) } })
		).toMatchObject({
			...{ taxBasisPoints: 1_000, bankCharge: null, choice: null }
		});
		expect(lessonOfPast(past)).toMatchObject({ taxBasisPoints: null, bankCharge: null });
	});
});

const NOTHING: Taught = {
	...{ choice: null, wholeUpTo: false, filled: false, currency: 'GBP' },
	...{ discountDaysLate: null, bankCharge: null, taxBasisPoints: null }
};
const times = (n: number, over: Partial<Taught>) =>
	Array.from({ length: n }, () => ({ ...NOTHING, ...over }));

describe('what makes a habit', () => {
	it('always the oldest, three times; one exception and it is none', () => {
		expect(paysOldestFirst(learnHabits(times(2, { choice: 'oldest' })))).toBe(false);
		const three = times(3, { choice: 'oldest' });
		expect(paysOldestFirst(learnHabits(three))).toBe(true);
		expect(paysOldestFirst(learnHabits(three), FIRM_HABIT)).toBe(false);
		expect(paysOldestFirst(learnHabits([...three, ...times(1, { choice: 'other' })]))).toBe(false);
	});
	it('most of the payments, three at least', () => {
		expect(paysByStatement(learnHabits(times(3, { wholeUpTo: true })))).toBe(true);
		expect(paysByStatement(learnHabits([...times(3, { wholeUpTo: true }), ...times(3, {})]))).toBe(false);
		expect(paysOntoOldest(learnHabits(times(2, { filled: true })))).toBe(false);
		expect(paysOntoOldest(learnHabits([...times(4, { filled: true }), ...times(3, {})]))).toBe(true);
	});
	it('a discount late three times is allowed as late as ever, one in time teaches nothing', () => {
		const late = [4, 9, 6].flatMap((days) => times(1, { discountDaysLate: days }));
		expect(discountDaysAllowed(learnHabits(late))).toBe(9);
		expect(discountDaysAllowed(learnHabits(late.slice(1)))).toBe(0);
		expect(discountDaysAllowed(learnHabits(times(5, { discountDaysLate: -2 })))).toBe(0);
	});
	it('the same charge twice, the same rate twice; in their own currencies', () => {
		const habits = learnHabits([
			...times(2, { bankCharge: minor(1_500), currency: 'EUR' }),
			...times(1, { bankCharge: minor(1_500) }),
			...times(3, { taxBasisPoints: 1_000 })
		]);
		expect(habits.charges).toEqual([{ amount: 1_500, currency: 'EUR', times: 2 }]);
		expect(habits.taxRates).toEqual([{ basisPoints: 1_000, times: 3 }]);
	});
	it('what is forgotten is gone, and nothing else', () => {
		const all = times(6, {
			...{ choice: 'oldest', wholeUpTo: true, filled: true, discountDaysLate: 5 },
			...{ bankCharge: minor(900), taxBasisPoints: 500 }
		});
		expect(lessonsOf(learnHabits(all))).toEqual(LESSONS);
		for (const gone of LESSONS)
			expect(lessonsOf(learnHabits(all.map((one) => without(one, gone))))).toEqual(
				LESSONS.filter((one) => one !== gone)
			);
		expect(lessonsOf(NO_HABITS)).toEqual([]);
	});
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, daysBetween } from '../../day/arithmetic';
import { day, type Day } from '../../day/day';
import { ZERO } from '../../money/minor';
import { callWorth } from './call-order';
import { chaseAccount, itemsAskedFor, type ChasedItem, type ChaseOrder } from './chase-account';
import { nextStep, type TakenStep } from './next-step';
import type { ChasingStep } from './policy';

const step = (id: string, days: number, over: Partial<ChasingStep> = {}): ChasingStep => ({
	...{ id, name: id, after: 'due', days, least: ZERO, wording: 'reminder', way: 'usual' },
	...{ copies: [], attach: false, effect: 'nothing' },
	...over
});
const STEPS = [
	step('before', -3),
	step('first', 7),
	step('second', 14, { after: 'step' }),
	step('call', 5, { after: 'step', way: 'phone' }),
	step('final', 60)
];
const due = day('2026-10-01');
const on = (days: number): Day => addDays(due, days);
const taken = (...all: readonly [string, number][]): TakenStep[] =>
	all.map(([id, days]) => ({ step: id, day: on(days) }));

describe('the next step on an item', () => {
	it.each([
		['before it is due', [], -5, 'before', -3],
		['on the due day it still is', [], 0, 'before', -3],
		['once due, a step before the day lapses', [], 1, 'first', 7],
		['by days after the due day', [], 20, 'first', 7],
		['by days after the step before', taken(['first', 9]), 20, 'second', 23],
		['the call follows its letter', taken(['first', 9], ['second', 30]), 31, 'call', 35],
		[
			'by the due day, though the step before was long ago',
			taken(['first', 9], ['second', 23], ['call', 30]),
			31,
			'final',
			60
		],
		// Taken late by a holiday: the next keeps its distance.
		[
			'never within a day of the one before',
			taken(['first', 9], ['second', 23], ['call', 80]),
			81,
			'final',
			81
		],
		['a step that was taken off the ladder counts as its first', taken(['gone', 4]), 10, 'first', 14],
		['two of them as two', taken(['gone', 4], ['lost', 8]), 10, 'second', 22]
	] as const)('%s', (_, before, today, id, from) => {
		const next = nextStep(STEPS, due, before, on(today))!;
		expect([next.step.id, daysBetween(due, next.from)]).toEqual([id, from]);
	});
	it('is none once the last was taken', () =>
		expect(nextStep(STEPS, due, taken(['final', 60]), on(99))).toBeNull());

	const ladder = fc
		.array(
			fc.record({
				days: fc.integer({ min: 1, max: 30 }),
				after: fc.constantFrom('due' as const, 'step' as const)
			}),
			{ minLength: 1, maxLength: 5 }
		)
		.map((all) => {
			let sum = 0;
			return all.map(({ days, after }, n) =>
				step(`s${n}`, after === 'step' ? days : (sum += days), { after })
			);
		});
	it('whoever runs on whichever days: each step once, in order, none before its day, none on one day with another', () =>
		fc.assert(
			fc.property(ladder, fc.array(fc.integer({ min: 0, max: 200 }), { maxLength: 40 }), (steps, days) => {
				const done: { step: string; day: Day; index: number }[] = [];
				for (const run of [...new Set(days)].sort((a, b) => a - b)) {
					const next = nextStep(steps, due, done, on(run));
					if (next && next.from <= on(run))
						done.push({ step: next.step.id, day: on(run), index: next.index });
				}
				expect(done.map((one) => one.index)).toEqual(done.map((_, n) => n));
				done.forEach((one, n) => {
					const own = steps[one.index]!;
					if (own.after === 'due') expect(one.day >= on(own.days)).toBe(true);
					if (n === 0) return;
					const gap = daysBetween(done[n - 1]!.day, one.day);
					expect(gap).toBeGreaterThanOrEqual(own.after === 'step' ? own.days : 1);
				});
			})
		));
	it('run every day, each comes on its very day', () =>
		fc.assert(
			fc.property(ladder, (steps) => {
				const done: TakenStep[] = [];
				for (let today = 0; today <= 200; today++) {
					const next = nextStep(steps, due, done, on(today));
					if (next && next.from <= on(today)) done.push({ step: next.step.id, day: on(today) });
				}
				let before = 0;
				steps.forEach((own, n) => {
					const last = steps[n - 1];
					const wanted =
						own.after === 'step'
							? before + own.days
							: Math.max(
									own.days,
									last ? before + (last.after === 'due' ? Math.max(1, own.days - last.days) : 1) : 0
								);
					expect(daysBetween(due, done[n]!.day)).toBe(wanted);
					before = wanted;
				});
			})
		));
});

describe('an account that is chased', () => {
	const item = (id: number, dueDays: number, open: number, ...steps: [string, number][]): ChasedItem => ({
		...{ id, open, base: open, due: on(dueDays), taken: taken(...steps) }
	});
	const chase = (over: Partial<ChaseOrder>) =>
		chaseAccount({ steps: STEPS, today: on(30), items: [], promises: [], dated: 0, ...over });
	const ids = (all: readonly { readonly id: number }[]) => all.map((one) => one.id);

	it('reaches the firmest step of its items; each of them its own', () => {
		const found = chase({ items: [item(1, 0, 100, ['first', 8]), item(2, 20, 50), item(3, 29, 70)] });
		expect(found.letters.map((one) => [one.id, one.step.id])).toEqual([
			[1, 'second'],
			[2, 'first']
		]);
		expect(found.step?.step.id).toBe('second');
		expect(found.next).toEqual({ name: 'first', day: on(36) });
	});
	it('is called where the step is a call', () => {
		const found = chase({ items: [item(1, 0, 100, ['first', 7], ['second', 21])] });
		expect([ids(found.letters), ids(found.calls)]).toEqual([[], [1]]);
	});
	it('waits for what was promised: the items named, or the oldest', () => {
		const items = [item(1, 0, 100), item(2, 1, 50), item(3, 2, 70)];
		const named = chase({ items, promises: [{ left: 50, items: [2] }] });
		expect([ids(named.letters), [...named.promised]]).toEqual([[1, 3], [2]]);
		const oldest = chase({ items, promises: [{ left: 120, items: [] }] });
		expect([ids(oldest.letters), [...oldest.promised]]).toEqual([[3], [1, 2]]);
	});
	it('waits for a cheque that covers an item whole, and not for one that does in part', () => {
		const items = [item(1, 0, 100), item(2, 1, 50)];
		expect([149, 150, 99].map((dated) => [...chase({ items, dated }).covered])).toEqual([[1], [1, 2], []]);
	});
	it('is asked for all that is late but what was promised or is covered, also where no step is due on that', () => {
		const items = [item(1, 0, 100, ['first', 29]), item(2, 1, 50, ['first', 29]), item(3, 2, 70)];
		const asked = (over: Partial<ChaseOrder>) => ids(itemsAskedFor(chase({ items, ...over }), items, on(30)));
		expect(asked({})).toEqual([1, 2, 3]);
		expect(asked({ promises: [{ left: 50, items: [2] }] })).toEqual([1, 3]);
		expect(asked({ dated: 150 })).toEqual([3]);
		// What falls due soon and reaches a step is asked for, too.
		const soon = [item(4, 32, 10)];
		expect(ids(itemsAskedFor(chase({ items: soon }), soon, on(30)))).toEqual([4]);
	});
	it('is looked at first where its next step was missed', () => {
		expect(chase({ items: [item(1, -20, 100, ['first', -10])], today: on(34) }).isMissed).toBe(false);
		expect(chase({ items: [item(1, -20, 100, ['first', -10])], today: on(35) }).isMissed).toBe(true);
		// Never chased before: it begins at the beginning.
		expect(chase({ items: [item(1, -90, 100)] }).isMissed).toBe(false);
	});
});

describe('what a call may bring', () => {
	it.each([
		[{ amount: 1_000, daysLate: 20, kept: 0, made: 0 }, 1_000],
		[{ amount: 1_000, daysLate: 70, kept: 0, made: 0 }, 1_500],
		[{ amount: 1_000, daysLate: 20, kept: 2, made: 2 }, 1_500],
		[{ amount: 1_000, daysLate: 20, kept: 0, made: 2 }, 500],
		[{ amount: -5, daysLate: 20, kept: 0, made: 0 }, 0]
	])('%j', (facts, worth) => expect(callWorth(facts).worth).toBe(worth));
	it('rises with the amount and with each promise kept', () =>
		fc.assert(
			fc.property(fc.nat(1e9), fc.nat(400), fc.nat(20), fc.nat(20), (amount, daysLate, kept, broken) => {
				const of = (n: number, k: number) =>
					callWorth({ amount: n, daysLate, kept: k, made: k + broken }).worth;
				expect(of(amount + 1_000, kept)).toBeGreaterThanOrEqual(of(amount, kept));
				expect(of(amount, kept + 1)).toBeGreaterThanOrEqual(of(amount, kept));
			})
		));
});

import type { Habits, Lesson } from '../../core/3-matching';
import { count, list, money, percent } from './format';

/** What a habit is called where it is named in a few words. */
export const LESSON_NAMES: Readonly<Record<Lesson, string>> = {
	oldestFirst: 'the oldest first',
	byStatement: 'all that is due by a day',
	fillsOldest: 'sums of their own onto the oldest',
	lateDiscount: 'the discount late',
	charges: 'less what banks keep',
	taxRates: 'less tax'
};

/** Says what was learned of a customer's way of paying, with what it was learned from. */
export function habitSentence(habits: Habits, lesson: Lesson): string {
	switch (lesson) {
		case 'oldestFirst':
			return `Pays the oldest first: every time there was a choice, ${habits.oldestFirst.times} times.`;
		case 'byStatement':
			return `Usually pays all that is due by a day: ${habits.byStatement.times} of ${count(habits.byStatement.of, 'payment')}.`;
		case 'fillsOldest':
			return `Usually pays sums of their own onto the oldest: ${habits.fillsOldest.times} of ${count(habits.fillsOldest.of, 'payment')}.`;
		case 'lateDiscount':
			return `Took the discount up to ${count(habits.lateDiscount.days, 'day')} late and was allowed it, ${habits.lateDiscount.times} times.`;
		case 'charges':
			return `Banks on the way keep ${list(habits.charges.map((one) => `${money(one.amount, one.currency)} (${one.times} times)`))}.`;
		case 'taxRates':
			return `Withholds tax of ${list(habits.taxRates.map((one) => `${percent(one.basisPoints)} (${one.times} times)`))}.`;
		default:
			return lesson satisfies never;
	}
}

import type { WhyNot } from '../../core/3-matching';
import { money } from './format';

/** Says what stood in the way of an item, in a sentence. */
export function whyNotSentence(why: WhyNot): string {
	switch (why.code) {
		case 'other-currency':
			return `It is owed in ${why.of}, and ${why.came} came.`;
		case 'in-other-answer':
			return `It is in answer ${why.place} of ${why.of} that fit.`;
		case 'words-name-others':
			return 'The words name others, and not this one.';
		case 'not-named':
			return 'The words do not name it.';
		case 'older-equal':
			return `${why.number} is open at the same sum and is older.`;
		case 'more-than-came':
			return `It is ${money(why.by, why.currency)} more than came.`;
		case 'less-than-came':
			return `Alone it leaves ${money(why.by, why.currency)}, for which no set with it was better.`;
		case 'credit-would-leave':
			return `With this credit ${money(why.by, why.currency)} more would have to be allocated.`;
		default:
			return why satisfies never;
	}
}

import type { ItemLine } from '../../core/model/act-facts';
import { DIFFERENCE_NAMES } from './difference-names';
import { money } from './format';

/** What would be done to one item, as a line of a list. */
export function itemLineSentence({ kind, number, amount, currency }: ItemLine): string {
	const sum = money(Math.abs(amount), currency);
	switch (kind) {
		case 'allocated':
			return amount < 0 ? `${sum} taken off ${number}` : `${sum} allocated to ${number}`;
		case 'billed_back':
			return `${sum} of ${number} billed back`;
		case 'settled_before':
			return `${sum} of ${number} settled before`;
		default:
			return amount < 0
				? `${sum} owed again on ${number}`
				: `${sum} off ${number} as ${DIFFERENCE_NAMES[kind].toLowerCase()}`;
	}
}

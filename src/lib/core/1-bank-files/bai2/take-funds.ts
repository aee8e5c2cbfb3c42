import { readShortDate } from '../short-date';
import type { Day } from '../../day/day';
import type { Bai2Record } from './record';

/** A `D` of more parts than this is not one. */
const MOST_PARTS = 999;

/**
 * Takes the funds type of an amount and what belongs to it, so that the next field is the one after: nothing for Z, 0, 1 and 2; three amounts
 * for S; a day and a time for V; a number and so many pairs of days and amounts for D (BAI version 2, records 03 and 16).
 * @returns the value date of V, or null; `bad` with what is written where it is none of these
 */
export function takeFunds(record: Bai2Record): { readonly valued: Day | null } | { readonly bad: string } {
	const type = record.take();
	switch (type) {
		case '':
		case 'Z':
		case '0':
		case '1':
		case '2':
			return { valued: null };
		case 'S':
			for (let n = 0; n < 3; n++) record.take();
			return { valued: null };
		case 'V': {
			const text = record.take();
			record.take();
			const valued = text === '' ? null : readShortDate(text);
			return text !== '' && !valued ? { bad: text } : { valued };
		}
		case 'D': {
			const count = record.take();
			if (!/^\d{1,3}$/.test(count) || Number(count) > MOST_PARTS) return { bad: `D,${count}` };
			for (let n = 0; n < 2 * Number(count); n++) record.take();
			return { valued: null };
		}
		default:
			return { bad: type };
	}
}

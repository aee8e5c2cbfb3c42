import { describe, expect, it } from 'vitest';
import { day } from '../day/day';
import { readDateNear, readShortDate } from './short-date';

describe('dates of two figures a part', () => {
	it.each([
		['261028', '2026-10-28'],
		['991231', '1999-12-31'],
		['800101', '1980-01-01'],
		['790101', '2079-01-01'],
		['260229', null],
		['280229', '2028-02-29'],
		['261301', null],
		['26102', null],
		['2610 8', null]
	])('%s is %s', (text, want) => expect(readShortDate(text)).toBe(want));

	it.each([
		['1028', '2026-10-28', '2026-10-28'],
		['1231', '2027-01-02', '2026-12-31'],
		['0102', '2026-12-30', '2027-01-02'],
		['0229', '2028-03-01', '2028-02-29'],
		['0229', '2027-03-01', null],
		['1301', '2026-10-28', null],
		['0000', '2026-10-28', null]
	])('%s beside %s is %s', (text, near, want) => expect(readDateNear(text, day(near))).toBe(want));
});

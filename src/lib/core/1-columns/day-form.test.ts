import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { dayOrderOf, readDayAs } from './day-form';

describe('dates of a column', () => {
	test.each<[string, string[], ReturnType<typeof dayOrderOf>]>([
		['one above 12 tells it for all', ['01/02/2026', '31/10/2026'], 'day-first'],
		['so does one in the middle', ['01/02/2026', '10/31/2026'], 'month-first'],
		['both contradict', ['31/10/2026', '10/31/2026'], null],
		['none tells', ['01/02/2026', '03/04/2026'], 'either'],
		['the same both ways need not be asked', ['01/01/2026', '2/2/26'], 'day-first'],
		['dots put the day first', ['01.02.2026'], 'day-first'],
		['year first needs no order', ['2026-01-02'], 'day-first'],
		['nothing there', [], 'day-first']
	])('%s', (_, texts, want) => expect(dayOrderOf(texts)).toBe(want));
	test.each<[string, 'day-first' | 'month-first', string | null]>([
		['31.10.2026', 'day-first', '2026-10-31'],
		['1.2.26', 'day-first', '2026-02-01'],
		['01/02/2026', 'month-first', '2026-01-02'],
		['2026-10-31', 'month-first', '2026-10-31'],
		['2026/10/31', 'day-first', '2026-10-31'],
		['20261031', 'day-first', '2026-10-31'],
		['2026-10-31T12:30:00', 'day-first', '2026-10-31'],
		['31/10/2026 00:00', 'day-first', '2026-10-31'],
		['31 Oct 2026', 'day-first', '2026-10-31'],
		['31-Okt-26', 'day-first', '2026-10-31'],
		['3 août 2026', 'day-first', '2026-08-03'],
		['3 juillet 2026', 'day-first', '2026-07-03'],
		['3 juin 2026', 'day-first', '2026-06-03'],
		['1 März 2026', 'day-first', '2026-03-01'],
		['31.02.2026', 'day-first', null],
		['10/31/2026', 'day-first', null],
		['31/10-2026', 'day-first', null],
		['2026-1031', 'day-first', null],
		['soon', 'day-first', null],
		['', 'day-first', null],
		['1'.repeat(100_000), 'day-first', null]
	])('%s, %s', (text, order, want) => expect(readDayAs(text, order)).toBe(want));
	it('what is written in an order is read in it', () =>
		fc.assert(
			fc.property(
				fc.date({ min: new Date('2000-01-01'), max: new Date('2099-12-31'), noInvalidDate: true }),
				fc.constantFrom('/', '-', '.'),
				(date, sign) => {
					const iso = date.toISOString().slice(0, 10);
					const [year, month, day] = iso.split('-');
					expect(readDayAs([day, month, year].join(sign), 'day-first')).toBe(iso);
					expect(readDayAs([month, day, year].join(sign), 'month-first')).toBe(iso);
					expect(readDayAs([year, month, day].join(sign), 'month-first')).toBe(iso);
				}
			)
		));
});

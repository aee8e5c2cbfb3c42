import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { day } from '../day/day';
import { minor } from '../money/minor';
import { doubtfulEntries } from './doubtful-entries';
import { entryWords } from './entry-words';

const DAYS = [day('2026-10-28'), day('2026-10-29')];

describe('entries that may be in the books already', () => {
	test('are those of a day and amount that another file has, too, each with all that it may be', () => {
		const one = fc.record({
			booked: fc.constantFrom(...DAYS),
			amount: fc.integer({ min: -2, max: 2 }).map(minor)
		});
		fc.assert(
			fc.property(fc.array(one), fc.array(one), (entries, others) => {
				const known = others.map((other, id) => ({ ...other, id }));
				const found = doubtfulEntries(
					entries.map((entry, place) => ({ ...entry, place })),
					known
				);
				for (const [place, { booked, amount }] of entries.entries())
					expect(found.get(place) ?? []).toEqual(
						known.filter((other) => other.booked === booked && other.amount === amount)
					);
			})
		);
	});
	test.each([
		['who paid and what they wrote', { text: 'TRF', details: [['HAZEL', 'INV 1']] }, 'HAZEL INV 1'],
		[
			'of each payment of a batch',
			{
				text: 'TRF',
				details: [
					['HAZEL', ''],
					[null, 'INV 2']
				]
			},
			'HAZEL INV 2'
		],
		['of the entry where no payment says anything', { text: ' TRF ', details: [[null, ' ']] }, 'TRF'],
		['nothing where there is nothing', { text: '', details: [] }, '']
	])('words: %s', (_, { text, details }, words) => {
		const given = details.map(([counterpartyName, said]) => ({ counterpartyName, text: said }));
		expect(entryWords({ text, details: given } as unknown as Parameters<typeof entryWords>[0])).toBe(words);
	});
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { day } from '../day/day';
import { minor, ZERO } from '../money/minor';
import { pairEntries, type EntryLooks } from './pair-entries';

function looks(text: string, over: { amount?: number; reference?: string; name?: string } = {}): EntryLooks {
	return {
		booked: day('2026-10-28'),
		amount: minor(over.amount ?? 1000),
		entryReference: over.reference ?? null,
		bankReference: null,
		text: '',
		details: [
			{
				...{ amount: null, counterpartyName: over.name ?? null, counterpartyAccount: null },
				...{ endToEndId: null, structuredReference: null, text },
				...{ charges: ZERO, instructed: null, returnReason: null }
			}
		]
	};
}
const paired = (entries: readonly EntryLooks[], known: readonly EntryLooks[], wholeDays = true) =>
	[
		...pairEntries(
			entries.map((one, place) => ({ ...one, place })),
			known.map((one, id) => ({ ...one, id })),
			wholeDays
		)
	]
		.sort((a, b) => a[0] - b[0])
		.map(([place, id]) => `${place}=${id}`);

describe('the same entry in two formats', () => {
	it.each<readonly [string, readonly EntryLooks[], readonly EntryLooks[], boolean, readonly string[]]>([
		[
			'by its reference, whatever the words',
			[looks('AA BB', { reference: 'R1' })],
			[looks('CCC'), looks('DDD', { reference: 'R 1' })],
			false,
			['0=1']
		],
		[
			'by its words, cut otherwise',
			[looks('INV AK-40081 HAZEL HILL')],
			[looks('AK-40081', { name: 'HAZEL HILL POTTERY' })],
			false,
			['0=0']
		],
		['not by a day and amount alone', [looks('INV AK-40081')], [looks('RENT OCTOBER')], false, []],
		['not by one word of many', [looks('INVOICE AKA OCT')], [looks('INVOICE BEE NOV')], false, []],
		[
			'by one word, where all of the day is listed',
			[looks('INVOICE AKA OCT')],
			[looks('INVOICE BEE NOV')],
			true,
			['0=0']
		],
		['not without a common word, even there', [looks('INV AK-40081')], [looks('RENT OCTOBER')], true, []],
		['without words, where all of the day is listed', [looks('')], [looks('RENT OCTOBER')], true, ['0=0']],
		['not without words otherwise', [looks('')], [looks('RENT OCTOBER')], false, []],
		['not another amount', [looks('RENT', { amount: 1001 })], [looks('RENT')], true, []],
		[
			'the most alike first',
			[looks('INV AAA BBB'), looks('INV CCC DDD')],
			[looks('INV CCC DDD EEE'), looks('INV AAA')],
			true,
			['0=1', '1=0']
		],
		[
			'each once',
			[looks('RENT'), looks('RENT'), looks('RENT')],
			[looks('RENT'), looks('RENT')],
			true,
			['0=0', '1=1']
		]
	])('%s', (_, entries, known, wholeDays, want) => expect(paired(entries, known, wholeDays)).toEqual(want));

	const some = fc.array(
		fc
			.record({ text: fc.constantFrom('AAA', 'AAA BBB', 'CCC', ''), amount: fc.constantFrom(1, 2) })
			.map(({ text, amount }) => looks(text, { amount })),
		{ maxLength: 8 }
	);
	it('is never two, and of its own day and amount', () =>
		fc.assert(
			fc.property(some, some, fc.boolean(), (entries, known, wholeDays) => {
				const pairs = pairEntries(
					entries.map((one, place) => ({ ...one, place })),
					known.map((one, id) => ({ ...one, id })),
					wholeDays
				);
				expect(new Set(pairs.values()).size).toBe(pairs.size);
				for (const [place, id] of pairs) expect(entries[place]!.amount).toBe(known[id]!.amount);
			})
		));
	it('is found for all where the same list comes again in another order', () =>
		fc.assert(
			fc.property(some, (entries) => {
				expect(paired(entries, [...entries].reverse())).toHaveLength(entries.length);
			})
		));
});

import { expect, test } from 'vitest';
import { day } from '../../core/day/day';
import type { Undoing } from '../../server/allocation/queries/what-undoing-does';
import { undoingSentence } from './undoing-sentence';

const NOTHING: Undoing = {
	...{ kind: 'allocate-receipt', parts: 1, opens: [], opensCount: 0 },
	...{ waits: [], accounts: [], date: null }
};
const gbp = (amount: number) => [{ amount, currency: 'GBP' }];

test.each<[Partial<Undoing>, string]>([
	[
		{ opens: ['AK-1', 'AK-2'], opensCount: 2, waits: gbp(12_300) },
		'Opens AK-1 and AK-2 again; £123.00 waits in Money in again.'
	],
	[
		{ kind: 'set-aside', waits: gbp(-1_850), accounts: ['Bank charges'] },
		'Takes £18.50 off Bank charges; it waits in Money in again.'
	],
	[
		{ kind: 'book-unidentified', waits: gbp(8_041), accounts: ['Unidentified receipts'] },
		'Takes £80.41 off Unidentified receipts; it waits in Money in again.'
	],
	[
		{ kind: 'match-bank-entry', waits: gbp(4_250), accounts: ['Money on its way'] },
		'£42.50 waits in Money in again; what it was matched to is on its way again.'
	],
	[
		{
			...{ kind: 'post-certain', parts: 31, opens: ['AK-1', 'AK-2', 'AK-3'], opensCount: 40 },
			...{ waits: [...gbp(100), { amount: 200, currency: 'EUR' }], date: day('2026-11-01') }
		},
		'Undoes 31 postings; opens AK-1, AK-2, AK-3 and 37 more again; £1.00 waits in Money in again; €2.00 waits in Money in again; it is dated 1 Nov 2026, because the day of the posting is locked.'
	],
	[
		{ kind: 'allocate-credits', opens: ['AK-1'], opensCount: 1 },
		'Opens AK-1 again; the credit is on account again.'
	],
	[{}, '']
])('%o', (one, said) => expect(undoingSentence({ ...NOTHING, ...one })).toBe(said));

import { expect, test } from 'vitest';
import type { PostingFacts } from '../../core/model/posting-facts';
import { postingSentence } from './posting-sentence';

const NOTHING: PostingFacts = {
	...{ currency: 'GBP', settles: [], leaves: [], uses: [], earlier: 0, gaps: [], fees: [] },
	...{ left: 0, surplus: null, depositFor: '', exchange: null }
};
const euro = { currency: 'EUR', millionths: 858_000, day: '2026-10-28', source: 'rates.csv' };

test.each<[Partial<PostingFacts>, string]>([
	[{}, 'Does nothing.'],
	[{ settles: ['AK-1', 'AK-2'] }, 'Settles AK-1 and AK-2.'],
	[{ leaves: [{ label: 'AK-1', amount: 12_580, currency: 'GBP' }] }, 'Leaves £125.80 of AK-1 open.'],
	[
		{ settles: ['AK-1'], gaps: [{ kind: 'claim', amount: 4540, currency: 'GBP' }], left: 900 },
		'Settles AK-1; opens a claim of £45.40; leaves £9.00 on account.'
	],
	[
		{ uses: ['AC-4'], earlier: 5000, fees: [{ kind: 'processor_fee', amount: 160 }] },
		'Uses AC-4; uses £50.00 of earlier money; books £1.60 as processor fee.'
	],
	[{ left: 500, depositFor: ' CK-9 ' }, 'Leaves £5.00 on account for order CK-9.'],
	[{ left: 500, surplus: 'refund' }, 'Marks £5.00 to be paid back.'],
	[
		{ settles: ['AK-1'], exchange: { amount: -210, baseCurrency: 'GBP', rates: [euro] } },
		'Settles AK-1; books £2.10 exchange loss (EUR at 0.8580 of 28 Oct 2026, rates.csv).'
	],
	[
		{ exchange: { amount: 33, baseCurrency: 'GBP', rates: [{ ...euro, source: '' }] } },
		'Books £0.33 exchange gain (EUR at 0.8580 of 28 Oct 2026).'
	],
	[{ exchange: { amount: 0, baseCurrency: 'GBP', rates: [] } }, 'Books no exchange difference.']
])('%o', (facts, said) => expect(postingSentence({ ...NOTHING, ...facts })).toBe(said));

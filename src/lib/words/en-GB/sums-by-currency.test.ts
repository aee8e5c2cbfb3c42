import { expect, test } from 'vitest';
import { sumsByCurrency } from './sums-by-currency';

test.each<[readonly (readonly [number, string])[], string]>([
	[[], ''],
	[[[1200, 'GBP']], '£12.00'],
	[
		[
			[1200, 'GBP'],
			[300, 'EUR'],
			[-200, 'GBP']
		],
		'£10.00 and €3.00'
	],
	[
		[
			[500, 'JPY'],
			[1, 'GBP'],
			[2, 'EUR']
		],
		'JPY 500, £0.01 and €0.02'
	]
])('%o come to %s', (rows, said) =>
	expect(sumsByCurrency(rows.map(([amount, currency]) => ({ amount, currency })))).toBe(said)
);

import { describe, expect, test } from 'vitest';
import { minor } from '../money/minor';
import { imbalance } from './imbalance';
import { journalOfDocument } from './journal-of-document';

const document = {
	id: 7,
	customerId: 1,
	currency: 'GBP',
	net: minor(10000),
	tax: minor(2000),
	netBase: minor(10000),
	taxBase: minor(2000)
};
const plain = (lines: ReturnType<typeof journalOfDocument>) =>
	lines.map((l) => [l.account, l.customerId, l.amount, l.base]);

test.each([
	[
		'invoice',
		[
			['1100', 1, 12000, 12000],
			['4000', null, -10000, -10000],
			['2200', null, -2000, -2000]
		]
	],
	[
		'credit_note',
		[
			['1100', 1, -12000, -12000],
			['4000', null, 10000, 10000],
			['2200', null, 2000, 2000]
		]
	],
	[
		'charge',
		[
			['1100', 1, 12000, 12000],
			['4200', null, -10000, -10000],
			['2200', null, -2000, -2000]
		]
	]
] as const)('%s', (kind, want) => expect(plain(journalOfDocument({ ...document, kind }))).toEqual(want));

describe('an opening balance', () => {
	const opened = (kind: 'invoice' | 'charge' | 'credit_note', taxHere: boolean) =>
		plain(journalOfDocument({ ...document, kind, opening: { taxHere } }));
	test('is no income, and its tax was accounted for before', () => {
		for (const kind of ['invoice', 'charge'] as const)
			expect(opened(kind, false)).toEqual([
				['1100', 1, 12000, 12000],
				['3900', null, -12000, -12000]
			]);
		expect(opened('credit_note', false)).toEqual([
			['1100', 1, -12000, -12000],
			['3900', null, 12000, 12000]
		]);
	});
	test('has its tax apart where it is still to be accounted for', () => {
		expect(opened('invoice', true)).toEqual([
			['1100', 1, 12000, 12000],
			['3900', null, -10000, -10000],
			['2200', null, -2000, -2000]
		]);
	});
});

test('finds what a journal is out by, in each currency and in base', () => {
	const lines = journalOfDocument({ ...document, kind: 'invoice' });
	expect(imbalance(lines.slice(0, 2))).toEqual(
		new Map([
			['GBP', 2000],
			['base', 2000]
		])
	);
});

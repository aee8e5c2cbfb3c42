import { describe, expect, it, test } from 'vitest';
import type { Posting } from '../model/posting';
import { minor } from '../money/minor';
import { CHART, DIFFERENCE_ACCOUNT } from './chart';
import { imbalance } from './imbalance';
import { numberPosting } from './number-posting';
import { journalOfPosting } from './journal-of-posting';
import { journalOfSetAside } from './journal-of-set-aside';
import { reverseJournal } from './reverse-journal';

const receipt = {
	receiptId: 1,
	amount: minor(9000),
	base: minor(7700),
	currency: 'EUR',
	customerId: 1,
	ledger: '1210',
	bankEntryId: 7
};
const plain = (lines: ReturnType<typeof journalOfSetAside>) =>
	lines.map((l) => [l.account, l.customerId, l.amount, l.base]);

const numbers = (posting: Posting) =>
	numberPosting(posting, { allocation: 11, difference: 21, receiptAdjustment: 31 });

describe('a receipt allocated', () => {
	const posting = (itemBase: number): Posting => ({
		allocations: [
			{
				source: { receiptId: 1 },
				creditCustomerId: 1,
				creditCurrency: 'EUR',
				itemId: 2,
				itemCustomerId: 1,
				itemCurrency: 'EUR',
				amount: minor(9000),
				creditAmount: minor(9000),
				itemBase: minor(itemBase),
				creditBase: minor(7700)
			}
		],
		differences: [
			{
				itemId: 2,
				customerId: 1,
				currency: 'EUR',
				kind: 'bank_charge',
				amount: minor(100),
				base: minor(85)
			}
		],
		receiptAdjustments: [],
		credits: [],
		changes: []
	});
	test.each([
		['gain', 7650, ['1100', 1, 0, 50], [CHART.currencyGain.code, null, 0, -50]],
		['loss', 7760, ['1100', 1, 0, -60], [CHART.currencyLoss.code, null, 0, 60]]
	] as const)('books bank, difference and currency %s', (_, itemBase, control, other) => {
		const lines = journalOfPosting(receipt, numbers(posting(itemBase)));
		expect(plain(lines)).toEqual([
			['1210', null, 9000, 7700],
			['1100', 1, -9000, -7700],
			['7100', null, 100, 85],
			['1100', 1, -100, -85],
			control,
			other
		]);
		expect(imbalance(lines).size).toBe(0);
		expect(imbalance([...lines, ...reverseJournal(lines)]).size).toBe(0);
	});
	it('says nothing of currency where the bases agree', () =>
		expect(journalOfPosting(receipt, numbers(posting(7700)))).toHaveLength(4));
});

describe('who is credited', () => {
	const part = {
		source: { receiptId: 1 },
		creditCustomerId: 1,
		creditCurrency: 'GBP',
		itemId: 2,
		itemCustomerId: 2,
		itemCurrency: 'GBP',
		amount: minor(400),
		creditAmount: minor(400),
		itemBase: minor(400),
		creditBase: minor(400)
	};
	const posting = (over: Partial<Posting>): Posting => ({
		allocations: [],
		differences: [],
		receiptAdjustments: [],
		credits: [],
		changes: [],
		...over
	});
	test.each<[string, Posting, unknown[]]>([
		[
			'the owner of the invoice, from the payer',
			posting({ allocations: [part] }),
			[
				['1100', 1, 400, 400],
				['1100', 2, -400, -400]
			]
		],
		[
			'an invoice in another currency, through exchange',
			posting({
				allocations: [
					{ ...part, itemCustomerId: 1, itemCurrency: 'EUR', amount: minor(470), itemBase: minor(410) }
				]
			}),
			[
				['1100', 1, 400, 400],
				['1295', null, -400, -400],
				['1295', null, 470, 400],
				['1100', 1, -470, -400],
				['1100', 1, 0, -10],
				['7400', null, 0, 10]
			]
		],
		[
			'a claim, from its invoice',
			posting({
				differences: [
					{ itemId: 2, customerId: 1, currency: 'GBP', kind: 'claim', amount: minor(45), base: minor(45) }
				]
			}),
			[
				['1100', 1, 45, 45],
				['1100', 1, -45, -45]
			]
		],
		[
			'a fee that was kept, and what is to be paid back',
			posting({
				receiptAdjustments: [
					{
						receiptId: 1,
						customerId: 1,
						currency: 'GBP',
						kind: 'processor_fee',
						amount: minor(15),
						base: minor(15)
					},
					{
						receiptId: 1,
						customerId: 1,
						currency: 'GBP',
						kind: 'refund',
						amount: minor(-100),
						base: minor(-100)
					}
				]
			}),
			[
				['7110', null, 15, 15],
				['1100', 1, -15, -15],
				['2160', null, -100, -100],
				['1100', 1, 100, 100]
			]
		]
	])('%s', (_, one, want) => {
		const lines = journalOfPosting(null, numbers(one));
		expect(plain(lines)).toEqual(want);
		expect(imbalance(lines).size).toBe(0);
	});
});

it('sets aside in either direction', () => {
	const lines = journalOfSetAside({
		amount: minor(-500),
		base: minor(-500),
		currency: 'GBP',
		bankLedger: '1200',
		bankEntryId: 3,
		account: '7100'
	});
	expect(plain(lines)).toEqual([
		['1200', null, -500, -500],
		['7100', null, 500, 500]
	]);
});

it('posts the VAT that is in what is set aside, and balances in both currencies', () => {
	const lines = journalOfSetAside({
		...{ amount: minor(-1200), base: minor(-1001), currency: 'EUR', bankLedger: '1210', bankEntryId: 3 },
		...{ account: '7500', vatBasisPoints: 2000 }
	});
	expect(plain(lines)).toEqual([
		['1210', null, -1200, -1001],
		['7500', null, 1000, 834],
		['2200', null, 200, 167]
	]);
	expect(imbalance(lines).size).toBe(0);
});

it('says what of the sub-ledger each line of receivables stands for, and no other line', () => {
	const move = { ...receipt, currency: 'GBP' };
	const part = {
		...{ source: { receiptId: 1 }, creditCustomerId: 1, creditCurrency: 'GBP', itemId: 2 },
		...{ itemCustomerId: 2, itemCurrency: 'GBP', amount: minor(400), creditAmount: minor(400) },
		...{ itemBase: minor(390), creditBase: minor(400) }
	};
	const claim = { kind: 'document' as const, id: 8, itemId: 9, receiptId: null };
	const lines = journalOfPosting(
		move,
		numbers({
			allocations: [part],
			differences: [
				{ itemId: 2, customerId: 2, currency: 'GBP', kind: 'claim', amount: minor(45), base: minor(45) }
			],
			receiptAdjustments: [
				{
					...{ receiptId: 1, customerId: 1, currency: 'GBP', kind: 'refund' },
					...{ amount: minor(-5), base: minor(-5) }
				}
			],
			credits: [],
			changes: []
		}),
		{ receiptId: 1, claims: new Map([[21, claim]]) }
	);
	const says = (line: (typeof lines)[number]) =>
		line.source && [line.source.kind, line.source.id, line.source.itemId, line.source.receiptId, line.amount];
	const control = lines.filter((line) => line.account === '1100');
	expect(lines.every((line) => (line.account === '1100') === (line.source !== null))).toBe(true);
	expect(control.map(says)).toEqual([
		['receipt', 1, null, 1, -move.amount],
		['receipt-adjustment', 31, null, 1, 5],
		['document', 8, 9, null, 45],
		['deduction', 21, 2, 1, -45],
		['allocation', 11, 2, 1, 400],
		['allocation', 11, 2, 1, -400],
		['allocation', 11, 2, 1, 0]
	]);
	const back = reverseJournal(control, (source) => ({ ...source, id: source.id + 100 }));
	expect(back.map((line) => line.source!.id)).toEqual([101, 131, 108, 121, 111, 111, 111]);
});

it('has an account of its own for every kind of difference', () =>
	expect(new Set(Object.values(DIFFERENCE_ACCOUNT)).size).toBe(Object.keys(DIFFERENCE_ACCOUNT).length));

import { describe, expect, it } from 'vitest';
import { day } from '../../day/day';
import type { Customer, OpenItem, ReceiptFacts } from '../../model/records';
import { sampleItem } from '../../model/sample-item';
import { minor } from '../../money/minor';
import { proportion } from '../../money/proportion';
import { answerReceipts } from '../answering/answer-receipts';

const customer = (id: number): Customer => ({
	...{ id, code: `C${id}`, name: `Customer ${id}`, otherNames: [], payerAccounts: [`ACC${id}`] },
	...{ parentId: null, currency: 'GBP' }
});
const terms = { discountBasisPoints: 200, discountUntil: day('2026-10-28') };
const items: OpenItem[] = [
	sampleItem(1, 10_000, terms),
	sampleItem(2, 5_000, terms),
	sampleItem(3, 7_000),
	...[4, 5, 6, 7].map((id) => sampleItem(id, id * 11_311, { customerId: id }))
];
const customers = [1, 4, 5, 6, 7].map(customer);
let nextId = 1;
const receipt = (amount: number, text: string, over: Partial<ReceiptFacts> = {}): ReceiptFacts => ({
	...{ id: nextId++, booked: day('2026-10-28'), amount: minor(amount), currency: 'GBP', payerName: null },
	...{ payerAccount: 'ACC1', text, structuredReference: null, endToEndId: null },
	...over
});
const brief = (...receipts: ReceiptFacts[]) =>
	answerReceipts(receipts, { customers, items }).map(({ band, lines }) => [
		band,
		...lines.map((line) => [
			line.itemId,
			line.cash,
			...line.differences.flatMap((gap) => [gap.kind, gap.amount])
		])
	]);

describe('a discount', () => {
	it('of the terms, in time, settles the item and is certain', () => {
		expect(brief(receipt(9_800, 'AK-40001'))).toEqual([['certain', [1, 9_800, 'settlement_discount', 200]]]);
	});
	it('some days late it is for a person to allow; later it is none', () => {
		const late = { booked: day('2026-10-30') };
		expect(brief(receipt(9_800, 'AK-40001', late))).toEqual([
			['likely', [1, 9_800, 'settlement_discount', 200]]
		]);
		const later = { booked: day('2026-11-02') };
		expect(brief(receipt(9_800, 'AK-40001', later))).toEqual([['likely', [1, 9_800]]]);
	});
	it('of several items, or of one of them', () => {
		expect(brief(receipt(14_700, 'AK-40001 AK-40002'))).toEqual([
			['certain', [1, 9_800, 'settlement_discount', 200], [2, 4_900, 'settlement_discount', 100]]
		]);
		expect(brief(receipt(14_900, 'AK-40001 AK-40002'))).toEqual([
			['certain', [1, 10_000], [2, 4_900, 'settlement_discount', 100]]
		]);
	});
	it('of the whole document, where a part of it was paid before', () => {
		const part = [sampleItem(1, 6_000, { ...terms, total: minor(10_000) })];
		const [one] = answerReceipts([receipt(5_800, 'AK-40001')], { customers, items: part });
		expect([one!.band, one!.lines[0]!.differences]).toEqual([
			'certain',
			[{ kind: 'settlement_discount', amount: 200 }]
		]);
	});
	it('that was rounded otherwise is for a person to allow', () => {
		// 2 % of 102.30 is 2.046.
		const odd = [sampleItem(1, 10_230, terms)];
		const gap = (came: number) => {
			const [one] = answerReceipts([receipt(came, 'AK-40001')], { customers, items: odd });
			return [one!.band, ...one!.lines[0]!.differences.map(({ amount }) => amount)];
		};
		expect([gap(10_025), gap(10_026)]).toEqual([
			['certain', 205],
			['likely', 204]
		]);
		expect([gap(10_024), gap(10_027)]).toEqual([['likely'], ['likely']]);
	});
	it('a penny off is no discount', () => {
		expect(brief(receipt(9_799, 'AK-40001'))).toEqual([['likely', [1, 9_799]]]);
	});
	it('of an unknown payer is never certain', () => {
		expect(brief(receipt(9_800, 'AK-40001', { payerAccount: 'NEW' }))[0]![0]).not.toBe('certain');
	});
});

it('charges that the bank states are the gap, where they are just that', () => {
	expect(brief(receipt(6_250, 'AK-40003', { charges: minor(750) }))).toEqual([
		['certain', [3, 6_250, 'bank_charge', 750]]
	]);
	expect(brief(receipt(6_250, 'AK-40003', { charges: minor(700) }))).toEqual([['likely', [3, 6_250]]]);
});

describe('a processor', () => {
	const paid = (id: number, over: Partial<ReceiptFacts> = {}) => {
		const gross = id * 11_311;
		return receipt(gross - proportion(gross, 140, 10_000) - 20, `AK-${40_000 + id}`, {
			...{ payerName: 'PAYLOOM LTD', payerAccount: 'PROC' },
			...over
		});
	};
	it('that kept one tariff of several accounts kept a fee', () => {
		const answers = brief(paid(4), paid(5), paid(6));
		expect(answers.map(([band, line]) => [band, (line as unknown[])[2]])).toEqual([
			['likely', 'processor_fee'],
			['likely', 'processor_fee'],
			['likely', 'processor_fee']
		]);
	});
	it('the order of the file changes nothing', () => {
		const four = [paid(4), paid(5), paid(6), paid(7)];
		expect(brief(...[...four].reverse())).toEqual([...brief(...four)].reverse());
	});
	it('two payments teach no tariff, nor do three of one account', () => {
		expect(brief(paid(4), paid(5)).every(([, line]) => (line as unknown[]).length === 2)).toBe(true);
		const own = [1, 2, 3].map((id) => sampleItem(20 + id, 10_000 * id + 77));
		const shorts = own.map((item) =>
			receipt(item.open - proportion(item.open, 140, 10_000) - 20, item.number, { payerAccount: 'PROC' })
		);
		const answers = answerReceipts(shorts, { customers, items: own });
		expect(answers.flatMap((one) => one.lines.flatMap((line) => line.differences))).toEqual([]);
	});
});

describe('withholding tax of a payment from abroad', () => {
	const abroad = (came: number, over: Partial<OpenItem> = {}, baseCurrency = 'GBP') => {
		const owed = [sampleItem(1, 20_020, { currency: 'EUR', ...over })];
		const [one] = answerReceipts([receipt(came, 'AK-40001', { currency: 'EUR' })], {
			...{ customers, items: owed, baseCurrency }
		});
		return [one!.band, ...one!.lines[0]!.differences.map(({ kind, amount }) => `${kind} ${amount}`)];
	};
	it.each([
		['at a usual rate', 17_017, {}, 'GBP', ['likely', 'withholding_tax 3003']],
		['a penny beside it', 17_016, {}, 'GBP', ['likely']],
		['where terms allow a discount', 17_017, { discountBasisPoints: 200 }, 'GBP', ['likely']],
		['in the firm’s own currency', 17_017, {}, 'EUR', ['likely']]
	])('%s', (_, came, over, base, want) => expect(abroad(came, over, base)).toEqual(want));
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { day } from '../../day/day';
import type { Customer, ReceiptFacts } from '../../model/records';
import { sampleItem } from '../../model/sample-item';
import { minor } from '../../money/minor';
import { answerPile } from './answer-pile';
import { answerReceipts } from './answer-receipts';

const customer: Customer = {
	...{ id: 1, code: 'C1', name: 'Hazel Hill Pottery', otherNames: [], payerAccounts: ['ACC1'] },
	...{ parentId: null, currency: 'GBP' }
};
const items = [10_017, 20_043, 30_089].map((open, i) => sampleItem(i + 1, open));
const books = { customers: [customer], items };
const receipt = (id: number, amount: number, over: Partial<ReceiptFacts> = {}): ReceiptFacts => ({
	...{
		id,
		booked: day('2026-10-28'),
		amount: minor(amount),
		currency: 'GBP',
		payerName: 'Hazel Hill Pottery'
	},
	...{ payerAccount: 'ACC1', text: `AK-${40_000 + id}`, structuredReference: null, endToEndId: null },
	...over
});
const sound = [receipt(1, 10_017), receipt(2, 20_043), receipt(3, 30_089)];
/** A receipt on whose words the matcher throws, as a bug would. */
const broken = (id: number): ReceiptFacts =>
	Object.defineProperty(receipt(id, 500), 'text', {
		enumerable: true,
		get: () => {
			throw new TypeError('a bug on this receipt');
		}
	});

describe('a receipt that makes the matcher fail', () => {
	it('is answered "not yet" and named; the others are answered as without it', () => {
		const { answers, failures } = answerPile([sound[0]!, broken(9), ...sound.slice(1)], books);
		expect(answers.map((answer) => answer.receiptId)).toEqual([1, 9, 2, 3]);
		expect(answers.filter((answer) => answer.receiptId !== 9)).toEqual(answerReceipts(sound, books));
		expect(answers[1]).toMatchObject({ band: 'none', lines: [], reasons: [{ code: 'not-yet' }] });
		expect(failures).toMatchObject([{ receiptId: 9, error: new TypeError('a bug on this receipt') }]);
	});

	it('several of them, at any places, take none of the others with them', () => {
		fc.assert(
			fc.property(fc.subarray([4, 5, 6, 7]), fc.nat(3), (bad, place) => {
				const pile = [...sound.slice(0, place), ...bad.map(broken), ...sound.slice(place)];
				const { answers, failures } = answerPile(pile, books);
				expect(answers.map((answer) => answer.receiptId)).toEqual(pile.map((one) => one.id));
				expect(failures.map((one) => one.receiptId).sort()).toEqual([...bad].sort());
				expect(answers.filter((answer) => answer.receiptId <= 3)).toEqual(answerReceipts(sound, books));
			}),
			{ numRuns: 20 }
		);
	});
});

it('where they fail only together, each is answered alone and nothing is certain', () => {
	let reads = 0;
	// Fails the first time, when all are answered together, and not after.
	const once = Object.defineProperty(receipt(2, 20_043), 'text', {
		enumerable: true,
		get: () => {
			if (reads++ === 0) throw new RangeError('together only');
			return 'AK-40002';
		}
	});
	const { answers, failures } = answerPile([sound[0]!, once, sound[2]!], books);
	expect(failures).toMatchObject([{ receiptId: null, error: new RangeError('together only') }]);
	expect(answerReceipts(sound, books).some((answer) => answer.band === 'certain')).toBe(true);
	expect(answers.map((answer) => [answer.receiptId, answer.band, answer.lines.length])).toEqual([
		[1, 'likely', 1],
		[2, 'likely', 1],
		[3, 'likely', 1]
	]);
});

it('a sound pile is answered as ever', () => {
	expect(answerPile(sound, books)).toEqual({ answers: answerReceipts(sound, books), failures: [] });
});

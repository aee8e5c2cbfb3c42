import { describe, expect, it } from 'vitest';
import { day } from '../day/day';
import { findReturned, saysReturned, type DebitEntry, type EarlierPayment } from './find-returned';

const entry = (over: Partial<DebitEntry> = {}): DebitEntry => ({
	...{
		booked: day('2026-10-20'),
		amount: 12_000,
		currency: 'GBP',
		payerName: null,
		payerAccount: null,
		endToEndId: null
	},
	...{ text: 'RETURNED UNPAID', returnReason: null },
	...over
});
const paid = (receiptId: number, over: Partial<EarlierPayment> = {}): EarlierPayment => ({
	...{ receiptId, booked: day('2026-10-12'), amount: 12_000, payerName: 'HAZEL HILL POTTERY' },
	...{ payerAccount: 'GB00ZZAM7', endToEndId: null, text: 'AK-1041' },
	...over
});
const ids = (one: DebitEntry, ...payments: EarlierPayment[]) =>
	findReturned(one, payments).map((found) => found.receiptId);

describe('which payment came back', () => {
	it.each([
		['a reason code', entry({ text: '', returnReason: 'AC04' }), true],
		['English words', entry(), true],
		['German words', entry({ text: 'RÜCKLASTSCHRIFT' }), true],
		['French words', entry({ text: 'CHEQUE IMPAYE' }), true],
		['a supplier', entry({ text: 'our order 7741' }), false]
	])('%s tells that it is a return', (_, one, says) => expect(saysReturned(one)).toBe(says));

	it('the same reference beats the same account, that the name, and that the amount alone', () => {
		const one = entry({ endToEndId: 'E1', payerAccount: 'A1', payerName: 'Hazel Hill Pottery Ltd' });
		const found = ids(
			one,
			paid(1, { payerName: null }),
			paid(2, { payerName: 'HAZEL HILL POTTERY LTD' }),
			paid(3, { payerAccount: 'A1', payerName: null }),
			paid(4, { endToEndId: 'E1', payerName: null })
		);
		expect(found).toEqual([4, 3, 2, 1]);
	});

	it.each([
		['GBP', 5_000, true],
		['GBP', 5_001, false],
		['SEK', 20_000, true],
		['JPY', 5_001, false]
	])('in %s a bank may keep %i minor units for it: %s', (currency, fee, may) => {
		const one = entry({ currency, amount: 12_000 + fee, payerAccount: 'GB00ZZAM7' });
		expect(ids(one, paid(1))).toEqual(may ? [1] : []);
	});

	it('a number in the words of both counts; the newest comes first where nothing tells them apart', () => {
		expect(ids(entry({ text: 'UNPAID AK 1041' }), paid(1, { text: 'x' }), paid(2))).toEqual([2, 1]);
		expect(ids(entry(), paid(1), paid(2, { booked: day('2026-10-15') }))).toEqual([2, 1]);
	});

	it('may take a fee beyond the payment, but only with another clue', () => {
		const one = entry({ amount: 12_850 });
		expect(findReturned(one, [paid(1)])).toEqual([]);
		expect(findReturned({ ...one, payerAccount: 'GB00ZZAM7' }, [paid(1)])).toEqual([
			{ receiptId: 1, clues: ['account', 'amount-and-fee'], over: 850 }
		]);
	});

	it('leaves those with a fee out where one of just that amount is known by more', () => {
		const one = entry({ amount: 12_000, payerAccount: 'GB00ZZAM7' });
		expect(ids(one, paid(1), paid(2, { amount: 11_500 }))).toEqual([1]);
		expect(ids({ ...one, amount: 12_200 }, paid(1), paid(2, { amount: 11_500 }))).toEqual([2, 1]);
	});

	it.each([
		['less than was paid', entry({ amount: 11_999 })],
		['far more', entry({ amount: 40_000, payerAccount: 'GB00ZZAM7' })],
		['before the payment', entry({ booked: day('2026-10-01') })],
		['years after it', entry({ booked: day('2028-10-01') })],
		['words of something else', entry({ text: 'our order 7741' })]
	])('is none for %s', (_, one) => expect(ids(one, paid(1))).toEqual([]));
});

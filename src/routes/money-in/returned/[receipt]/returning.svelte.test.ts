import { describe, expect, it } from 'vitest';
import { day } from '$lib/core/day/day';
import { minor } from '$lib/core/money/minor';
import type { ReturnDesk } from '$lib/server/returns/queries/return-desk';
import { Returning } from './returning.svelte';

const TODAY = day('2026-10-30');

function desk(over: Partial<ReturnDesk> = {}): ReturnDesk {
	const part = (id: number, itemId: number, amount: number, due: string) => ({
		...{ id, itemId, due: day(due), source: { receiptId: 5 }, creditCustomerId: 1, itemCustomerId: 1 },
		...{ creditCurrency: 'GBP', itemCurrency: 'GBP', amount: minor(amount), creditAmount: minor(amount) },
		...{ itemBase: minor(amount), creditBase: minor(amount) }
	});
	const gap = (id: number, kind: 'settlement_discount' | 'claim') => ({
		...{ id, kind, itemId: 11, customerId: 1, currency: 'GBP', amount: minor(200), base: minor(200) }
	});
	return {
		payment: {
			...{ receiptId: 5, version: 3, booked: '2026-10-12', amount: 9_000, currency: 'GBP' },
			...{ payerName: 'HAZEL HILL', text: 'AK-1', method: 'cheque', bank: null }
		},
		customer: { id: 1, code: 'H1', name: 'Hazel Hill Pottery' },
		standing: {
			...{ receiptId: 5, customerId: 1, currency: 'GBP', onAccount: minor(0), onAccountBase: minor(0) },
			allocations: [part(1, 11, 6_000, '2026-09-30'), part(2, 12, 3_000, '2026-10-10')],
			differences: [gap(31, 'settlement_discount'), gap(32, 'claim')],
			items: [11, 12].map((itemId) => ({ itemId, open: minor(0), openBase: minor(0) }))
		},
		labels: { 11: 'AK-1', 12: 'AK-2' },
		...{ owners: {}, debits: [], lastCharge: 0, lastFee: 0, firstOpen: null, before: [] },
		...over
	};
}
const debit = (amount: number, booked = '2026-10-28') => ({
	...{ receiptId: 8, version: 1, booked, amount: -amount, text: 'UNPAID', reason: 'AM04' }
});

describe('marking a payment as returned', () => {
	it('begins with all of it, the discount going back and the claim staying', () => {
		const one = new Returning(desk(), TODAY, null);
		expect(one.outcome).toMatchObject({
			ok: true,
			text: 'Posting opens AK-1 and AK-2 again, adds £90.00 to what Hazel Hill Pottery owes and waits for the bank’s entry.'
		});
		expect(one.input).toMatchObject({ amount: 9_000, differencesBack: [31], reason: 'refer', shown: null });
		expect(one.opened.map((row) => `${row.label} ${row.owed} ${row.late}`)).toEqual([
			'AK-1 6200 30',
			'AK-2 3000 20'
		]);
	});

	it('takes the fee from the bank’s entry, its day and its reason', () => {
		const one = new Returning(desk({ debits: [debit(9_850)], lastCharge: 1_500 }), TODAY, 8);
		expect([one.text, one.feeText, one.reason, one.day, one.chargeText]).toEqual([
			...['90.00', '8.50', 'AM04', '2026-10-28', '15.00']
		]);
		expect(one.input).toMatchObject({ fee: 850, charge: 1_500, shown: { receiptId: 8, part: 'both' } });
		expect(one.outcome.ok).toBe(true);
		one.feeText = '5';
		expect(one.outcome.text).toContain('takes £3.50 more than that');
		one.charge = 'same';
		expect(one.charged).toBe(500);
		one.shownId = null;
		expect(one.outcome.ok).toBe(true);
	});

	it('in part, opens the latest due first, or the one asked for', () => {
		const one = new Returning(desk(), TODAY, null);
		one.text = '40';
		expect(one.opened.map((row) => row.owed)).toEqual([1_200, 3_000]);
		one.putFirst(1);
		expect(one.opened.map((row) => row.owed)).toEqual([4_200, 0]);
		one.toggleDifference(31);
		expect(one.opened.map((row) => row.owed)).toEqual([4_000, 0]);
	});

	it.each([
		['text', '90.01', '£90.01 is more than can be returned'],
		['text', 'lots', 'Say how much was returned.'],
		['text', '-5', 'Say how much was returned'],
		['text', '0', 'more than nothing'],
		['feeText', 'x', 'The bank’s fee is not an amount.'],
		['date', '31 Feb', 'That is not a date.'],
		['date', '1 Oct', 'It cannot have been returned before it came'],
		['reason', ' ', 'Say why it was returned.']
	] as const)('with %s “%s” says what is wrong', (field, text, says) => {
		const one = new Returning(desk(), TODAY, null);
		one[field] = text;
		expect(one.outcome.ok).toBe(false);
		expect(one.outcome.text).toContain(says);
	});

	it('keeps to open days', () => {
		const one = new Returning(desk({ firstOpen: '2026-10-29', debits: [debit(9_000)] }), TODAY, 8);
		expect(one.day).toBe(TODAY);
		one.date = '28 Oct';
		expect(one.outcome.text).toContain('The first open day is 29 Oct');
	});
});

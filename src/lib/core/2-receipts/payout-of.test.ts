import { describe, expect, test } from 'vitest';
import { payoutOf } from './payout-of';

describe('a payout', () => {
	test.each([
		[100, 'PAYLOOM LTD', 'ref 1', { processor: 'Payloom' }],
		[100, 'Payloom', '', { processor: 'Payloom' }],
		[100, 'PAYLOOMERY LTD', '', null],
		[100, 'SOMEBODY ELSE', 'PAYOUT 5 PAYMENTS', { processor: null }],
		[100, null, 'invoice AK-40001', null],
		[-100, 'PAYLOOM LTD', 'payout', null]
	] as const)('%d of %s, “%s”: %o', (amount, payerName, text, want) =>
		expect(payoutOf({ amount, payerName, text }, ['Payloom', ''])).toEqual(want)
	);
});

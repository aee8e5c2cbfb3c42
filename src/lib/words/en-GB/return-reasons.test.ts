import { expect, test } from 'vitest';
import { returnReason } from './return-reasons';

test.each([
	['AM04', 'not enough money on the account (AM04)'],
	['refer', 'cheque not paid: refer to drawer'],
	['ZZ99', 'ZZ99']
])('a payment that came back for %s', (code, want) => expect(returnReason(code)).toBe(want));

import { expect, it } from 'vitest';
import { vatSentence } from './vat-sentence';

it.each([
	[12_000, 2_000, '£20.00 of it is VAT at 20%, owed.'],
	[-12_000, 2_000, '£20.00 of it is VAT at 20%, to be reclaimed.'],
	[-10_500, 500, '£5.00 of it is VAT at 5%, to be reclaimed.'],
	[1, 2_000, '£0.00 of it is VAT at 20%, owed.']
])('of %i at %i basis points', (amount, rate, says) => {
	expect(vatSentence({ amount, currency: 'GBP' }, rate)).toBe(says);
});

import { expect, it, test } from 'vitest';
import { toDecimal } from './to-decimal';
import { typicalSum, typicalSums } from './typical-sums';

test.each([
	['GBP', '3.00', '50.00', '0.50', '50.00'],
	['EUR', '3.00', '50.00', '0.50', '50.00'],
	['SEK', '30.00', '500.00', '5.00', '50.00'],
	['CZK', '60.00', '1000.00', '10.00', '50.00'],
	['HUF', '1200.00', '20000.00', '200.00', '20000.00'],
	['JPY', '300', '5000', '50', '5000'],
	['KWD', '1.200', '20.000', '0.200', '20.000']
])('%s', (currency, least, most, step, full) => {
	const { chargeLeast, chargeMost, chargeStep, returnFeeMost, round } = typicalSums(currency);
	expect([chargeLeast, chargeMost, chargeStep].map((sum) => toDecimal(sum, currency))).toEqual([
		least,
		most,
		step
	]);
	expect(returnFeeMost).toBe(chargeMost);
	expect(toDecimal(round, currency)).toBe(full);
});

it('is never nothing', () => expect(typicalSum(0.5, 'VND')).toBeGreaterThan(0));
it('takes a currency that it does not know for one like the pound', () =>
	expect(typicalSum(50, 'XYZ')).toBe(typicalSum(50, 'GBP')));

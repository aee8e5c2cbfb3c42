import currencyCodes from 'currency-codes';
import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { add } from './add';
import { currencyDigits } from './currency';
import { minor, type Minor } from './minor';
import { parseDecimal } from './parse-decimal';
import { parseTyped } from './parse-typed';
import { proportion } from './proportion';
import { apportion } from './apportion';
import { toDecimal } from './to-decimal';

describe('minor units', () => {
	test.each([
		['GBP', 2],
		['JPY', 0],
		['BHD', 3],
		['EUR', 2],
		['XXX', undefined],
		['XCG', 2],
		['ZWG', 2],
		['XAU', undefined],
		['toString', undefined],
		['gbp', undefined]
	])('%s has %s digits', (code, digits) => expect(currencyDigits(code)).toBe(digits));
	it('has every currency of ISO 4217 that has a minor unit, with its digits', () => {
		const listed = currencyCodes.codes().filter((code) => currencyDigits(code) !== undefined);
		expect(listed.length).toBeGreaterThan(160);
		for (const code of listed)
			expect([code, currencyDigits(code)]).toEqual([code, currencyCodes.code(code)?.digits]);
	});
	it('refuses a fraction and a number too large, as bugs', () => {
		expect(() => minor(0.5)).toThrow(RangeError);
		expect(() => minor(2 ** 53)).toThrow(RangeError);
		expect(Object.is(minor(-0), 0)).toBe(true);
	});
	it('refuses a sum beyond the safe integers', () =>
		expect(() => add(minor(Number.MAX_SAFE_INTEGER), minor(1))).toThrow(RangeError));
});

describe('amounts in files', () => {
	test.each([
		['1043.20', 'GBP', 104320],
		['1043.2', 'GBP', 104320],
		['1043', 'GBP', 104300],
		['.5', 'GBP', 50],
		['5.', 'GBP', 500],
		['10.500', 'GBP', 1050],
		['10.505', 'GBP', 'too-many-decimals'],
		['100', 'JPY', 100],
		['100.5', 'JPY', 'too-many-decimals'],
		['1.234', 'BHD', 1234],
		['1,043.20', 'GBP', 'not-a-number'],
		['-1', 'GBP', 'not-a-number'],
		['', 'GBP', 'not-a-number'],
		['.', 'GBP', 'not-a-number'],
		['1e3', 'GBP', 'not-a-number'],
		['NaN', 'GBP', 'not-a-number'],
		['1', 'ZZZ', 'unknown-currency'],
		['99999999999999999', 'GBP', 'too-large']
	])('%s %s is %s', (text, currency, want) => expect(parseDecimal(text, currency)).toBe(want));
});

describe('amounts as typed', () => {
	test.each([
		['1889.2', 188920],
		['1,889.20', 188920],
		['£480', 48000],
		['750+480', 123000],
		['750 - 20.50', 72950],
		[' 12 ', 1200],
		['1,88.20', 'not-a-number'],
		['12,345,678.9', 1234567890],
		['-5', 'not-a-number'],
		['5-10', 'not-a-number'],
		['1++2', 'not-a-number'],
		['abc', 'not-a-number'],
		['', 'not-a-number'],
		['1.234', 'too-many-decimals'],
		['1,234', 123400],
		['1.889,20', 188920],
		['1.234.567,8', 123456780],
		['1.234.567', 123456700],
		['12,5', 1250],
		['12,50', 1250],
		['0,5', 50],
		[',5', 50],
		['0,500', 50],
		['1234,500', 123450],
		["1'889.20", 188920],
		['1’889', 188900],
		['1 889,20', 188920],
		['750,50+480', 123050],
		['1.88,20', 'not-a-number'],
		['1,889,20', 'not-a-number'],
		['1,889.200,5', 'not-a-number'],
		["1'88.20", 'not-a-number'],
		['1,234.5.6', 'not-a-number'],
		['1..5', 'not-a-number'],
		['+', 'not-a-number']
	])('%s is %s', (text, want) => expect(parseTyped(text, 'GBP')).toBe(want));
	test.each([
		['1.889', 'GBP', 188900],
		['1.889,20', 'GBP', 188920],
		['1889.2', 'GBP', 188920],
		['1,889.20', 'GBP', 188920],
		['1,889', 'GBP', 'too-many-decimals'],
		['1,889', 'BHD', 1889],
		['1.889', 'BHD', 1889000],
		['1,5', 'JPY', 'too-many-decimals'],
		['1.500', 'JPY', 1500]
	])('%s in %s is %s where the firm writes a comma before decimals', (text, currency, want) =>
		expect(parseTyped(text, currency, false, ',')).toBe(want)
	);
	it('takes a minus where one is asked for, the true minus too', () => {
		expect(parseTyped('-5', 'GBP', true)).toBe(-500);
		expect(parseTyped('−5.25', 'GBP', true)).toBe(-525);
	});
});

const amount = fc.integer({ min: -1e12, max: 1e12 }).map((n) => minor(n));

describe('properties', () => {
	it('writing and reading an amount gives it back', () =>
		fc.assert(
			fc.property(amount, fc.constantFrom('GBP', 'JPY', 'BHD', 'CLF'), (value, currency) => {
				expect(parseDecimal(toDecimal(value, currency), currency, true)).toBe(value);
			})
		));
	it('parts always add up to the whole, none is off by a unit or more, equal weights differ by one at most', () =>
		fc.assert(
			fc.property(amount, fc.array(fc.integer({ min: 0, max: 1000 }), { minLength: 1 }), (whole, weights) => {
				fc.pre(weights.some((weight) => weight > 0));
				const parts = apportion(whole, weights);
				expect(add(...parts)).toBe(whole);
				const total = weights.reduce((a, b) => a + b, 0);
				parts.forEach((part, i) =>
					expect(Math.abs(part - (whole * weights[i]!) / total)).toBeLessThan(1.001)
				);
			})
		));
	it('a share agrees with exact fractions, half away from zero', () =>
		fc.assert(
			fc.property(fc.integer({ min: -1e6, max: 1e6 }), fc.integer({ min: 0, max: 1e4 }), (value, bp) => {
				const exact = (Math.abs(value) * bp) / 10000;
				const want = Math.sign(value) * Math.floor(exact + 0.5);
				expect(proportion(value, bp, 10000) as number).toBe(want === 0 ? 0 : want);
			})
		));
	it('a share survives products beyond 2^53', () =>
		expect(proportion(9_000_000_000_000_00, 9999, 10000)).toBe(899_910_000_000_000 as Minor));
});

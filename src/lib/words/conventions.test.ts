import fc from 'fast-check';
import { afterEach, describe, expect, it, test } from 'vitest';
import { BRITISH, decimalSign, isTimeZone, LOCALES, useConventions } from './conventions';
import { dayInZone } from './day-in-zone';
import { amount, moment, money, percent, shortMonth, weekDay, whole } from './en-GB/format';
import { landOf, landsToChoose } from './en-GB/land-of';
import { amountLookedFor } from './amount-looked-for';
import { typedAmount } from './typed-amount';

afterEach(() => useConventions(BRITISH));

const plain = (text: string) => text.replace(/\u00a0/g, ' ');

describe('numbers as a firm writes them', () => {
	test.each([
		['en-GB', '1,234,567.89', '1,234', '£1,234.50', '2.5%'],
		['de-DE', '1.234.567,89', '1.234', '£1.234,50', '2,5%'],
		['de-CH', '1’234’567.89', '1’234', '£1’234.50', '2.5%'],
		['fr-FR', '1 234 567,89', '1 234', '£1 234,50', '2,5%'],
		['pl-PL', '1 234 567,89', '1 234', '£1 234,50', '2,5%'],
		['es-ES', '1.234.567,89', '1.234', '£1.234,50', '2,5%']
	])('%s', (locale, long, short, pounds, share) => {
		useConventions({ ...BRITISH, locale });
		expect(plain(amount(123456789, 'GBP'))).toBe(long);
		expect(plain(whole(1234))).toBe(short);
		expect(plain(money(123450, 'GBP'))).toBe(pounds);
		expect(plain(percent(250))).toBe(share);
	});

	test.each([...LOCALES])('%s: what is shown is read again as what it is', (locale) => {
		useConventions({ ...BRITISH, locale });
		const values = fc.integer({ min: 0, max: 9_000_000_000_000 });
		fc.assert(
			fc.property(values, fc.constantFrom('GBP', 'JPY', 'BHD', 'CLF'), (value, currency) => {
				expect(typedAmount(amount(value, currency), currency)).toBe(value);
			})
		);
	});

	test.each([...LOCALES])('%s: what was typed without groups is read to the penny', (locale) => {
		useConventions({ ...BRITISH, locale });
		const sign = decimalSign();
		expect(typedAmount(`1889${sign}20`, 'GBP')).toBe(188920);
		expect(typedAmount('1.889,20', 'GBP')).toBe(188920);
		expect(typedAmount('1,889.20', 'GBP')).toBe(188920);
		expect(typedAmount('12,5', 'GBP')).toBe(1250);
		expect(typedAmount('12.5', 'GBP')).toBe(1250);
	});

	it('keeps every penny of what a number of pounds could not hold', () =>
		expect(amount(9_007_199_254_740_991, 'GBP')).toBe('90,071,992,547,409.91'));

	it('names lands, and languages where a land has several', () => {
		expect(['en-GB', 'de-DE', 'de-CH', 'fr-BE'].map(landOf)).toEqual([
			'United Kingdom',
			'Germany',
			'Switzerland (German)',
			'Belgium (French)'
		]);
		expect(new Set(LOCALES.map(landOf)).size).toBe(LOCALES.length);
	});
});

describe('times by the clock of the firm', () => {
	test.each([
		['2026-07-01T22:30:00.000Z', 'Europe/London', '1 Jul 2026, 23:30', '2026-07-01'],
		['2026-07-01T22:30:00.000Z', 'Europe/Warsaw', '2 Jul 2026, 00:30', '2026-07-02'],
		['2026-01-01T00:15:00.000Z', 'Europe/London', '1 Jan 2026, 00:15', '2026-01-01'],
		['2026-01-01T00:15:00.000Z', 'America/New_York', '31 Dec 2025, 19:15', '2025-12-31'],
		['2026-10-25T00:30:00.000Z', 'Europe/London', '25 Oct 2026, 01:30', '2026-10-25'],
		['2026-10-25T01:30:00.000Z', 'Europe/London', '25 Oct 2026, 01:30', '2026-10-25']
	])('%s in %s is %s', (at, timeZone, shown, day) => {
		useConventions({ ...BRITISH, timeZone });
		expect(moment(at)).toBe(shown);
		expect(dayInZone(new Date(at))).toBe(day);
	});

	it('names months and days in the language of the words, whatever the land', () => {
		useConventions({ locale: 'de-DE', timeZone: 'Europe/Berlin' });
		expect([shortMonth('2026-05'), weekDay('2026-10-30')]).toEqual(['May', 'Fri 30 Oct']);
	});

	it('knows a time zone from what is none', () =>
		expect(['Europe/London', 'UTC', 'Europe/Ashlock', ''].map(isTimeZone)).toEqual([
			true,
			true,
			false,
			false
		]));
});

test.each([
	['1,889.20', 188920, 188920],
	['1.889,20', 188920, 188920],
	['12,50', 1250, 1250],
	['1889', null, 188900],
	['AK-1889', null, null],
	['1.5', null, 150],
	['', null, null]
])('“%s” is looked for as %s, or as %s where whole numbers are amounts', (text, decimals, whole) =>
	expect([amountLookedFor(text), amountLookedFor(text, { whole: true })]).toEqual([decimals, whole])
);

it('every land can be chosen, once, by its name', () => {
	const lands = landsToChoose();
	expect(lands.map((one) => one.locale).sort()).toEqual([...LOCALES].sort());
	expect(lands.find((one) => one.locale === 'en-GB')!.name).toBe('United Kingdom: 12,345.50');
});

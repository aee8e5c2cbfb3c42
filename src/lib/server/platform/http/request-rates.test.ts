import { expect, it } from 'vitest';
import { RequestRates } from './request-rates';

it('a burst passes, going on like that does not, and others are not touched by it', () => {
	const rates = new RequestRates(60);
	const let30 = Array.from({ length: 30 }, () => rates.take('wren', 0));
	expect(let30.every((wait) => wait === 0)).toBe(true);
	expect([rates.take('wren', 0), rates.take('wren', 400), rates.take('hollis', 0)]).toEqual([1000, 600, 0]);
	// One a second comes back.
	expect([rates.take('wren', 1_000), rates.take('wren', 1_000)]).toEqual([0, 1000]);
});

it('in ten minutes no more get through than are allowed, and the burst', () => {
	const rates = new RequestRates(60);
	let through = 0;
	for (let at = 0; at < 600_000; at += 50) if (rates.take('wren', at) === 0) through++;
	expect(through).toBeGreaterThanOrEqual(600);
	expect(through).toBeLessThanOrEqual(630);
});

it('nought lets everything through', () => {
	const rates = new RequestRates(0);
	for (let n = 0; n < 5_000; n++) expect(rates.take('wren', 0)).toBe(0);
});

it('who has not asked for a minute is forgotten, and begins anew', () => {
	const rates = new RequestRates(60);
	for (let n = 0; n < 10_001; n++) rates.take(`h${n}`, 0);
	for (let n = 0; n < 30; n++) rates.take('wren', 120_000);
	expect(rates.take('wren', 120_000)).toBeGreaterThan(0);
	expect(rates.take('h1', 120_000)).toBe(0);
});

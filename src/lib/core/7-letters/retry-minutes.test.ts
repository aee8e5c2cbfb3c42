import { expect, test } from 'vitest';
import { retryMinutes } from './retry-minutes';

test('tries grow apart, and end after a day', () => {
	const waits: number[] = [];
	for (let tries = 1, wait = retryMinutes(tries); wait !== null; wait = retryMinutes(++tries))
		waits.push(wait);
	expect(waits).toEqual([...waits].sort((a, b) => a - b));
	const hours = waits.reduce((sum, one) => sum + one, 0) / 60;
	expect(hours).toBeGreaterThan(20);
	expect(hours).toBeLessThan(28);
	expect(retryMinutes(waits.length + 100)).toBeNull();
});

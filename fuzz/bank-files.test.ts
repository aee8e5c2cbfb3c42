import { expect, test } from 'vitest';
import { TEXT_FORMATS } from '../src/lib/core/1-bank-files/read-statement';
import { fuzzBankFiles } from './bank-files';
import { chanceOf, mutate } from './mutate';
import { samplesOf } from './samples';

test.each(TEXT_FORMATS)('damaged files of %s are read or refused', (format) => {
	const samples = samplesOf(format);
	expect(samples.length).toBeGreaterThan(0);
	const { read, refused } = fuzzBankFiles(samples, 1_500, 1);
	// Damage that nothing notices, or that leaves nothing to read, would test little.
	expect(read).toBeGreaterThan(0);
	expect(refused).toBeGreaterThan(read);
});

test('the same seed makes the same damage', () => {
	const made = (seed: number) => mutate('a sound text of some length', chanceOf(seed));
	expect(made(7)).toBe(made(7));
	expect(new Set([1, 2, 3, 4, 5, 6, 7].map(made)).size).toBeGreaterThan(3);
});

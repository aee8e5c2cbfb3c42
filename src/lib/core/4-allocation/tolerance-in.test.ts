import { expect, test } from 'vitest';
import { minor } from '../money/minor';
import { proportion } from '../money/proportion';
import { toleranceIn } from './tolerance-in';

test.each([
	['in base currency as it is', 500, 1_000_000, 500],
	['a euro worth 80p: more of it', 500, 800_000, 625],
	['rounded down', 500, 858_000, 582],
	['a yen of no decimals', 500, 500_000, 1_000],
	['none', null, 800_000, null]
])('%s', (_, tolerance, millionths, wanted) => {
	expect(toleranceIn(tolerance, (amount) => proportion(minor(amount), millionths, 1_000_000))).toBe(wanted);
});

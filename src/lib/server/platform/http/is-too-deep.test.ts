import { expect, test } from 'vitest';
import { isTooDeep } from './is-too-deep';

const nested = (depth: number) => JSON.parse('['.repeat(depth) + ']'.repeat(depth)) as unknown;

test.each([
	[null, false],
	['text', false],
	[{ a: [{ b: [1, 2] }], c: [] }, false],
	[nested(50), false],
	[nested(52), true],
	[{ a: 1, deep: { down: nested(60) } }, true],
	// Far deeper than a function may call itself.
	[nested(5_000), true]
])('%#', (value, deep) => expect(isTooDeep(value)).toBe(deep));

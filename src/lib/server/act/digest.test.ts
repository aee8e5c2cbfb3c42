import fc from 'fast-check';
import { expect, it } from 'vitest';
import { digestOf } from './digest';

const value = fc.jsonValue({ maxDepth: 3 });

it('is the same for equal values, and another for others', () => {
	fc.assert(
		fc.property(value, value, (a, b) => {
			expect(digestOf(structuredClone(a))).toBe(digestOf(a));
			if (JSON.stringify(a) !== JSON.stringify(b) && !same(a, b)) expect(digestOf(a)).not.toBe(digestOf(b));
		})
	);
});

it.each([
	[{ a: 1, b: 2 }, { b: 2, a: 1 }, true],
	[{ a: 1, b: undefined }, { a: 1 }, true],
	[['ab', 'c'], ['a', 'bc'], false],
	[[1], ['1'], false],
	[null, 'null', false],
	[Buffer.from('ab'), Buffer.from('ab'), true],
	[Buffer.from('ab'), Buffer.from('ac'), false],
	[{ a: { b: 1 } }, { a: {}, b: 1 }, false]
])('of %j and %j', (a, b, equal) => expect(digestOf(a) === digestOf(b)).toBe(equal));

/** Equal but for the order of fields; nought has no sign in JSON. */
function same(a: unknown, b: unknown): boolean {
	const sorted = (one: unknown): unknown =>
		Array.isArray(one)
			? one.map(sorted)
			: one && typeof one === 'object'
				? Object.entries(one)
						.map(([key, own]) => [key, sorted(own)] as const)
						.sort(([x], [y]) => (x < y ? -1 : 1))
				: one;
	return JSON.stringify(sorted(a)) === JSON.stringify(sorted(b));
}

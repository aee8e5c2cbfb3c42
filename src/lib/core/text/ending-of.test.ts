import fc from 'fast-check';
import { expect, it } from 'vitest';
import { endingOf } from './ending-of';

it('is what a regular expression finds, the slow way', () => {
	fc.assert(
		fc.property(fc.string({ unit: fc.constantFrom('a', '0', '7', ' ', '🪙') }), (text) => {
			expect(endingOf(text, /\d/)).toBe(/\d*$/.exec(text)![0]);
			expect(endingOf(text, /\S/)).toBe(/\S*$/.exec(text)![0]);
		})
	);
	expect([endingOf('', /\d/), endingOf('AK-0099', /\d/), endingOf('AK', /\d/)]).toEqual(['', '0099', '']);
});

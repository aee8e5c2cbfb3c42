import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { checkDigitsFit, creditorReferences } from './creditor-references';

/** The check digits as the standard writes them down: the number that leaves one when it is divided by 97. */
function creditorReference(own: string): string {
	const digits = [...`${own}RF00`].map((sign) => parseInt(sign, 36)).join('');
	return `RF${String(98n - (BigInt(digits) % 97n)).padStart(2, '0')}${own}`;
}

describe('a creditor reference in a text', () => {
	const keys = (text: string) => creditorReferences(text).map((one) => one.key);
	test.each([
		['RF18539007547034', ['RF18539007547034']],
		['ref rf18 5390 0754 7034 thank you', ['RF18539007547034']],
		['RF18 5390 0754 7034 and 4 more', ['RF18539007547034']],
		['RF18-5390-0754-7034', ['RF18539007547034']],
		['RF19539007547034', []],
		['RF18 5390 0754 7043', []],
		['SURF18539007547034', []],
		['no reference', []],
		['RF18', []]
	])('“%s”', (text, want) => expect(keys(text)).toEqual(want));
	it('stands where it stands', () => {
		const text = 'paying RF18 5390 0754 7034 today';
		const [found] = creditorReferences(text);
		expect(text.slice(found!.from, found!.to)).toBe('RF18 5390 0754 7034');
	});
});

it('one digit wrong or two neighbours swapped never fit', () => {
	const own = fc.string({ unit: fc.constantFrom(...'0123456789ABCXYZ'), minLength: 1, maxLength: 21 });
	fc.assert(
		fc.property(own, fc.nat(), fc.integer({ min: 1, max: 9 }), (text, place, by) => {
			const key = creditorReference(text);
			expect(checkDigitsFit(key)).toBe(true);
			const at = 2 + (place % (key.length - 2));
			const [sign, next] = [key[at]!, key[at + 1] ?? key[at]!];
			if (/\d/.test(sign)) {
				const wrong = key.slice(0, at) + ((Number(sign) + by) % 10) + key.slice(at + 1);
				expect(checkDigitsFit(wrong)).toBe(false);
			}
			if (sign !== next && /\d/.test(sign) && /\d/.test(next)) {
				const swapped = key.slice(0, at) + next + sign + key.slice(at + 2);
				expect(checkDigitsFit(swapped)).toBe(false);
			}
		})
	);
});

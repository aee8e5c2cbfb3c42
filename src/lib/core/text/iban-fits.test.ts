import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { madeUpIban } from '../../../demo/iban';
import { ibanFits } from './iban-fits';

describe('check digits', () => {
	it.each([
		['those of our own bank', 'GB89ZZAM30990114402817', true],
		['in groups, in small letters', 'gb89 zzam 3099 0114 4028 17', true],
		['one digit wrong', 'GB89ZZAM30990114402818', false],
		['two exchanged', 'GB98ZZAM30990114402817', false],
		['no IBAN', '30990114402817', null],
		['too short for one', 'GB00ZZAM1', null],
		['nothing', '', null]
	])('%s', (_, text, want) => expect(ibanFits(text)).toBe(want));
	it('every single digit that is wrong shows', () =>
		fc.assert(
			fc.property(fc.integer({ min: 8, max: 21 }), fc.integer({ min: 1, max: 9 }), (at, by) => {
				const text = 'GB89ZZAM30990114402817';
				const digit = String((Number(text[at]) + by) % 10);
				expect(ibanFits(text.slice(0, at) + digit + text.slice(at + 1))).toBe(false);
			})
		));
	it('every account of the demo has right ones', () =>
		fc.assert(
			fc.property(fc.constantFrom('GB', 'DE', 'FR'), fc.nat(), (country, number) => {
				expect(ibanFits(madeUpIban(country, 'ZZAM', number))).toBe(true);
			})
		));
});

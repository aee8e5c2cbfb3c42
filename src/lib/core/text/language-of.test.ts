import { expect, test } from 'vitest';
import { CUSTOMER_LANGUAGES } from '../model/customer-details';
import { languageOf } from './language-of';

test.each([
	...[['de', 'de'] as const, ['DE', 'de'] as const, ['de-AT', 'de'] as const, ['en_GB', 'en'] as const],
	...[['nb', 'no'] as const, ['nn-NO', 'no'] as const],
	...[['German', 'de'] as const, ['Deutsch', 'de'] as const, ['ALLEMAND', 'de'] as const],
	...[['Français', 'fr'] as const, ['francais', 'fr'] as const, ['Tschechisch', 'cs'] as const],
	...[['Klingon', null] as const, ['xx', null] as const, ['', null] as const]
])('%s is %s', (text, code) => expect(languageOf(text)).toBe(code));

test('each is known by its code and its own name', () => {
	for (const code of CUSTOMER_LANGUAGES) {
		expect(languageOf(code)).toBe(code);
		expect(languageOf(new Intl.DisplayNames(code, { type: 'language' }).of(code)!)).toBe(code);
	}
});

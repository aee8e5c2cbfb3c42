import { CUSTOMER_LANGUAGES, type CustomerLanguage } from '../model/customer-details';
import { nameKey } from './name-key';

/** Languages in which a list may name languages; each names itself in its own, too. */
const NAMING = ['en', 'de', 'fr', 'es', 'it', 'nl'] as const;

/** The names of the languages, plain, each with its code. */
const CODES: ReadonlyMap<string, CustomerLanguage> = new Map(
	CUSTOMER_LANGUAGES.flatMap((code) =>
		[...NAMING, code].flatMap((naming) => {
			const name = new Intl.DisplayNames(naming, { type: 'language' }).of(code);
			return name ? [[nameKey(name), code] as const] : [];
		})
	)
);

/** A language by its code, with or without a land (`de`, `de-AT`), or by its name in several languages; null for any other. */
export function languageOf(text: string): CustomerLanguage | null {
	const code = text.trim().toLowerCase().split(/[-_]/)[0]!;
	// Norwegian has two written forms with codes of their own.
	const known = code === 'nb' || code === 'nn' ? 'no' : code;
	return CUSTOMER_LANGUAGES.find((one) => one === known) ?? CODES.get(nameKey(text)) ?? null;
}

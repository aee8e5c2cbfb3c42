import { LOCALES } from '../conventions';

/** The land of a way of writing numbers, with its language where a land has several: "Germany", "Switzerland (French)". */
export function landOf(locale: string): string {
	const { language, region } = new Intl.Locale(locale);
	if (!region) return locale;
	const land = new Intl.DisplayNames('en-GB', { type: 'region' }).of(region) ?? region;
	if (!SEVERAL.has(region)) return land;
	return `${land} (${new Intl.DisplayNames('en-GB', { type: 'language' }).of(language) ?? language})`;
}

/** Lands that write numbers in several ways. */
const SEVERAL = new Set(['BE', 'CH']);

/** The ways of writing numbers that can be chosen, by the names of their lands, with a number written so. */
export function landsToChoose(): readonly {
	readonly locale: (typeof LOCALES)[number];
	readonly name: string;
}[] {
	return LOCALES.map((locale) => {
		const sample = new Intl.NumberFormat(locale, { minimumFractionDigits: 2 }).format(12345.5);
		return { locale, name: `${landOf(locale)}: ${sample}` };
	}).sort((a, b) => (a.name < b.name ? -1 : 1));
}

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

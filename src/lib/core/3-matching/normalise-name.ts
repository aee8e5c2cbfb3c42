/** Legal forms and joining words that banks and people drop or add. Whole words only, after accents and dots are gone. */
const DROPPED = new Set(
	'LTD LIMITED PLC LLP LLC INC CIC CIO GMBH AG KG SARL SA SAS SRL SPA BV NV OY AB AS APS CO COMPANY THE AND'.split(
		' '
	)
);

/**
 * A name as it may be compared: upper case, no accents, no punctuation, legal form and joining words dropped.
 * "Hazel Hill Pottery Ltd." and "HAZEL HILL POTTERY" are the same; a name of nothing but dropped words keeps them.
 */
export function normaliseName(name: string): string {
	const words = name
		.normalize('NFD')
		.replace(/\p{M}+/gu, '')
		.toUpperCase()
		.replace(/[.'’]/g, '')
		.split(/[^\p{L}\p{N}]+/u)
		.filter(Boolean);
	const kept = words.filter((word) => !DROPPED.has(word));
	return (kept.length ? kept : words).join(' ');
}

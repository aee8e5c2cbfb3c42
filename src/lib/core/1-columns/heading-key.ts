import { withoutAccents } from '../text/without-accents';

/** A heading as headings are compared: small, without accents, signs become blanks. "Rg.-Nr." is "rg nr". */
export function headingKey(heading: string): string {
	return withoutAccents(heading)
		.toLowerCase()
		.replace(/[^a-z0-9]+/g, ' ')
		.trim();
}

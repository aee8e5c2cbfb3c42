/** Text that needs nothing: by far the most. */
const PLAIN = /^[\t\n\r\x20-\x7E]*$/;
/** Halves of surrogate pairs that stand alone. */
const HALF = /[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/g;
/** What breaks a line, beside LF and CR. */
// eslint-disable-next-line no-control-regex
const BREAKS = /[\x0B\x0C\x85\u2028\u2029]/g;
/** Control characters, marks that turn the direction of what follows, byte-order marks and what is no character. */
// eslint-disable-next-line no-control-regex
const UNSEEN = /[\0-\x08\x0E-\x1F\x7F-\x84\x86-\x9F\u202A-\u202E\u2066-\u2069\uFEFF\uFFFE\uFFFF]/g;

/**
 * Text as it is kept and compared: well-formed Unicode in normal form C (UAX 15), without control characters except tabs and line
 * breaks, nor marks that show it in another order than it has. The same text comes back from every database and file.
 */
export function cleanText(text: string): string {
	if (PLAIN.test(text)) return text;
	return text.replace(HALF, '\uFFFD').replace(BREAKS, '\n').replace(UNSEEN, '').normalize('NFC');
}

/** The same on one line: tabs and line breaks are blanks. */
export function cleanLine(text: string): string {
	return cleanText(text).replace(/[\t\n\r]+/g, ' ');
}

/** Every text within plain values (as JSON has them), cleaned; names of fields, too. */
export function cleanTexts(value: unknown): unknown {
	if (typeof value === 'string') return cleanText(value);
	if (Array.isArray(value)) return value.map(cleanTexts);
	if (typeof value === 'object' && value !== null)
		return Object.fromEntries(Object.entries(value).map(([key, own]) => [cleanText(key), cleanTexts(own)]));
	return value;
}

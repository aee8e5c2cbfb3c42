import { LANGUAGES, OTHER_LEGAL_FORMS } from './languages';
import { withoutAccents } from './without-accents';

/** Legal forms and joining words that banks and people drop or add. */
const DROPPED = new Set(
	[
		...LANGUAGES.flatMap(({ legalForms, joiningWords }) => [...legalForms, ...joiningWords]),
		...OTHER_LEGAL_FORMS
	].map(oneSpelling)
);
/** Legal forms of several words or with a stroke, dots gone, as one word. */
const JOINED: readonly (readonly [RegExp, string])[] = [
	[/\bSP(?:OLKA)? Z ?O ?O\b/g, 'SPZOO'],
	[/\bSP Z(?: ?O)?$/g, 'SPZ'],
	[/\bSP ([KJP])\b/g, 'SP$1'],
	[/\bS COOP\b/g, 'SCOOP'],
	[/\bS ([AL])$/g, 'S$1'],
	[/\bEK FOR\b/g, 'EKFOR'],
	[/\bOY AB\b/g, 'OYAB'],
	[/\bSPOL S ?R ?O\b/g, 'SRO'],
	[/\b([AIK])\/S\b/g, '$1S']
];

/**
 * A name as matching compares it: upper case, no accents, legal forms and joining words dropped, and one spelling where there
 * are two for want of a letter ("Müller", "MUELLER" and "MULLER" are the same). A name of nothing but dropped words keeps them.
 */
export function nameKey(name: string): string {
	return wordsOfName(name).join(' ');
}

/** The words of a name as `nameKey` joins them. */
export function wordsOfName(name: string): string[] {
	const words = nameWords(name);
	const kept = words.filter((word) => !DROPPED.has(word));
	return kept.length ? kept : words;
}

/** All words of a name, legal forms too, each in its one spelling. */
export function nameWords(name: string): string[] {
	const plain = withoutAccents(name).toUpperCase().replace(/[.'’]/g, '').replace(/\s+/g, ' ').trim();
	return JOINED.reduce((text, [pattern, form]) => text.replace(pattern, form), plain)
		.split(/[^\p{L}\p{N}]+/u)
		.filter(Boolean)
		.map(oneSpelling);
}

/** The one spelling of a word where there are two for want of a letter: MUELLER gives MULLER, AARHUS gives ARHUS. */
function oneSpelling(word: string): string {
	return word.replace(/([AOU])E|AA/g, (pair) => pair.charAt(0));
}

/** Whether a word says nothing about whose name it is. */
export function isForm(word: string): boolean {
	return DROPPED.has(word);
}

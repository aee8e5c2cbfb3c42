/** Legal forms and joining words that banks and people drop or add, beside those that `normaliseName` knows. */
const DROPPED = new Set(
	(
		'LTD LIMITED PLC LLP LLC INC INCORPORATED CIC CIO GMBH MBH UG AG KG KGAA OHG GBR EV EK SE SARL SAS SASU EURL SA SCI SNC SRL ' +
		'SRLS SPA BV NV VOF CV OY OYJ AB AS ASA APS IVS IS KS HB KB HANDELSBOLAG AKTIEBOLAG PUBL EKFOR CO COMPANY CORP CORPORATION ' +
		'SL SLU SAU SCOOP LDA SRO DOO KFT ZRT SPZOO SPK SPJ SPP SC OOD EOOD UAB SIA KY TMI RY OYAB SPOL VOS ZS UNIPESSOAL PTY PTE HAFTUNGSBESCHRANKT THE AND UND ET EN OG OCH'
	).split(' ')
);
/** Letters that carry no accent to be taken off, and how they are written without them. */
const LETTERS: Readonly<Record<string, string>> = {
	Ø: 'O',
	Æ: 'AE',
	Œ: 'OE',
	Ł: 'L',
	Đ: 'D',
	Ð: 'D',
	Þ: 'TH',
	ẞ: 'SS',
	İ: 'I'
};
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
	const plain = name
		.normalize('NFD')
		.replace(/\p{M}+/gu, '')
		.toUpperCase()
		.replace(/[ØÆŒŁĐÐÞẞİ]/g, (letter) => LETTERS[letter]!)
		.replace(/[.'’]/g, '')
		.replace(/\s+/g, ' ')
		.trim();
	return JOINED.reduce((text, [pattern, form]) => text.replace(pattern, form), plain)
		.split(/[^\p{L}\p{N}]+/u)
		.filter(Boolean)
		.map((word) => word.replace(/([AOU])E|AA/g, (pair) => pair[0]!));
}

/** Whether a word says nothing about whose name it is. */
export function isForm(word: string): boolean {
	return DROPPED.has(word);
}

/** Legal forms and joining words that banks and people drop or add, beside those that `normaliseName` knows. */
const DROPPED = new Set(
	(
		'LTD LIMITED PLC LLP LLC INC INCORPORATED CIC CIO GMBH MBH UG AG KG KGAA OHG GBR EV EK SE SARL SAS SASU EURL SA SCI SNC SRL ' +
		'SRLS SPA BV NV VOF OY OYJ AB AS ASA APS IVS CO COMPANY CORP CORPORATION SL SLU SAU LDA SRO DOO KFT PTY PTE THE AND UND ET'
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
	return name
		.normalize('NFD')
		.replace(/\p{M}+/gu, '')
		.toUpperCase()
		.replace(/[ØÆŒŁĐÐÞẞİ]/g, (letter) => LETTERS[letter]!)
		.replace(/[.'’]/g, '')
		.split(/[^\p{L}\p{N}]+/u)
		.filter(Boolean)
		.map((word) => word.replace(/([AOU])E|AA/g, (pair) => pair[0]!));
}

/** Whether a word says nothing about whose name it is. */
export function isForm(word: string): boolean {
	return DROPPED.has(word);
}

/** Letters that carry no accent to be taken off, and how they are written without them. */
const LETTERS: Readonly<Record<string, string>> = {
	Ø: 'O',
	ø: 'o',
	Æ: 'AE',
	æ: 'ae',
	Œ: 'OE',
	œ: 'oe',
	Ł: 'L',
	ł: 'l',
	Đ: 'D',
	đ: 'd',
	Ð: 'D',
	ð: 'd',
	Þ: 'TH',
	þ: 'th',
	ẞ: 'SS',
	ß: 'ss',
	İ: 'I',
	ı: 'i'
};

/** A text in letters without accents, as names and words are compared: "Łódź" gives "Lodz", "Straße" gives "Strasse". */
export function withoutAccents(text: string): string {
	return text
		.normalize('NFD')
		.replace(/\p{M}+/gu, '')
		.replace(/[ØøÆæŒœŁłĐđÐðÞþẞßİı]/g, (letter) => LETTERS[letter] ?? letter);
}

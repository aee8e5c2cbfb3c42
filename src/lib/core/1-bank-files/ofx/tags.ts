/** A tag with the text behind it: SGML leaves most elements open, so that a value ends with the next tag. */
export interface Tag {
	/** In capitals; with a slash where it closes. */
	readonly name: string;
	readonly text: string;
	readonly line: number;
}

const TAG = /^(\/?[A-Za-z][A-Za-z0-9._]{0,60})(?:\s[^>]{0,200})?\/?>/;
/** More than this, in UTF-16 units, is no value. */
const LONGEST = 100_000;
const ENTITIES: Readonly<Record<string, string>> = {
	amp: '&',
	lt: '<',
	gt: '>',
	quot: '"',
	apos: "'",
	nbsp: ' '
};

/** Hands over tags of OFX, SGML or XML alike, from chunks. What looks like no tag, and an ampersand by itself, is text (OFX 1.6, 2.3.2). */
export class OfxTags {
	readonly #take: (tag: Tag) => void;
	#rest = '';
	#line = 1;
	#last: { name: string; text: string; line: number } | null = null;

	constructor(take: (tag: Tag) => void) {
		this.#take = take;
	}

	write(chunk: string): void {
		const pieces = (this.#rest + chunk).split('<');
		this.#rest = pieces.pop()!;
		for (const piece of pieces) this.#piece(piece);
		// A value without end is cut, and goes on to the next tag.
		if (this.#rest.length > LONGEST) this.#rest = this.#rest.slice(0, LONGEST);
	}

	close(): void {
		this.#piece(this.#rest);
		this.#rest = '';
		this.#hand();
	}

	#piece(piece: string): void {
		const found = TAG.exec(piece);
		if (found) {
			this.#hand();
			this.#last = { name: found[1]!.toUpperCase(), text: piece.slice(found[0].length), line: this.#line };
		} else if (this.#last && this.#last.text.length < LONGEST) this.#last.text += `<${piece}`;
		this.#line += (piece.match(/\n/g) ?? []).length;
	}

	#hand(): void {
		if (this.#last) this.#take({ ...this.#last, text: plain(this.#last.text) });
		this.#last = null;
	}
}

function plain(text: string): string {
	const cdata = /^\s*<!\[CDATA\[([\s\S]*?)\]\]>/.exec(text)?.[1];
	if (cdata !== undefined) return cdata.trim();
	return text
		.replace(
			/&(?:#(\d{1,7})|#x([0-9a-f]{1,6})|(amp|lt|gt|quot|apos|nbsp));/gi,
			(whole, decimal, hex, name) => {
				if (name) return ENTITIES[String(name).toLowerCase()]!;
				const code = decimal ? Number(decimal) : parseInt(String(hex), 16);
				return code > 0 && code <= 0x10ffff && !(code >= 0xd800 && code <= 0xdfff)
					? String.fromCodePoint(code)
					: whole;
			}
		)
		.trim();
}

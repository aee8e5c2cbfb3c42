/** Stands between what two physical records of one logical record hold. */
const BREAK = '\n';

/** A logical record: a record with those of type 88 that continue it. Fields are taken one by one; what is left may be text with commas. */
export class Bai2Record {
	readonly type: string;
	readonly line: number;
	/** How many physical records it is. */
	count = 1;
	#rest: string;

	/** @param text of the physical record, without its type @param line where it begins */
	constructor(type: string, text: string, line: number) {
		this.type = type;
		this.line = line;
		this.#rest = withoutEnd(text);
	}

	continue(text: string): void {
		this.count++;
		this.#rest += BREAK + withoutEnd(text);
	}

	/** Whether any field is left. */
	get more(): boolean {
		return this.#rest !== '';
	}

	/** The next field, trimmed; empty where there is none. */
	take(): string {
		const end = this.#rest.search(/[,\n]/);
		const field = end < 0 ? this.#rest : this.#rest.slice(0, end);
		this.#rest = end < 0 ? '' : this.#rest.slice(end + 1);
		return field.trim();
	}

	/** All that is left, as words. */
	text(): string {
		const text = this.#rest.replaceAll(BREAK, ' ').replace(/ {2,}/g, ' ').trim();
		this.#rest = '';
		return text;
	}
}

/** A record ends with a slash, and may be filled up with blanks. */
function withoutEnd(text: string): string {
	const trimmed = text.trimEnd();
	return trimmed.endsWith('/') ? trimmed.slice(0, -1) : trimmed;
}

/** A line longer than this, in UTF-16 units, is cut: no format has a line a thousandth as long. */
const LONGEST_LINE = 100_000;

/** Hands over whole lines of text that comes in chunks, without their CR, LF or CRLF, and each with its number from 1. */
export class TextLines {
	readonly #take: (line: string, number: number) => void;
	#rest = '';
	#number = 0;
	/** Whether the last chunk ended with a CR, to which an LF may belong. */
	#afterReturn = false;

	constructor(take: (line: string, number: number) => void) {
		this.#take = take;
	}

	write(chunk: string): void {
		const text = this.#afterReturn && chunk.startsWith('\n') ? chunk.slice(1) : chunk;
		if (chunk !== '') this.#afterReturn = chunk.endsWith('\r');
		const lines = text.split(/\r\n|\n|\r/);
		const last = lines.pop()!;
		for (const line of lines) {
			this.#hand(this.#rest + line);
			this.#rest = '';
		}
		if (this.#rest.length < LONGEST_LINE) this.#rest += last;
	}

	/** Hands over what stands behind the last line break. */
	close(): void {
		if (this.#rest !== '') this.#hand(this.#rest);
		this.#rest = '';
	}

	#hand(line: string): void {
		this.#take(line.slice(0, LONGEST_LINE), ++this.#number);
	}
}

import { encodingOf } from './encoding-of';

/**
 * Decodes a file in chunks that may say nothing of its encoding: by its byte-order mark or XML declaration where it has one; else UTF-8 for
 * as long as it is that, and Windows-1252 from the first byte that is not (what is before it is the same in both).
 */
export class BankTextDecoder {
	#decoder: TextDecoder | null = null;
	/** What a chunk ended with that may be the beginning of a sign. */
	#held: Uint8Array<ArrayBuffer> = new Uint8Array(0);

	/** The encoding that the file says it is in, where that cannot be read. @throws never @param start its first chunk */
	static unknownEncoding(start: Uint8Array): string | null {
		const encoding = encodingOf(start);
		try {
			new TextDecoder(encoding);
			return null;
		} catch {
			return encoding;
		}
	}

	/** @param start its first chunk, which is to be decoded as well */
	constructor(start: Uint8Array) {
		const encoding = encodingOf(start);
		const isXml = /^\s*</.test(new TextDecoder('latin1').decode(start.subarray(0, 200)));
		if (encoding !== 'utf-8' || isXml || start[0] === 0xef) this.#decoder = new TextDecoder(encoding);
	}

	decode(chunk: Uint8Array): string {
		if (this.#decoder) return this.#decoder.decode(chunk, { stream: true });
		const bytes = new Uint8Array(this.#held.length + chunk.length);
		bytes.set(this.#held);
		bytes.set(chunk, this.#held.length);
		const whole = bytes.length - cutOff(bytes);
		try {
			const text = new TextDecoder('utf-8', { fatal: true }).decode(bytes.subarray(0, whole));
			this.#held = bytes.slice(whole);
			return text;
		} catch {
			this.#decoder = new TextDecoder('windows-1252');
			this.#held = new Uint8Array(0);
			return this.#decoder.decode(bytes, { stream: true });
		}
	}

	/** What is left at the end of the file. */
	end(): string {
		if (this.#decoder) return this.#decoder.decode();
		return this.#held.length > 0 ? new TextDecoder('windows-1252').decode(this.#held) : '';
	}
}

/** How many bytes at the end may be the beginning of a sign of UTF-8 (RFC 3629) that goes on in the next chunk. */
function cutOff(bytes: Uint8Array): number {
	for (let back = 1; back <= 3 && back <= bytes.length; back++) {
		const byte = bytes[bytes.length - back]!;
		if (byte < 0x80) return 0;
		if (byte >= 0xc0) return back < (byte >= 0xf0 ? 4 : byte >= 0xe0 ? 3 : 2) ? back : 0;
	}
	return 0;
}

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BankTextDecoder } from './bank-text-decoder';

function decoded(bytes: Uint8Array, size: number): string {
	const decoder = new BankTextDecoder(bytes);
	let text = '';
	for (let at = 0; at < bytes.length; at += size) text += decoder.decode(bytes.subarray(at, at + size));
	return text + decoder.end();
}

describe('a file that says nothing of its encoding', () => {
	it('is UTF-8 where it is that, however it is cut', () =>
		fc.assert(
			fc.property(
				fc.string({ unit: 'grapheme', minLength: 1 }),
				fc.integer({ min: 1, max: 7 }),
				(text, size) => {
					fc.pre(!/^[\s]*</.test(text) && !text.startsWith('\uFEFF') && !text.includes('\0'));
					expect(decoded(new TextEncoder().encode(text), size)).toBe(text);
				}
			)
		));
	it('is Windows-1252 from where it is not, and keeps what was before', () =>
		fc.assert(
			fc.property(fc.stringMatching(/^[ -~]*$/), fc.integer({ min: 1, max: 7 }), (text, size) => {
				fc.pre(!/^\s*</.test(text));
				const bytes = Uint8Array.from([...text, '\xfc', 'r', '\xdf'].map((sign) => sign.charCodeAt(0)));
				expect(decoded(bytes, size)).toBe(`${text}ürß`);
			})
		));
	it.each([
		['a lone beginning at the end', [0x41, 0xc3], 'AÃ'],
		['a euro sign of Windows', [0x80, 0x31], '€1']
	])('%s', (_, bytes, want) => expect(decoded(Uint8Array.from(bytes), 1)).toBe(want));
});

describe('a file that says its encoding', () => {
	it.each([
		['by its mark', '\uFEFF:20:ü', ':20:ü'],
		['by its declaration', '<?xml encoding="utf-8"?>ü', '<?xml encoding="utf-8"?>ü']
	])('%s', (_, text, want) => expect(decoded(Buffer.from(text), 3)).toBe(want));
	it('that nobody knows is named', () => {
		expect(BankTextDecoder.unknownEncoding(Buffer.from('<?xml version="1.0" encoding="klingon"?>'))).toBe(
			'klingon'
		);
		expect(BankTextDecoder.unknownEncoding(Buffer.from(':20:'))).toBeNull();
	});
});

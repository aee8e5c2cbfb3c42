import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cleanLine, cleanText, cleanTexts } from './clean-text';
import { cutText } from './cut-text';

describe('text is cleaned', () => {
	it.each([
		['plain', 'Invoice 4711, £12.50', 'Invoice 4711, £12.50'],
		['a NUL', 'a\0b', 'ab'],
		['half an emoji', 'a\ud83d', 'a\ufffd'],
		['its other half', '\ude00b', '\ufffdb'],
		['a whole one', 'a😀b', 'a😀b'],
		['accents apart', 'Cafe\u0301', 'Café'],
		['a mark that turns the direction', 'invoice\u202Efdp.exe', 'invoicefdp.exe'],
		['a byte-order mark', '\uFEFFa', 'a'],
		['line breaks of others', 'a\u2028b\u0085c', 'a\nb\nc'],
		['a tab and a line break', 'a\tb\r\nc', 'a\tb\r\nc']
	])('%s', (_, text, want) => expect(cleanText(text)).toBe(want));
	it('for one line', () => expect(cleanLine('a\tb\r\nc')).toBe('a b c'));
	it('wherever it stands in plain values', () =>
		expect(cleanTexts({ 'a\0': ['b\0', 1, null, { c: 'd\0' }] })).toEqual({ a: ['b', 1, null, { c: 'd' }] }));
	it('so that cleaning it again changes nothing, and every database gives it back', () =>
		fc.assert(
			fc.property(fc.string({ unit: 'binary' }), fc.array(fc.nat(0xffff)), (text, units) => {
				const cleaned = cleanText(text + String.fromCharCode(...units));
				expect(cleanText(cleaned)).toBe(cleaned);
				expect(Buffer.from(cleaned, 'utf8').toString('utf8')).toBe(cleaned);
				expect(cleaned).not.toContain('\0');
			})
		));
});

describe('text is cut', () => {
	it('with a mark', () => expect(cutText('abcdefghij', 8)).toBe('abcd […]'));
	it('not where it fits', () => expect(cutText('abcdefgh', 8)).toBe('abcdefgh'));
	it('not within a character', () => expect(cutText(`abc😀${'x'.repeat(9)}`, 8)).toBe('abc […]'));
	it('to no more than was asked, and never in halves', () =>
		fc.assert(
			fc.property(fc.string({ unit: 'grapheme' }), fc.integer({ min: 5, max: 40 }), (text, most) => {
				const cut = cutText(text, most);
				expect(cut.length).toBeLessThanOrEqual(most);
				expect(cleanText(cut)).toBe(cleanText(cleanText(cut)));
				expect(Buffer.from(cut, 'utf8').toString('utf8')).toBe(cut);
			})
		));
});

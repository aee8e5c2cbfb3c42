import type { TextFormat } from './read-statement';

/** So much of the beginning, in UTF-16 units, tells what a bank file is. */
export const HEAD_LENGTH = 4_000;

/** The format of a bank file by how it begins, its name not asked; null for none of those that are read. @param head some 4,000 units of it, or all */
export function formatOfBankText(head: string): TextFormat | null {
	const text = head.replace(/^\uFEFF/, '').trimStart();
	// A field of a statement message (SWIFT Standards MT, category 9), by itself or within the blocks of its envelope.
	if (/^(?:\{1:|:20:|:25P?:)/.test(text)) return 'MT940';
	// The header record: sender, receiver, a date of six figures.
	if (/^01,[^,\n]{0,60},[^,\n]{0,60},\d{6},/.test(text)) return 'BAI2';
	// A header of lines (1.x), an instruction (2.x), or the message without either.
	if (/^OFXHEADER\s*:/i.test(text) || /<OFX>/i.test(text)) return 'OFX';
	if (text.startsWith('<')) return 'camt.053';
	return null;
}

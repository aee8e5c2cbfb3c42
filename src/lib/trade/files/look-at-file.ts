import type { FileKind } from '../../core/model/file-kind';

/** A file, and what it is by its content. */
export interface FileSeen {
	readonly kind: FileKind;
	readonly file: File;
}

/** Larger spreadsheet files are not read here: whoever brings one chooses where it goes. */
const MOST_READ_HERE = 5_000_000;

/** Kinds of which the server reads spreadsheet files as they are. */
const READ_THERE: ReadonlySet<FileKind> = new Set([
	'documents',
	'customers',
	'rates',
	'bank-table',
	'other-table'
]);

/**
 * Says what a file is. Of a spreadsheet file that is what its rows are; where only text is read of such a kind, its rows go on as a file
 * of text.
 */
export async function lookAtFile(file: File): Promise<FileSeen> {
	// What reads tables is fetched when a file comes: no page needs it before.
	const { HEAD_BYTES, recogniseFile } = await import('../../tables/recognise-file');
	const kind = recogniseFile(new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer()));
	if (kind !== 'spreadsheet' || file.size > MOST_READ_HERE) return { kind, file };
	const { sheetText } = await import('../../tables/sheet-text');
	const read = await sheetText(new Uint8Array(await file.arrayBuffer()));
	if (!read.ok) return { kind, file };
	const { text, sheet } = read.value;
	const inside = recogniseFile(new TextEncoder().encode(text.slice(0, HEAD_BYTES)));
	if (inside === 'unknown' || inside === 'empty') return { kind, file };
	if (READ_THERE.has(inside)) return { kind: inside, file };
	return { kind: inside, file: new File([text], `${file.name}, ${sheet}.csv`, { type: 'text/csv' }) };
}

import type { FileKind } from '../../core/model/file-kind';
import { err, ok, type Result } from '../../core/result';

/** Larger files are not read here. */
const MOST = 5_000_000;
/** Files in which there is nothing to be read as text. */
const NO_TEXT: ReadonlySet<FileKind> = new Set(['picture', 'pdf', 'archive', 'old-spreadsheet', 'web-page']);

/**
 * What stands in a file that somebody takes to read it here: of a spreadsheet file the rows of its first sheet that has any, of any other
 * its text, whatever its encoding.
 * @param wanted what it should be, to say so where it can be nothing of the kind
 */
export async function textOfFile(file: File, wanted: FileKind): Promise<Result<string>> {
	if (file.size > MOST) return err({ code: 'file-too-large', bytes: file.size, most: MOST });
	// What reads tables is fetched when a file comes: no page needs it before.
	const { HEAD_BYTES, recogniseFile } = await import('../../tables/recognise-file');
	const bytes = new Uint8Array(await file.arrayBuffer());
	const found = recogniseFile(bytes.subarray(0, HEAD_BYTES));
	if (NO_TEXT.has(found)) return err({ code: 'other-file', found, wanted, file: file.name });
	if (found === 'spreadsheet') {
		const { sheetText } = await import('../../tables/sheet-text');
		const read = await sheetText(bytes);
		return read.ok ? ok(read.value.text) : read;
	}
	const { decodeText } = await import('../../tables/decode-text');
	return ok(decodeText(bytes));
}

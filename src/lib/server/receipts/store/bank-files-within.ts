import { err, ok, type Result } from '../../../core/result';
import { HEAD_BYTES, recogniseFile } from '../../../tables/recognise-file';
import { unpack, type UnpackLimits } from '../../../tables/unpack';
import { partsOfContent, readContent, type FileContent } from '../../platform/files/file-content';
import { BANK_FILE_BYTES } from './read-bank-file';

/** A year of daily statements of some accounts, and no more than one file may hold. */
const LIMITS: UnpackLimits = { files: 1_000, bytes: BANK_FILE_BYTES, ratio: 200 };
/** How a ZIP archive begins (APPNOTE 6.3, local file header). */
const ZIP = [0x50, 0x4b, 0x03, 0x04];

/** A file as it came. */
export interface FileGiven {
	readonly name: string;
	readonly content: FileContent;
}

/**
 * The files that a bank packed into a ZIP archive, each named after it, in order of their names; any other file as it is. Only the
 * beginning of that is read.
 * @returns `archive-too-large`, `archive-broken`, or `file-empty` for an archive of nothing
 */
export async function bankFilesWithin(given: FileGiven): Promise<Result<readonly FileGiven[]>> {
	let head = new Uint8Array();
	for await (const part of partsOfContent(given.content)) {
		head = part.subarray(0, HEAD_BYTES) as Uint8Array<ArrayBuffer>;
		if (head.length > 0) break;
	}
	if (recogniseFile(head) !== 'archive' || !ZIP.every((byte, i) => head[i] === byte)) return ok([given]);
	const unpacked = unpack(await readContent(given.content), LIMITS);
	if (!unpacked.ok) return unpacked;
	const files = Object.entries(unpacked.value)
		// What a computer adds of its own to what somebody packs.
		.filter(([name]) => !/(?:^|\/)(?:\.|__MACOSX\/)/.test(name))
		.sort(([a], [b]) => (a < b ? -1 : 1));
	if (files.length === 0) return err({ code: 'file-empty' });
	return ok(files.map(([name, content]) => ({ name: `${given.name}: ${name}`, content })));
}

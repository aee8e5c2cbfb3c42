import { createHash } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import { BankTextCollector, type ReadStatement } from '../../../core/1-bank-files/read-bank-text';
import { err, ok, type Result } from '../../../core/result';
import { cleanLine } from '../../../core/text/clean-text';
import { cutText } from '../../../core/text/cut-text';
import type { FileKind } from '../../../core/model/file-kind';
import { recogniseFile } from '../../../tables/recognise-file';
import { encodingOf } from '../../platform/files/encoding-of';

export interface BankFileRead {
	readonly name: string;
	readonly sha256: string;
	readonly bytes: number;
	/** The file as it came, compressed, a megabyte or so of it in each part. */
	readonly parts: readonly Buffer[];
	readonly statements: readonly ReadStatement[];
}

/** Larger files are refused: a year of a busy account is a tenth of it. */
export const BANK_FILE_BYTES = 150_000_000;
const PART = 1 << 20;
/** What is read as a bank file; the reader itself says what is wrong with XML of another kind. */
const READ: ReadonlySet<FileKind> = new Set(['bank-file', 'bank-notice', 'other-xml', 'empty']);

/** Reads a bank file from a stream of bytes: its hash, the bytes to keep, and its statements; nothing is written anywhere. */
export async function readBankFile(
	name: string,
	source: AsyncIterable<Uint8Array> | Iterable<Uint8Array>,
	most = BANK_FILE_BYTES
): Promise<Result<BankFileRead>> {
	const hash = createHash('sha256');
	const collector = new BankTextCollector();
	const parts: Buffer[] = [];
	let pending: Buffer[] = [];
	let waiting = 0;
	let bytes = 0;
	let decoder: TextDecoder | null = null;
	const keep = () => {
		if (waiting === 0) return;
		parts.push(gzipSync(Buffer.concat(pending), { level: 3 }));
		pending = [];
		waiting = 0;
	};
	for await (const chunk of source) {
		if (chunk.length === 0) continue;
		bytes += chunk.length;
		if (bytes > most) return err({ code: 'file-too-large', bytes, most });
		if (!decoder) {
			const found = recogniseFile(chunk);
			if (!READ.has(found)) return err({ code: 'other-file', found, wanted: 'bank-file' });
			const encoding = encodingOf(chunk);
			try {
				decoder = new TextDecoder(encoding);
			} catch {
				return err({ code: 'file-encoding-unknown', encoding });
			}
		}
		hash.update(chunk);
		pending.push(Buffer.from(chunk));
		waiting += chunk.length;
		if (waiting >= PART) keep();
		// A file that is no statement, or broken, need not be read to its end.
		if (!collector.write(decoder.decode(chunk, { stream: true }))) break;
	}
	if (decoder) collector.write(decoder.decode());
	keep();
	const read = collector.close();
	name = cutText(cleanLine(name), 200);
	return read.ok ? ok({ name, sha256: hash.digest('hex'), bytes, parts, statements: read.value }) : read;
}

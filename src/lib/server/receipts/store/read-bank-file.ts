import { BankTextCollector } from '../../../core/1-bank-files/read-bank-text';
import type { ReadStatement } from '../../../core/1-bank-files/read-statement';
import { err, ok, type Result } from '../../../core/result';
import { cleanLine } from '../../../core/text/clean-text';
import { cutText } from '../../../core/text/cut-text';
import type { FileKind } from '../../../core/model/file-kind';
import { recogniseFile } from '../../../tables/recognise-file';
import { FileKeeper, type KeptFile } from './kept-file';
import { BankTextDecoder } from '../../platform/files/bank-text-decoder';

export interface BankFileRead extends KeptFile {
	readonly name: string;
	readonly statements: readonly ReadStatement[];
}

/** Larger files are refused: a year of a busy account is a tenth of it. */
export const BANK_FILE_BYTES = 150_000_000;
/** What is read as a bank file; the reader itself says what is wrong with XML of another kind. */
const READ: ReadonlySet<FileKind> = new Set(['bank-file', 'other-xml', 'empty']);

/** Reads a bank file from a stream of bytes: its hash, the bytes to keep, and its statements; nothing is written anywhere. */
export async function readBankFile(
	name: string,
	source: AsyncIterable<Uint8Array> | Iterable<Uint8Array>,
	most = BANK_FILE_BYTES
): Promise<Result<BankFileRead>> {
	const file = new FileKeeper();
	const collector = new BankTextCollector();
	let decoder: BankTextDecoder | null = null;
	for await (const chunk of source) {
		if (chunk.length === 0) continue;
		const bytes = file.bytes + chunk.length;
		if (bytes > most) return err({ code: 'file-too-large', bytes, most });
		if (!decoder) {
			const found = recogniseFile(chunk);
			if (!READ.has(found)) return err({ code: 'other-file', found, wanted: 'bank-file' });
			const encoding = BankTextDecoder.unknownEncoding(chunk);
			if (encoding) return err({ code: 'file-encoding-unknown', encoding });
			decoder = new BankTextDecoder(chunk);
		}
		file.add(chunk);
		// A file that is no statement, or broken, need not be read to its end.
		if (!collector.write(decoder.decode(chunk))) break;
	}
	if (decoder) collector.write(decoder.end());
	const read = collector.close();
	return read.ok ? ok({ ...file.end(), name: cutText(cleanLine(name), 200), statements: read.value }) : read;
}

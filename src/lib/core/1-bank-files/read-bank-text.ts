import { err, ok, type Result } from '../result';
import { Bai2Reader } from './bai2/reader';
import type { BankFileReader, MakeBankFileReader } from './bank-file-reader';
import { CamtReader } from './camt/reader';
import { formatOfBankText, HEAD_LENGTH } from './format-of-bank-text';
import { Mt940Reader } from './mt940/reader';
import { OfxReader } from './ofx/reader';
import type { ReadStatement, TextFormat } from './read-statement';

const READERS: Readonly<Record<TextFormat, MakeBankFileReader>> = {
	'camt.053': (take) => new CamtReader(take),
	MT940: (take) => new Mt940Reader(take),
	BAI2: (take) => new Bai2Reader(take),
	OFX: (take) => new OfxReader(take)
};

/** Collects statements from chunks of a bank file's text, whatever its format. For files that fit in memory once read. */
export class BankTextCollector {
	readonly statements: ReadStatement[] = [];
	/** The beginning of the file, until it is known what it is. */
	#head: string | null = '';
	#reader: BankFileReader | null = null;

	/** Takes a chunk; false once reading on is of no use. */
	write(chunk: string): boolean {
		if (this.#head === null) this.#reader!.write(chunk);
		else {
			this.#head += chunk;
			if (this.#head.trimStart().length >= HEAD_LENGTH) this.#begin();
		}
		return !this.#reader?.stopped;
	}

	close(): Result<readonly ReadStatement[]> {
		const problems = this.#begin().close();
		return problems.length > 0 ? err(...problems) : ok(this.statements);
	}

	#begin(): BankFileReader {
		if (this.#head === null) return this.#reader!;
		const head = this.#head;
		this.#head = null;
		// What is none of them is read as XML, which says what is wrong with it.
		const make = READERS[formatOfBankText(head) ?? 'camt.053'];
		this.#reader = make((statement) => this.statements.push(statement));
		this.#reader.write(head);
		return this.#reader;
	}
}

/** Reads a bank file given as text, in one or more chunks. */
export function readBankText(...chunks: readonly string[]): Result<readonly ReadStatement[]> {
	const collector = new BankTextCollector();
	for (const chunk of chunks) if (!collector.write(chunk)) break;
	return collector.close();
}

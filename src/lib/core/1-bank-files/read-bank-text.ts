import type { StatementBalances, StatementEntry, StatementHeader } from '../model/bank';
import { err, ok, type Result } from '../result';
import { Camt053Reader } from './camt053/reader';

export interface ReadStatement {
	readonly header: StatementHeader;
	readonly balances: StatementBalances;
	readonly entries: readonly StatementEntry[];
	readonly notBooked: number;
	readonly balanceChecked: boolean;
}

/** Collects statements from chunks of a bank file's text. For files that fit in memory once read. */
export class BankTextCollector {
	readonly statements: ReadStatement[] = [];
	readonly #reader: Camt053Reader;

	constructor() {
		let header: StatementHeader;
		let balances: StatementBalances;
		let entries: StatementEntry[] = [];
		this.#reader = new Camt053Reader({
			statement: (h, b) => {
				header = h;
				balances = b;
				entries = [];
			},
			entry: (entry) => entries.push(entry),
			end: (notBooked, balanceChecked) =>
				this.statements.push({ header, balances, entries, notBooked, balanceChecked })
		});
	}

	/** Takes a chunk; false once reading on is of no use. */
	write(chunk: string): boolean {
		this.#reader.write(chunk);
		return !this.#reader.stopped;
	}

	close(): Result<readonly ReadStatement[]> {
		const problems = this.#reader.close();
		return problems.length > 0 ? err(...problems) : ok(this.statements);
	}
}

/** Reads a bank file given as text, in one or more chunks. */
export function readBankText(...chunks: readonly string[]): Result<readonly ReadStatement[]> {
	const collector = new BankTextCollector();
	for (const chunk of chunks) if (!collector.write(chunk)) break;
	return collector.close();
}

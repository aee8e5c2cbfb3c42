import type { Problem } from '../problems';
import type { ReadStatement } from './read-statement';

/**
 * Reads one format of bank files from chunks of text. A file with any problem is refused whole: what was taken before it is for nobody
 * until `close` has none.
 */
export interface BankFileReader {
	/** True once reading on is of no use: the file is broken, or something else. */
	readonly stopped: boolean;
	write(chunk: string): void;
	/** Ends the file. All problems; none means that every statement was read whole. */
	close(): readonly Problem[];
}

/** Makes a reader that hands over each statement once it is read. */
export type MakeBankFileReader = (take: (statement: ReadStatement) => void) => BankFileReader;

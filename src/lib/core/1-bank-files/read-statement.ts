import type { StatementBalances, StatementEntry, StatementHeader } from '../model/bank';

/**
 * What a bank sends before its statement, as it is called: what it has booked of the day so far (camt.052, MT942, an interim BAI2), and what
 * it tells of single entries and of what a sum is made of (camt.054).
 */
export const REPORT_FORMATS = ['camt.052', 'camt.054', 'MT942', 'BAI2 interim'] as const;
export type ReportFormat = (typeof REPORT_FORMATS)[number];
/** The formats of bank files that are read, as they are called; a `table` is a bank's own, CSV or pasted. */
export const BANK_FILE_FORMATS = ['camt.053', 'MT940', 'BAI2', 'OFX', 'table', ...REPORT_FORMATS] as const;
export type BankFileFormat = (typeof BANK_FILE_FORMATS)[number];
/** The format of statements in books of before, which do not say theirs. */
export const FIRST_FORMAT: BankFileFormat = 'camt.053';
/** The ways in which text is written, each with a reader of its own that needs nothing said; reports are written as the statements are. */
export const TEXT_FORMATS = ['camt.053', 'MT940', 'BAI2', 'OFX'] as const satisfies readonly BankFileFormat[];
export type TextFormat = (typeof TEXT_FORMATS)[number];

/** Of a statement or report that has none, or whose balances are of the moment. */
export const NO_BALANCES: StatementBalances = {
	opening: null,
	openingOn: null,
	closing: null,
	closingOn: null
};

/** A statement as it was read from a file, whatever its format. */
export interface ReadStatement {
	readonly format: BankFileFormat;
	readonly header: StatementHeader;
	readonly balances: StatementBalances;
	readonly entries: readonly StatementEntry[];
	/** How many entries were left out because the bank has not booked them yet. */
	readonly notBooked: number;
	/** Whether opening balance, entries and closing balance were held against each other. */
	readonly balanceChecked: boolean;
}

/** Whether it comes before the statement, which will bring the same entries again; its balances are none that statements go on from. */
export function isReport(format: BankFileFormat): format is ReportFormat {
	return (REPORT_FORMATS as readonly string[]).includes(format);
}

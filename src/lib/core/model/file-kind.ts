/** What a file is, by its content. */
export const FILE_KINDS = [
	/** A bank statement, or what a bank tells before it, in a format that is read: ISO 20022 camt.052 to .054, MT940, MT942, BAI2, OFX. */
	'bank-file',
	/** Formats of statements that are not read. */
	'other-bank-file',
	/** Entries of a bank account as a table. */
	'bank-table',
	/** Invoices, credit notes, charges: a table, or UBL. */
	'documents',
	'customers',
	/** Payments of the past, to learn from. */
	'history',
	'rates',
	/** What a processor took, payment by payment, less its fees. */
	'processor-report',
	/** A remittance advice: a table, text or UBL. */
	'advice',
	'picture',
	'pdf',
	/** XLSX, in which a table is read. */
	'spreadsheet',
	/** XLS and others of its time. */
	'old-spreadsheet',
	'archive',
	'web-page',
	'other-xml',
	/** A table with other columns. */
	'other-table',
	'empty',
	/** Nothing of these: bytes, or text that says nothing here. */
	'unknown'
] as const;
export type FileKind = (typeof FILE_KINDS)[number];

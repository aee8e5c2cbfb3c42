import type { FileKind } from '../../core/model/file-kind';

/** What a file is, in words that follow "It is". */
export const FILE_KIND_WORDS: Readonly<Record<FileKind, string>> = {
	'bank-file': 'a bank file',
	'other-bank-file': 'a bank statement in another format (QIF)',
	'bank-table': 'a table of bank entries',
	documents: 'invoices or credit notes',
	customers: 'a table of customers',
	history: 'a table of what was settled before',
	rates: 'exchange rates',
	'processor-report': 'a processor’s report of payments',
	advice: 'a remittance advice',
	picture: 'a picture',
	pdf: 'a PDF',
	spreadsheet: 'a spreadsheet file',
	'old-spreadsheet': 'a spreadsheet file of an older kind (XLS)',
	archive: 'a compressed archive',
	'web-page': 'a web page',
	'other-xml': 'XML of another kind',
	'other-table': 'a table with columns that are not known here',
	empty: 'empty',
	unknown: 'neither a table, nor XML, nor text with document numbers'
};

/** Where a file of a kind belongs, and what to do with one that belongs nowhere. */
export const FILE_KIND_ADVICE: Readonly<Record<FileKind, string>> = {
	'bank-file': 'Bring it in on Money in.',
	'other-bank-file':
		'Odd Penny reads statements as camt.053, MT940, BAI2 or OFX: ask the bank for one of these.',
	'bank-table': 'Bring it in on Money in, Bank table.',
	documents: 'It belongs to Open items, Bring in invoices or customers.',
	customers: 'It belongs to Open items, Bring in invoices or customers.',
	history: 'It belongs to Open items, Bring in invoices or customers, or to a trial run.',
	rates: 'It belongs to Books, Exchange rates.',
	'processor-report': 'It belongs to the payout that it explains: Money in, Split.',
	advice: 'It belongs to Money in, Advice.',
	picture: 'Pictures are kept with a claim: open the claim, and add it there.',
	pdf: 'PDFs are kept with a claim: open the claim, and add it there. Rows of a PDF can be copied and pasted.',
	spreadsheet: 'Bring it in where its rows belong: Open items, Money in (Bank table), Exchange rates.',
	'old-spreadsheet': 'Save it as XLSX or CSV, or copy its rows and paste them.',
	archive:
		'A ZIP of bank files is taken on Money in. Any other: unpack it, and bring in the files that are in it.',
	'web-page': 'The page itself was saved, not the file: download it again.',
	'other-xml': 'Bank statements in XML are camt.053; invoices and credit notes are UBL.',
	'other-table': 'Its first line names the columns; see which ones are needed where you bring it in.',
	empty: 'Export it again where it came from.',
	unknown: 'See whether it is the file that you meant.'
};

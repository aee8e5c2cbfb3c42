import type { FileKind } from '../../core/model/file-kind';

/** The page that takes a kind of file. */
export interface FilePage {
	readonly href: string;
	/** As it is called on screens. */
	readonly name: string;
}

const PAGES: Partial<Readonly<Record<FileKind, FilePage>>> = {
	'bank-file': { href: '/money-in', name: 'Money in' },
	archive: { href: '/money-in', name: 'Money in' },
	'bank-table': { href: '/money-in/bank-table', name: 'Bank table' },
	documents: { href: '/open-items/bring-in', name: 'Open items' },
	customers: { href: '/open-items/bring-in', name: 'Open items' },
	rates: { href: '/books/rates', name: 'Exchange rates' },
	'processor-report': { href: '/money-in/split', name: 'Split a payout' },
	advice: { href: '/money-in/advice', name: 'Remittance advice' },
	history: { href: '/open-items/bring-in', name: 'Open items' }
};

/** Where a file of a kind belongs; null where no page takes it by itself. */
export function whereFilesGo(kind: FileKind): FilePage | null {
	return PAGES[kind] ?? null;
}

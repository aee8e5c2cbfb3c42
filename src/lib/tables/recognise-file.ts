import { currencyDigits } from '../core/money/currency';
import type { FileKind } from '../core/model/file-kind';
import { readAdviceText } from '../core/2-receipts/advice/read-advice-text';
import { findHeadings, missingFields } from '../core/1-columns/find-headings';
import { guessColumns } from '../core/1-columns/guess-columns';
import type { GridRow } from '../core/1-columns/read-grid-rows';
import { headingKey } from '../core/1-columns/heading-key';
import { formatOfBankText } from '../core/1-bank-files/format-of-bank-text';
import { headingsOf } from './headings-of';
import { parseGrid } from './parse-grid';

/** So much of a file's beginning tells what it is. */
export const HEAD_BYTES = 65_536;

/** Whatever its name ends in, a file is what its first bytes say. */
const MAGIC: readonly (readonly [kind: FileKind, bytes: readonly number[], at?: number])[] = [
	['picture', [0x89, 0x50, 0x4e, 0x47]],
	['picture', [0xff, 0xd8, 0xff]],
	['picture', [0x47, 0x49, 0x46, 0x38]],
	['picture', [0x57, 0x45, 0x42, 0x50], 8],
	// ISO base media of still pictures (HEIC, AVIF).
	['picture', [0x66, 0x74, 0x79, 0x70, 0x68, 0x65, 0x69], 4],
	['picture', [0x66, 0x74, 0x79, 0x70, 0x61, 0x76, 0x69], 4],
	['picture', [0x42, 0x4d]],
	['picture', [0x49, 0x49, 0x2a, 0x00]],
	['picture', [0x4d, 0x4d, 0x00, 0x2a]],
	['pdf', [0x25, 0x50, 0x44, 0x46]],
	['old-spreadsheet', [0xd0, 0xcf, 0x11, 0xe0]],
	['archive', [0x1f, 0x8b]],
	['archive', [0x37, 0x7a, 0xbc, 0xaf]]
];
const ZIP = [0x50, 0x4b, 0x03, 0x04];

/**
 * What a file is, by its beginning: bank file, table of documents, customers or rates, a processor's report, an advice, a picture. Its name
 * is not asked: a file that was renamed is what it was.
 */
export function recogniseFile(head: Uint8Array): FileKind {
	const starts = (bytes: readonly number[], at = 0) => bytes.every((byte, i) => head[at + i] === byte);
	for (const [kind, bytes, at] of MAGIC) if (starts(bytes, at)) return kind;
	if (starts(ZIP)) return latin(head).includes('xl/') ? 'spreadsheet' : 'archive';
	const text = textOf(head).trimStart();
	if (text === '') return 'empty';
	if (text.includes('\0')) return 'unknown';
	if (/^!Type:/i.test(text)) return 'other-bank-file';
	const format = formatOfBankText(text);
	if (format === 'OFX' || format === 'BAI2' || format === 'MT940') return 'bank-file';
	if (text.startsWith('<')) return xmlKind(text);
	return tableKind(text);
}

function latin(bytes: Uint8Array): string {
	return new TextDecoder('latin1').decode(bytes);
}

function textOf(head: Uint8Array): string {
	const little = (head[0] === 0xff && head[1] === 0xfe) || (head[0] === 0x3c && head[1] === 0);
	const big = (head[0] === 0xfe && head[1] === 0xff) || (head[0] === 0 && head[1] === 0x3c);
	return new TextDecoder(little ? 'utf-16le' : big ? 'utf-16be' : 'utf-8').decode(head);
}

function xmlKind(text: string): FileKind {
	if (/^<!doctype html/i.test(text)) return 'web-page';
	// Declarations, comments and instructions stand before the first element.
	const root = /<([A-Za-z][\w.:-]*)([^>]*)/.exec(text.replace(/<!--[\s\S]*?-->/g, ''));
	if (!root) return 'other-xml';
	const name = root[1]!.replace(/^.*:/, '');
	const attributes = root[2] ?? '';
	if (name.toLowerCase() === 'html') return 'web-page';
	if (/camt\.05[234]/.test(attributes) || /BkToCstmr(?:Stmt|AcctRpt|DbtCdtNtfctn)/.test(text))
		return 'bank-file';
	if (name === 'Invoice' || name === 'CreditNote') return 'documents';
	if (name === 'RemittanceAdvice') return 'advice';
	if (/\bcurrency=/.test(text) && /\brate=/.test(text)) return 'rates';
	return 'other-xml';
}

function tableKind(text: string): FileKind {
	const names = headingsOf(text);
	const has = (...wanted: readonly string[]) => wanted.every((name) => names.includes(name));
	const any = (pattern: RegExp) => names.some((name) => pattern.test(name));
	if (has('number', 'customer_code')) return 'documents';
	if (has('customer_code', 'invoice_numbers')) return 'history';
	if (has('code', 'name') && !any(/amount|total/)) return 'customers';
	const grid = gridOf(text);
	const own = ownTableKind(grid);
	if (own) return own;
	const currencies = names.filter((name) => /^[a-z]{3}$/.test(name) && currencyDigits(name.toUpperCase()));
	if (isRates(grid, currencies.length)) return 'rates';
	if (any(/gross|amount/) && any(/\bfees?\b|commission/)) return 'processor-report';
	if (any(/date|booked|datum|buchung/) && any(/balance|saldo|debit|credit|paid in|paid out|iban/))
		return 'bank-table';
	if (isBankTable(grid)) return 'bank-table';
	if (isAdvice(grid)) return 'advice';
	if (readAdviceText(text, 'GBP').some((line) => line.paid !== null)) return 'advice';
	return names.length > 1 ? 'other-table' : 'unknown';
}

/** Words by which a list of open items differs from a bank's list of entries, which has dates, references and balances as well. */
const OF_ITEMS =
	/\b(invoice|inv|due|outstanding|rechnung\w*|rg|fallig\w*|offen\w*|facture|echeance|factuur\w*|verval\w*|openstaand|factura|vencimiento|fattura|scadenza)\b/;

/** The lines of a table's beginning; the last of them may be cut off. */
function gridOf(text: string): readonly GridRow[] {
	const end = text.length < HEAD_BYTES ? text.length : text.lastIndexOf('\n', HEAD_BYTES);
	const grid = parseGrid(text.slice(0, end < 0 ? HEAD_BYTES : end));
	return grid.ok ? grid.value : [];
}

/** A bank's own table of entries: days, amounts, and what only a bank says beside them. */
function isBankTable(grid: readonly GridRow[]): boolean {
	const found = findHeadings('bank-table', grid);
	if (!found || missingFields('bank-table', found.columns).length > 0) return false;
	const { balance, counterparty, counterparty_account, valued, paid_in, paid_out, direction } = found.columns;
	const telling = [balance, counterparty, counterparty_account, valued, direction, paid_in && paid_out];
	return telling.filter((one) => one !== undefined).length > 0;
}

/** A customer's table of what they paid: documents and sums, by what their headings are called in any language. */
function isAdvice(grid: readonly GridRow[]): boolean {
	const found = findHeadings('advice', grid);
	if (!found || missingFields('advice', found.columns).length > 0) return false;
	return missingFields('advice', guessColumns('advice', found.headings, [])).length === 0;
}

/** Rates by day: a row for each, or a column for each currency. */
function isRates(grid: readonly GridRow[], currencies: number): boolean {
	const found = findHeadings('rates', grid);
	if (!found || found.columns.rate_day === undefined) return false;
	const { currency, rate } = guessColumns('rates', found.headings, []);
	return currencies > 1 || (currency !== undefined && rate !== undefined);
}

/** What the day of a payment is called, and no other day is. */
const OF_PAYMENTS =
	/\b(paid|payment date|date of payment|received|receipt date|zahlungsdatum|zahldatum|bezahlt|eingangsdatum|paiement|reglement|paye|betaaldatum|betaald|ontvangstdatum|pago|cobro|pagato|pagamento|incasso)\b/;

/** A list of what customers paid before: the day of a payment, whose it was and how much, and nothing that is due or open. */
function isHistory(grid: readonly GridRow[]): boolean {
	const found = findHeadings('history', grid);
	if (!found || missingFields('history', found.columns).length > 0) return false;
	const [named, items] = [
		guessColumns('history', found.headings, []),
		guessColumns('documents', found.headings, [])
	];
	if (missingFields('history', named).length > 0 || items.due_date !== undefined) return false;
	return OF_PAYMENTS.test(headingKey(found.headings[named.date!]!));
}

/** A firm's own list of open items or of customers, by what its headings are called in any language. */
function ownTableKind(grid: readonly GridRow[]): 'documents' | 'customers' | 'history' | null {
	if (isHistory(grid)) return 'history';
	for (const kind of ['documents', 'customers'] as const) {
		const found = findHeadings(kind, grid);
		if (!found || missingFields(kind, found.columns).length > 0) continue;
		const named = guessColumns(kind, found.headings, []);
		if (missingFields(kind, named).length > 0) continue;
		const headings = found.headings.map(headingKey).join(' ');
		if (kind === 'documents' && OF_ITEMS.test(headings)) return kind;
		const more = (['email', 'address', 'phone', 'terms_days', 'payer_accounts'] as const).some(
			(key) => named[key] !== undefined
		);
		if (kind === 'customers' && more && named.code !== named.name) return kind;
	}
	return null;
}

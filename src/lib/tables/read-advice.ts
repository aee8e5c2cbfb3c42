import { readAdviceTable } from '../core/2-receipts/advice/read-advice-table';
import { readAdviceText } from '../core/2-receipts/advice/read-advice-text';
import { readAdviceUbl } from '../core/2-receipts/advice/read-advice-ubl';
import type { AdviceLine } from '../core/model/advice';
import { ok, type Result } from '../core/result';
import { parseTable } from './parse-table';

/**
 * Reads a remittance advice in whatever shape it comes: UBL 2.1 RemittanceAdvice, a table with headings (CSV, or copied from a
 * spreadsheet), or plain text with a line for each document.
 */
export function readAdvice(text: string, currency: string): Result<AdviceLine[]> {
	if (!text.trim()) return ok([]);
	if (text.trimStart().startsWith('<')) return readAdviceUbl(text, currency);
	const rows = parseTable(text, []);
	const table = rows.ok && rows.value.length > 0 ? readAdviceTable(rows.value, currency) : null;
	return table ?? ok(readAdviceText(text, currency));
}

import type { PastPayment } from '../model/past-payment';
import { DIFFERENCE_KINDS } from '../model/records';
import type { Problem } from '../problems';
import { err, ok, type Result } from '../result';
import type { TableRow } from '../model/table-row';
import { Fields } from './fields';

export const HISTORY_COLUMNS = ['customer_code', 'date', 'amount', 'currency'] as const;

/** Reads payments that were settled before from rows of a table; every field that does not fit is a problem with its line. */
export function readHistory(rows: readonly TableRow[]): Result<PastPayment[]> {
	const problems: Problem[] = [];
	const past = rows.flatMap((row) => {
		const fields = new Fields(row, problems);
		const customerCode = fields.required('customer_code', 60);
		const currency = fields.required('currency', 3).toUpperCase();
		const date = fields.day('date');
		const amount = fields.amount('amount', currency);
		if (date === null || amount === null) return [];
		return [
			{
				...{ customerCode, currency, date, amount },
				payerName: fields.optional('payer_name'),
				payerAccount: fields.optional('payer_account')?.replace(/\s+/g, '') ?? null,
				numbers: numbersOf(fields.text('invoice_numbers')),
				difference: differenceOf(fields, currency)
			}
		];
	});
	return problems.length > 0 ? err(...problems.slice(0, 50)) : ok(past);
}

/** Document numbers, separated by a bar; where there is none, by commas, semicolons or spaces. */
function numbersOf(text: string): string[] {
	const parts = text.includes('|') ? text.split('|') : text.split(/[,;\s]+/);
	return parts.map((part) => part.trim()).filter(Boolean);
}

/** What closed a gap without cash: both of its fields, or none. */
function differenceOf(fields: Fields, currency: string): PastPayment['difference'] {
	const said = fields.text('difference_kind');
	if (!said && !fields.text('difference_amount')) return null;
	const kind = DIFFERENCE_KINDS.find((one) => one === said);
	if (!kind) fields.fault('difference_kind', `it is none of ${DIFFERENCE_KINDS.join(', ')}`);
	const amount = fields.amount('difference_amount', currency);
	return kind && amount !== null && amount > 0 ? { kind, amount } : null;
}

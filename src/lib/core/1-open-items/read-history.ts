import type { PastPayment } from '../model/past-payment';
import type { Problem } from '../problems';
import { bad, good, type Result } from '../result';
import type { TableRow } from '../model/table-row';
import { Fields } from './fields';

export const HISTORY_COLUMNS = ['customer_code', 'date', 'amount', 'currency'] as const;

/** Reads payments that were settled before from rows of a table; every field that does not fit is a problem with its line. */
export function readHistory(rows: readonly TableRow[]): Result<PastPayment[]> {
	const problems: Problem[] = [];
	const past = rows.flatMap((row) => {
		const fields = new Fields(row, problems);
		const customerCode = fields.required('customer_code');
		const currency = fields.required('currency').toUpperCase();
		const date = fields.day('date');
		const amount = fields.amount('amount', currency);
		if (date === null || amount === null) return [];
		return [
			{
				...{ customerCode, currency, date, amount },
				payerName: fields.optional('payer_name'),
				payerAccount: fields.optional('payer_account')?.replace(/\s+/g, '') ?? null,
				numbers: fields
					.text('invoice_numbers')
					.split(/[|,;\s]+/)
					.filter(Boolean)
			}
		];
	});
	return problems.length > 0 ? bad(...problems.slice(0, 50)) : good(past);
}

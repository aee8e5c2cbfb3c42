import type { PastPayment } from '../model/past-payment';
import { plainBankNumber } from '../text/bank-number';
import { DIFFERENCE_KINDS } from '../model/records';
import type { Problem } from '../problems';
import type { RowsRead } from './rows-read';
import type { TableRow } from '../model/table-row';
import { Fields } from './fields';

/** A payment of a table, with its line. */
export interface HistoryRow extends PastPayment {
	readonly line: number;
}

/** Reads payments that were settled before from rows of a table; every field that does not fit is a problem with its line. */
export function readHistoryRows(rows: readonly TableRow[]): RowsRead<HistoryRow> {
	const problems: Problem[] = [];
	const past = rows.flatMap((row): HistoryRow[] => {
		const before = problems.length;
		const fields = new Fields(row, problems);
		const customerCode = fields.required('customer_code', 60);
		const currency = fields.required('currency', 3).toUpperCase();
		const date = fields.day('date');
		const amount = fields.amount('amount', currency);
		if (date === null || amount === null) return [];
		const payment = {
			...{ line: row.line, customerCode, currency, date, amount },
			payerName: fields.optional('payer_name'),
			payerAccount: plainBankNumber(fields.optional('payer_account') ?? '') || null,
			numbers: numbersOf(fields.text('invoice_numbers')),
			difference: differenceOf(fields, currency)
		};
		return problems.length === before ? [payment] : [];
	});
	return { rows: past, problems };
}

/** Document numbers, separated by a bar; where there is none, by commas, semicolons or spaces. */
function numbersOf(text: string): string[] {
	const parts = text.includes('|') ? text.split('|') : text.split(/[,;\s]+/);
	return parts.map((part) => part.trim()).filter(Boolean);
}

/** What closed a gap without cash: both of its fields, or none. */
function differenceOf(fields: Fields, currency: string): PastPayment['difference'] {
	const said = fields
		.text('difference_kind')
		.toLowerCase()
		.replace(/[\s-]+/g, '_');
	if (!said && !fields.text('difference_amount')) return null;
	const kind = DIFFERENCE_KINDS.find((one) => one === said);
	if (!kind) fields.fault('difference_kind', `it is none of ${DIFFERENCE_KINDS.join(', ')}`);
	const amount = fields.amount('difference_amount', currency);
	return kind && amount !== null && amount > 0 ? { kind, amount } : null;
}

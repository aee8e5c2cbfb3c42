import type { Day } from '../day/day';
import { minor, ZERO, type Minor } from '../money/minor';
import { parseDecimal } from '../money/parse-decimal';
import type { Problem } from '../problems';
import type { RowsRead } from './rows-read';
import { proportion } from '../money/proportion';
import { toDecimal } from '../money/to-decimal';
import type { DocumentLine, DocumentRow } from './document-row';
import { Fields } from './fields';
import type { TableRow } from '../model/table-row';

const KINDS = ['invoice', 'credit_note', 'charge'] as const;

/**
 * Reads open documents from rows of a table; every field that does not fit is a problem with its line. Optional columns:
 * `purchase_order`, `order_reference`, `payment_reference`, `description`, `lines` as `clay 100.00 20%|carriage 9.00` (net amounts
 * and the rate of tax), and `instalments` as `2026-10-01 45.00|2026-11-01 45.00`.
 */
export function readDocumentRows(rows: readonly TableRow[]): RowsRead<DocumentRow> {
	const problems: Problem[] = [];
	const documents: DocumentRow[] = [];
	const seen = new Map<string, number>();
	for (const row of rows) {
		const before = problems.length;
		const fields = new Fields(row, problems);
		const kind = KINDS.find((one) => one === fields.text('kind'));
		if (!kind) fields.fault('kind', `it is none of ${KINDS.join(', ')}`);
		const number = fields.required('number', 60);
		const known = seen.get(`${kind} ${number}`);
		if (known !== undefined) fields.fault('number', `it is on line ${known} already`);
		seen.set(`${kind} ${number}`, row.line);
		const customerCode = fields.required('customer_code', 60);
		const issued = fields.day('issue_date');
		// Without a day of its own it follows from the customer's terms.
		const due = fields.text('due_date') ? fields.day('due_date') : null;
		const currency = fields.required('currency', 3).toUpperCase();
		const open = fields.amount('open', currency);
		// A table with one sum alone has it twice: it is faulted once.
		const isOne = fields.text('total') === fields.text('open');
		const total = isOne ? open : fields.amount('total', currency);
		if (!isOne && total !== null && total <= 0) fields.fault('total', 'it is not above zero');
		if (open !== null && open <= 0) fields.fault('open', 'it is not above zero');
		if (open !== null && total !== null && open > total) fields.fault('open', 'it is more than the total');
		const instalments = instalmentsOf(fields, currency, total);
		const lines = linesOf(fields, currency, total);
		if (problems.length > before || !kind || !issued || total === null || open === null) continue;
		const document: DocumentRow = {
			line: row.line,
			number,
			kind,
			customerCode,
			issued,
			due,
			currency,
			total,
			open,
			purchaseOrder: fields.optional('purchase_order'),
			paymentReference: fields.optional('payment_reference'),
			orderReference: fields.optional('order_reference'),
			text: fields.words('description', 1_000),
			lines,
			instalments: instalments.length || !due ? instalments : [{ due, amount: total }]
		};
		// What is read last may be wrong, too.
		if (problems.length === before) documents.push(document);
	}
	return { rows: documents, problems };
}

function instalmentsOf(fields: Fields, currency: string, total: Minor | null): { due: Day; amount: Minor }[] {
	const parts = fields.list('instalments');
	const out: { due: Day; amount: Minor }[] = [];
	for (const part of parts) {
		const [due = '', amount = ''] = part.split(/\s+/);
		const one = new Fields({ line: fields.row.line, cells: { instalments: part, due, amount } }, []);
		const read = { due: one.day('due'), amount: one.amount('amount', currency) };
		if (read.due && read.amount !== null && read.amount > ZERO)
			out.push({ due: read.due, amount: read.amount });
		else {
			fields.fault('instalments', `“${part}” is not a date and an amount`);
			return [];
		}
	}
	const sum = out.reduce((all, part) => all + part.amount, 0);
	if (out.length > 0 && total !== null && sum !== total)
		fields.fault('instalments', 'they do not come to the total');
	return out;
}

function linesOf(fields: Fields, currency: string, total: Minor | null): DocumentLine[] {
	const out: DocumentLine[] = [];
	for (const part of fields.list('lines')) {
		const found = /^(.*\S)\s+(-?[\d.]+)(?:\s+(\d[\d.]*)\s*%)?$/.exec(part);
		const rate = new Fields({ line: fields.row.line, cells: { rate: found?.[3] ?? '0' } }, []);
		const taxBasisPoints = rate.hundredths('rate', 100);
		const net = found ? parseDecimal(found[2]!, currency, true) : 'not-a-number';
		if (!found || typeof net === 'string' || taxBasisPoints === null) {
			fields.fault('lines', `“${part}” is no text and net amount, as in clay 100.00 20%`);
			return [];
		}
		out.push({ text: found[1]!, net, taxBasisPoints, tax: proportion(net, taxBasisPoints, 10_000) });
	}
	const sum = out.reduce((all, line) => all + line.net + line.tax, 0);
	if (out.length > 0 && total !== null && sum !== total)
		fields.fault('lines', `with their tax they come to ${toDecimal(minor(sum), currency)}, not to the total`);
	return out;
}

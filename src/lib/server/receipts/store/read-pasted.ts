import { and, eq, like, or } from 'drizzle-orm';
import type { Day } from '../../../core/day/day';
import { parseTypedDay } from '../../../core/day/parse-typed-day';
import { typedAmount } from '../../../words/typed-amount';
import type { Problem } from '../../../core/problems';
import { err, ok, type Result } from '../../../core/result';
import type { Reader } from '../../platform/db/open';
import { customer, document } from '../../platform/db/schema';
import type { ManualReceiptRow } from './manual-receipt-row';

/**
 * Reads rows pasted from a spreadsheet: customer (code, name or document number), day, method, reference, amount, and what
 * it pays, if that is said. Each line that does not fit is a problem with its line.
 */
export async function readPasted(
	db: Reader,
	text: string,
	today: Day,
	methods: readonly string[]
): Promise<Result<ManualReceiptRow[]>> {
	const problems: Problem[] = [];
	const rows: ManualReceiptRow[] = [];
	for (const [i, line] of text.split(/\r?\n/).entries()) {
		if (!line.trim()) continue;
		const [who = '', when = '', how = '', reference = '', sum = '', pays = ''] = line
			.split('\t')
			.map((cell) => cell.trim());
		const fault = (field: string, value: string, why: string) =>
			problems.push({ code: 'csv-field', field, text: value, why, line: i + 1 });
		const found = await customersNamed(db, who);
		if (found.length !== 1)
			fault(
				'customer',
				who,
				found.length ? 'several customers fit' : 'no customer has that code, name or document'
			);
		const owner = found[0];
		const date = parseTypedDay(when, today);
		if (!date) fault('day', when, 'it is no day; write 30/10 or 2026-10-30');
		const method = methods.find((one) => one.toLowerCase() === (how || methods[0]!).toLowerCase());
		if (!method) fault('method', how, `it is none of ${methods.join(', ')}`);
		const amount = typedAmount(sum, owner?.currency ?? 'GBP');
		if (typeof amount === 'string' || amount <= 0) fault('amount', sum, 'it is no amount above zero');
		else if (owner && date && method)
			rows.push({
				id: null,
				customerId: owner.id,
				date,
				method,
				reference,
				amount,
				currency: owner.currency,
				pays: pays || 'oldest'
			});
	}
	if (rows.length === 0 && problems.length === 0) problems.push({ code: 'file-empty' });
	return problems.length > 0 ? err(...problems.slice(0, 50)) : ok(rows);
}

/** The customer that a text names: by code, by whole name, by document number, then by part of a name. */
async function customersNamed(db: Reader, text: string) {
	if (!text) return [];
	const columns = { id: customer.id, currency: customer.currency };
	const exact = await db
		.select(columns)
		.from(customer)
		.where(or(eq(customer.code, text), like(customer.name, text)))
		.limit(2);
	if (exact.length > 0) return exact;
	const byNumber = await db
		.selectDistinct(columns)
		.from(document)
		.innerJoin(customer, eq(customer.id, document.customerId))
		.where(and(like(document.number, text)))
		.limit(2);
	if (byNumber.length > 0) return byNumber;
	return db
		.select(columns)
		.from(customer)
		.where(like(customer.name, `%${text.replace(/[%_]/g, '')}%`))
		.limit(2);
}

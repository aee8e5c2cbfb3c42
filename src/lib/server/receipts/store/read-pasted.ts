import type { Day } from '../../../core/day/day';
import { parseTypedDay } from '../../../core/day/parse-typed-day';
import { typedAmount } from '../../../words/typed-amount';
import { cutText } from '../../../core/text/cut-text';
import type { Problem } from '../../../core/problems';
import { err, ok, type Result } from '../../../core/result';
import { customersNamed } from '../../customers/store/customers-named';
import type { Reader } from '../../platform/db/open';
import type { PaidInto } from './paid-into';
import type { ManualReceiptRow } from './manual-receipt-row';

/** What one paste may have: as much as is kept at once. */
const MOST_ROWS = 2_000;

/**
 * Reads rows pasted from a spreadsheet: customer (code, name or document number), day, method, reference, amount, and what
 * it pays and where it is paid in, if that is said. Each line that does not fit is a problem with its line.
 */
export async function readPasted(
	db: Reader,
	text: string,
	today: Day,
	ways: {
		readonly methods: readonly string[];
		readonly banks: readonly { readonly id: number; readonly name: string; readonly currency: string }[];
	}
): Promise<Result<ManualReceiptRow[]>> {
	const { methods, banks } = ways;
	const problems: Problem[] = [];
	const rows: ManualReceiptRow[] = [];
	const lines = text
		.split(/\r?\n/)
		.map((line, i) => ({ at: i + 1, cells: line.split('\t').map((cell) => cell.trim()) }))
		.filter(({ cells }) => cells.some((cell) => cell !== ''));
	if (lines.length > MOST_ROWS)
		return err({
			code: 'field',
			field: 'text',
			message: `That is ${lines.length} rows: paste at most ${MOST_ROWS} at once.`
		});
	const owners = await customersNamed(
		db,
		lines.map(({ cells }) => cells[0] ?? '')
	);
	for (const { at, cells } of lines) {
		const [who = '', when = '', how = '', reference = '', sum = '', pays = '', into = ''] = cells;
		const fault = (field: string, value: string, why: string) =>
			problems.push({ code: 'csv-field', field, text: cutText(value, 80), why, line: at });
		const found = owners.get(who) ?? [];
		if (found.length !== 1)
			fault(
				'customer',
				who,
				found.length ? 'several customers fit' : 'no customer has that code, name or document'
			);
		const owner = found[0];
		const date = parseTypedDay(when, today);
		if (!date) fault('day', when, 'it is not a date; write 30/10 or 2026-10-30');
		const method = methods.find((one) => one.toLowerCase() === (how || methods[0]!).toLowerCase());
		if (!method) fault('method', how, `it is none of ${methods.join(', ')}`);
		const ofCurrency = banks.filter((one) => !owner || one.currency === owner.currency);
		const paidInto = placeNamed(into, ofCurrency);
		if (paidInto === undefined)
			fault(
				'paid into',
				into,
				`it is none of ${[...ofCurrency.map((one) => one.name), 'petty cash'].join(', ')}`
			);
		const amount = typedAmount(sum, owner?.currency ?? 'GBP');
		if (typeof amount === 'string' || amount <= 0) fault('amount', sum, 'it is not an amount above zero');
		else if (owner && date && method && paidInto !== undefined)
			rows.push({
				id: null,
				customerId: owner.id,
				date,
				method,
				reference,
				amount,
				currency: owner.currency,
				paidInto,
				pays: pays || 'oldest'
			});
	}
	if (rows.length === 0 && problems.length === 0) problems.push({ code: 'file-empty' });
	return problems.length > 0 ? err(...problems.slice(0, 50)) : ok(rows);
}

/** The place by its name in any case; null for nothing said, undefined for one that is not there. */
function placeNamed(
	text: string,
	banks: readonly { readonly id: number; readonly name: string }[]
): PaidInto | undefined {
	const name = text.toLowerCase();
	if (name === '') return null;
	if (name === 'petty cash') return 'petty cash';
	return banks.find((one) => one.name.toLowerCase() === name)?.id;
}

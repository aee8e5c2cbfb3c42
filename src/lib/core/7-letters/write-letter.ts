import { compareText } from '../compare-text';
import { daysBetween } from '../day/arithmetic';
import type { Day } from '../day/day';
import type { Aged } from '../model/aged';
import type { OpenItem } from '../model/records';
import { sumOf } from '../money/add';
import { minor, type Minor } from '../money/minor';
import type { Problem } from '../problems';
import { err, ok, type Result } from '../result';
import type { Letter, LetterKind, LetterRow, ReturnedInLetter } from './letter';

/** Money of the customer that lies on account. */
export interface Credit {
	readonly reference: string;
	readonly date: Day;
	readonly open: Minor;
}

export interface LetterOrder extends Pick<
	Letter,
	'date' | 'customer' | 'firm' | 'currency' | 'quote' | 'account' | 'corrects' | 'record'
> {
	readonly items: readonly OpenItem[];
	readonly credits: readonly Credit[];
	readonly dated: Letter['dated'];
	/** For the notice of a returned payment: the payment, and the items that are owed again or charged for it. */
	readonly returned?: { readonly payment: ReturnedInLetter; readonly itemIds: readonly number[] };
	/** Ageing of the rows, from the reports. */
	readonly age: (rows: readonly { due: Day; open: Minor }[]) => Aged;
}

/**
 * Writes an open-item statement (all that is open, credits too) or a one-step reminder (what is past its due day and
 * not in dispute), or the notice of a returned payment (what is owed again, and the charge for it).
 * A statement of an account with nothing open, and a reminder where nothing is late, is refused: there is nothing to ask for.
 */
export function writeLetter(kind: LetterKind, order: LetterOrder): Result<Letter> {
	const { items, credits, date, currency } = order;
	const owing = items.filter((item) => item.currency === currency && item.open > 0);
	const covered = coveredBy(order.dated, owing);
	const shown =
		kind === 'statement'
			? owing
			: kind === 'returned'
				? owing.filter((item) => order.returned?.itemIds.includes(item.id))
				: owing.filter((item) => isDue(item) && item.due < date && !covered.has(item.id));
	const rows: LetterRow[] = shown.map((item) => rowOf(item, date));
	if (kind === 'statement')
		for (const credit of credits)
			rows.push({
				number: credit.reference,
				kind: 'credit',
				issued: credit.date,
				due: null,
				text: 'on account',
				total: minor(-credit.open),
				open: minor(-credit.open),
				partPaid: false,
				late: 0
			});
	const problem: Problem = { code: 'nothing-owed', customer: order.customer.name };
	if (rows.length === 0) return err(problem);
	rows.sort((a, b) => compareText(a.due ?? a.issued, b.due ?? b.issued) || compareText(a.number, b.number));
	return ok({
		kind,
		date,
		customer: order.customer,
		firm: order.firm,
		currency,
		rows,
		owed: sumOf(rows, (row) => row.open),
		late: sumOf(
			rows.filter((row) => row.late > 0 && row.open > 0),
			(row) => row.open
		),
		aged: order.age(rows.map((row) => ({ due: row.due ?? date, open: row.open }))),
		quote: order.quote,
		account: order.account,
		dated: order.dated,
		...(order.returned ? { returned: order.returned.payment } : {}),
		...(order.corrects && kind === 'statement' ? { corrects: order.corrects } : {}),
		...(order.record && kind === 'statement' ? { record: order.record } : {})
	});
}

/** Items that cheques dated later will settle whole, oldest first: a reminder leaves them out. */
function coveredBy(dated: Letter['dated'], items: readonly OpenItem[]): ReadonlySet<number> {
	let left: number = sumOf(dated, (one) => one.amount);
	const covered = new Set<number>();
	for (const item of items.filter(isDue).sort((a, b) => compareText(a.due, b.due) || a.id - b.id)) {
		if (item.open > left) break;
		left -= item.open;
		covered.add(item.id);
	}
	return covered;
}

function rowOf(item: OpenItem, date: Day): LetterRow {
	const sign = item.kind === 'credit_note' ? -1 : 1;
	const part = item.parts > 1 ? `instalment ${item.part} of ${item.parts}` : '';
	return {
		number: item.number,
		kind: item.kind,
		issued: item.issued,
		due: isDue(item) ? item.due : null,
		text: [item.kind === 'claim' ? `${item.text}, in dispute` : item.text, part].filter(Boolean).join(', '),
		total: minor(sign * item.total),
		open: minor(sign * item.open),
		partPaid: item.open < item.total,
		late: isDue(item) ? daysBetween(item.due, date) : 0
	};
}

/** A credit note is not owed, and a claim is in dispute: neither is late. */
function isDue(item: OpenItem): boolean {
	return item.kind === 'invoice' || item.kind === 'charge';
}

import { compareText } from '../compare-text';
import { daysBetween } from '../day/arithmetic';
import type { Day } from '../day/day';
import type { Aged } from '../model/aged';
import type { OpenItem } from '../model/records';
import { sumOf } from '../money/add';
import { minor, type Minor } from '../money/minor';
import type { Problem } from '../problems';
import { err, ok, type Result } from '../result';
import { creditorReference } from './creditor-reference';
import { howToPay, type PayOrder } from './how-to-pay';
import type {
	Activity,
	Letter,
	LetterKind,
	LetterRow,
	PartPayment,
	ReturnedInLetter,
	StatementAsked
} from './letter';

/** Money of the customer that lies on account. */
export interface Credit {
	readonly date: Day;
	readonly open: Minor;
}

export interface LetterOrder extends Pick<
	Letter,
	'date' | 'language' | 'customer' | 'firm' | 'currency' | 'corrects' | 'record' | 'note' | 'interest'
> {
	/** What is open on the day that the letter tells of. */
	readonly items: readonly OpenItem[];
	readonly credits: readonly Credit[];
	readonly dated: Letter['dated'];
	/** What settled part of an item, by its id. */
	readonly payments: ReadonlyMap<number, readonly PartPayment[]>;
	readonly pay: Pick<PayOrder, 'account' | 'link'>;
	/** What kind of statement is asked for; open items as of the letter's day where it is not said. */
	readonly statement?: StatementAsked;
	/** All that happened in its period, where it shows that. */
	readonly activity?: Activity;
	/** For the notice of a returned payment: the payment. */
	readonly returned?: ReturnedInLetter;
	/**
	 * The items that it is about: for a reminder all that are past due where it is not said; those that are owed again or charged for a
	 * returned payment; those that were paid; those of which copies go.
	 */
	readonly about?: ReadonlySet<number>;
	/** Ageing of the rows, from the reports. */
	readonly age: (rows: readonly { due: Day; open: Minor }[], day: Day) => Aged;
}

/**
 * Writes a statement (all that is open, credits too; or what happened in a period), a reminder (what is past its due day and not in
 * dispute, less what lies on account and in credit notes), the notice of a returned payment (what is owed again, and the charge), or what
 * the items are that it is about, open or not.
 * A statement with nothing on it, and a reminder where credits cover what is late, is refused: there is nothing to ask for.
 */
export function writeLetter(kind: LetterKind, order: LetterOrder): Result<Letter> {
	const { date, currency } = order;
	const statement: StatementAsked = order.statement ?? { kind: 'open', from: null, to: date };
	const asOf = kind === 'statement' ? statement.to : date;
	const open = openRows(kind, order, asOf);
	const rows = order.activity && kind === 'statement' ? [] : open;
	const late = sumOf(
		open.filter((row) => row.late > 0 && row.open > 0),
		(row) => row.open
	);
	const owed = order.activity?.closing ?? sumOf(open, (row) => row.open);
	const nothing: Problem = { code: 'nothing-owed', customer: order.customer.name };
	const isEmpty = rows.length === 0 && !hasHappened(order.activity);
	if (isEmpty && kind === 'thanks') return err({ code: 'open-again', customer: order.customer.name });
	if (isEmpty || (kind === 'reminder' && owed <= 0)) return err(nothing);
	const asked = kind === 'statement' ? owed : minor(Math.max(0, owed));
	const { customer, firm } = order;
	return ok({
		...{ kind, language: order.language, date, customer, firm, currency, rows, owed, late },
		...(kind === 'statement' ? { statement } : {}),
		...(order.activity && kind === 'statement' ? { activity: order.activity } : {}),
		aged: order.age(
			open.map((row) => ({ due: row.due ?? asOf, open: row.open })),
			asOf
		),
		pay: howToPay({
			...{ ...order.pay, name: firm.name, currency, amount: asked },
			reference: creditorReference(customer.code) ?? customer.code
		}),
		dated: order.dated,
		...(order.note ? { note: order.note } : {}),
		...(order.returned ? { returned: order.returned } : {}),
		...(order.interest ? { interest: order.interest } : {}),
		...(order.corrects && kind === 'statement' ? { corrects: order.corrects } : {}),
		...(order.record && kind === 'statement' ? { record: order.record } : {})
	});
}

function hasHappened(activity: Activity | undefined): boolean {
	return (
		activity !== undefined &&
		(activity.movements.length > 0 || activity.opening !== 0 || activity.closing !== 0)
	);
}

/** The items that a letter shows, and the credits that it takes off, by due day. */
function openRows(kind: LetterKind, order: LetterOrder, asOf: Day): LetterRow[] {
	// On a day in the past an item may have been settled twice: by what was taken off later, and by what took its place.
	const own = order.items.filter((item) => item.currency === order.currency);
	const covered = coveredBy(order.dated, own);
	const shown = own.filter((item) => isShown(kind, order, item, asOf, covered));
	const rows = shown.map((item) => rowOf(item, asOf, order.payments.get(item.id) ?? []));
	if (kind === 'reminder' && !rows.some((row) => row.open > 0)) return [];
	if (kind === 'statement' || kind === 'reminder')
		for (const credit of order.credits) rows.push(creditRow(credit));
	return rows.sort(
		(a, b) => compareText(a.due ?? a.issued, b.due ?? b.issued) || compareText(a.number, b.number)
	);
}

function isShown(
	kind: LetterKind,
	{ about }: LetterOrder,
	item: OpenItem,
	asOf: Day,
	covered: ReadonlySet<number>
): boolean {
	switch (kind) {
		case 'statement':
			return item.open !== 0;
		case 'returned':
			return item.open > 0 && about?.has(item.id) === true;
		case 'thanks':
			// What came back meanwhile is nothing to thank for.
			return item.open === 0 && about?.has(item.id) === true;
		case 'copies':
		case 'interest':
			return about?.has(item.id) === true;
		case 'reminder':
			if (item.open <= 0) return false;
			if (!isDue(item)) return item.kind === 'credit_note';
			return (about ? about.has(item.id) : item.due < asOf) && !covered.has(item.id);
		default:
			return kind satisfies never;
	}
}

/** Items that cheques dated later will settle whole, oldest first: a reminder leaves them out. */
function coveredBy(dated: Letter['dated'], items: readonly OpenItem[]): ReadonlySet<number> {
	let left: number = sumOf(dated, (one) => one.amount);
	const covered = new Set<number>();
	for (const item of items
		.filter((one) => isDue(one) && one.open > 0)
		.sort((a, b) => compareText(a.due, b.due) || a.id - b.id)) {
		if (item.open > left) break;
		left -= item.open;
		covered.add(item.id);
	}
	return covered;
}

function creditRow({ date, open }: Credit): LetterRow {
	return {
		...{ number: '', kind: 'credit', issued: date, due: null, text: '', part: null, purchaseOrder: null },
		...{ total: minor(-open), open: minor(-open), payments: [], isDisputed: false, late: 0 }
	};
}

function rowOf(item: OpenItem, asOf: Day, payments: readonly PartPayment[]): LetterRow {
	const sign = item.kind === 'credit_note' ? -1 : 1;
	const due = isDue(item);
	return {
		...{ number: item.number, kind: item.kind, issued: item.issued, due: due ? item.due : null },
		text: item.text,
		part: item.parts > 1 ? { number: item.part, of: item.parts } : null,
		purchaseOrder: item.purchaseOrder,
		total: minor(sign * item.total),
		open: minor(sign * item.open),
		payments: item.open < item.total ? payments : [],
		isDisputed: item.kind === 'claim',
		late: due ? daysBetween(item.due, asOf) : 0
	};
}

/** A credit note is not owed, and a claim is in dispute: neither is late. */
function isDue(item: OpenItem): boolean {
	return item.kind === 'invoice' || item.kind === 'charge';
}

import type {
	ChoiceName,
	Report,
	ReportCell,
	ReportColumn,
	ReportField,
	ReportHeading,
	ReportId,
	ReportRow
} from '../../core/model/report';
import { REPORT_CHOICES } from '../../core/model/report';
import { bucketName } from './age-words';
import { amount, count, list, money, shortDay, whole } from './format';

/** Reports by name, each with what it says. */
export const REPORT_NAMES: Readonly<Record<ReportId, { readonly name: string; readonly about: string }>> = {
	ageing: {
		name: 'Ageing',
		about:
			'What is owed, by how long it has been due: as of today or any day past, by customer, head office or tag, or item by item.'
	},
	balances: {
		name: 'Balances',
		about:
			'What each customer owes, has on account and may owe: who is overdue, beyond their credit limit, or in credit.'
	},
	receipts: {
		name: 'Receipts',
		about:
			'The money that came in: by day, way, bank account and who allocated it, and what of it is allocated.'
	},
	unallocated: {
		name: 'Unallocated money',
		about:
			'Money on account, and money that nobody has been found for, with its age: as of today or any day past.'
	}
};

const HEADINGS: Readonly<Record<Exclude<ReportHeading['code'], 'bucket'>, string>> = {
	...{
		account: 'Account',
		customer: 'Customer',
		tag: 'Tag',
		document: 'Document',
		what: 'What',
		order: 'Their order'
	},
	...{ issued: 'Issued', due: 'Due', days: 'Days', currency: 'Currency', open: 'Open', credit: 'Credit' },
	...{
		balance: 'Balance',
		owed: 'Owed',
		overdue: 'Overdue',
		'on-account': 'On account',
		limit: 'Credit limit'
	},
	...{
		over: 'Beyond the limit',
		booked: 'Booked',
		'allocated-on': 'Allocated on',
		payer: 'Payer',
		method: 'Way'
	},
	...{
		bank: 'Bank account',
		person: 'Allocated by',
		amount: 'Amount',
		allocated: 'Allocated',
		state: 'State'
	},
	age: 'Days'
};

/** What stands at the head of a column. */
export function reportHeading(heading: ReportHeading): string {
	return heading.code === 'bucket' ? bucketName(heading.bucket, heading.since) : HEADINGS[heading.code];
}

/** What is asked, by the name of its field. */
export const REPORT_FIELDS: Readonly<Record<ReportField['name'], string>> = {
	...{
		'as-of': 'As of',
		from: 'From',
		to: 'To',
		show: 'Show',
		since: 'Aged from',
		credit: 'Credits',
		by: 'By'
	},
	...{
		money: 'In',
		only: 'Only',
		day: 'By',
		what: 'What',
		buckets: 'Buckets end after',
		customer: 'Customer'
	},
	...{
		parent: 'Head office',
		tag: 'Tag',
		currency: 'Currency',
		bucket: 'Bucket',
		bank: 'Bank account',
		person: 'Person'
	}
};

type ChoiceWords = {
	readonly [Name in ChoiceName]: Readonly<Record<(typeof REPORT_CHOICES)[Name][number], string>>;
};

const CHOICES: ChoiceWords = {
	show: { summary: 'summary', detail: 'every item' },
	since: { due: 'the due day', issued: 'the day of issue' },
	credit: { apart: 'apart', within: 'taken in by their own day' },
	by: { customer: 'customer', parent: 'head office', tag: 'tag' },
	money: { own: 'each its own currency', base: 'base currency, at the rate of that day' },
	only: {
		all: 'all',
		overdue: 'who is overdue',
		'over-limit': 'who is beyond their limit',
		'in-credit': 'who is in credit'
	},
	day: { booked: 'the day it was booked', allocated: 'the day it was allocated' },
	what: { all: 'all', 'on-account': 'on account', unidentified: 'unidentified' }
};

/** One choice of a field. */
export function reportChoice(name: ChoiceName, value: string): string {
	return (CHOICES[name] as Readonly<Record<string, string>>)[value] ?? value;
}

/** What a field was asked; null where it narrows nothing down. */
export function reportFieldSays(field: ReportField): string | null {
	switch (field.kind) {
		case 'day':
			return shortDay(field.value);
		case 'choice':
			return reportChoice(field.name, field.value);
		case 'ends':
			return `${field.value.join(', ')} days`;
		case 'picked':
			return field.says;
	}
}

/** What a report was asked, line by line, as it is printed on it. */
export function reportAskedLines(
	fields: readonly ReportField[]
): { readonly name: string; readonly value: string }[] {
	return fields.flatMap((field) => {
		const value = reportFieldSays(field);
		return value === null ? [] : [{ name: REPORT_FIELDS[field.name], value }];
	});
}

/** Codes in cells: kinds of documents, and states of receipts. */
const CODES: Readonly<Record<string, string>> = {
	...{
		invoice: 'invoice',
		credit_note: 'credit note',
		charge: 'charge',
		claim: 'claim',
		on_account: 'on account'
	},
	...{ waiting: 'on the desk', held: 'held', in_approval: 'asked about', unidentified: 'unidentified' },
	...{ allocated: 'allocated', set_aside: 'set aside', split: 'split', returned: 'returned' }
};

/** A cell that holds words; a code as it is said. */
export function reportText({ heading }: ReportColumn, cell: string): string {
	if (heading.code === 'tag') return cell === '' ? 'without a tag' : cell;
	return heading.code === 'what' || heading.code === 'state' ? (CODES[cell] ?? cell) : cell;
}

/** A cell as it is read, on a screen or on paper; empty where nothing stands in it. An amount of nothing is a dash. */
export function reportCell(
	column: ReportColumn,
	{ currency }: Pick<ReportRow, 'currency'>,
	cell: ReportCell
): string {
	if (cell === null) return '';
	switch (column.kind) {
		case 'money':
			return cell === 0 ? '–' : amount(Number(cell), currency);
		case 'day':
			return shortDay(String(cell));
		case 'whole':
			return Number(cell) < 0 ? `−${whole(-Number(cell))}` : whole(Number(cell));
		case 'text':
			return reportText(column, String(cell));
	}
}

/** What a report comes to, in a sentence: the sums of its most telling column. */
export function reportHeadline({ id, fields, columns, sums, count: rows }: Report): string {
	const day = (name: string) => {
		const field = fields.find((one) => one.name === name);
		return field?.kind === 'day' ? shortDay(field.value) : '';
	};
	const sumOf = (key: string) => {
		const n = columns.findIndex((column) => column.key === key);
		return list(sums.map((row) => money(Number(row.cells[n] ?? 0), row.currency)));
	};
	if (rows === 0) return `${REPORT_NAMES[id].name}: nothing.`;
	switch (id) {
		case 'ageing':
			return `${sumOf(columns.some(({ key }) => key === 'open') ? 'open' : 'balance')} open at the end of ${day('as-of')}.`;
		case 'balances':
			return `${sumOf('balance')} due from ${count(rows, 'balance')} at the end of ${day('as-of')}.`;
		case 'receipts':
			return `${sumOf('amount')} came in, in ${count(rows, 'receipt')}.`;
		case 'unallocated':
			return `${sumOf('amount')} had settled nothing at the end of ${day('as-of')}.`;
	}
}

/** What a report of nothing says, by what was asked. */
export function reportOfNothing({ id, fields }: Pick<Report, 'id' | 'fields'>): string {
	const asOf = fields.find((field) => field.name === 'as-of');
	const narrowed = fields.some((field) => field.kind === 'picked' && field.value !== null);
	const where = narrowed ? ' that fits what was asked' : '';
	switch (id) {
		case 'ageing':
		case 'balances':
			return `Nothing${where} was open at the end of ${asOf?.kind === 'day' ? shortDay(asOf.value) : 'that day'}.`;
		case 'receipts':
			return `No money${where} came in during that time.`;
		case 'unallocated':
			return `No money${where} lay on account or was unidentified at the end of that day.`;
	}
}

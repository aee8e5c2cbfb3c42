import type { Day } from '../day/day';
import type { AgeBucket } from './aged';

/** The reports that there are, in the order in which they are listed. */
export const REPORT_IDS = ['ageing', 'balances', 'receipts', 'unallocated'] as const;
export type ReportId = (typeof REPORT_IDS)[number];

/** What is chosen from a fixed list, by the name of the field. */
export const REPORT_CHOICES = {
	show: ['summary', 'detail'],
	since: ['due', 'issued'],
	credit: ['apart', 'within'],
	by: ['customer', 'parent', 'tag'],
	money: ['own', 'base'],
	only: ['all', 'overdue', 'over-limit', 'in-credit'],
	day: ['booked', 'allocated'],
	what: ['all', 'on-account', 'unidentified']
} as const;
export type ChoiceName = keyof typeof REPORT_CHOICES;

/** One thing that a report is asked, with what it was. What was asked is printed on it, and stands in its address under `name`. */
export type ReportField =
	| { readonly kind: 'day'; readonly name: 'as-of' | 'from' | 'to'; readonly value: Day }
	| {
			readonly kind: 'choice';
			readonly name: ChoiceName;
			readonly value: string;
			readonly options: readonly string[];
	  }
	| { readonly kind: 'ends'; readonly name: 'buckets'; readonly value: readonly number[] }
	| PickedField;

/** What narrows a report down, where anything does. */
export interface PickedField {
	readonly kind: 'picked';
	readonly name: 'customer' | 'parent' | 'tag' | 'currency' | 'bucket' | 'bank' | 'person';
	readonly value: string | null;
	/** How it is called where its value alone would not tell. */
	readonly says: string | null;
	/** What there is to choose from; null where it is typed. */
	readonly options: readonly { readonly value: string; readonly says: string }[] | null;
}

/** What stands in a cell: `money` in minor units of the row's currency, `day` as `YYYY-MM-DD`, `whole` a number of things or days. */
export type ReportCellKind = 'text' | 'money' | 'day' | 'whole';
export type ReportCell = string | number | null;

/** Columns by what they hold; their headings are words. */
export type ReportHeading =
	| {
			readonly code:
				| 'account'
				| 'customer'
				| 'tag'
				| 'document'
				| 'what'
				| 'order'
				| 'issued'
				| 'due'
				| 'days'
				| 'currency'
				| 'open'
				| 'credit'
				| 'balance'
				| 'owed'
				| 'overdue'
				| 'on-account'
				| 'limit'
				| 'over'
				| 'booked'
				| 'allocated-on'
				| 'payer'
				| 'method'
				| 'bank'
				| 'person'
				| 'amount'
				| 'allocated'
				| 'state'
				| 'age';
	  }
	| { readonly code: 'bucket'; readonly bucket: AgeBucket; readonly since: 'due' | 'issued' };

export interface ReportColumn {
	/** By which it is sorted, in the address. */
	readonly key: string;
	readonly kind: ReportCellKind;
	readonly heading: ReportHeading;
}

export interface ReportRow {
	readonly id: string;
	/** Of its amounts. */
	readonly currency: string;
	readonly cells: readonly ReportCell[];
	/** The account that it is about, by its code, and an item. */
	readonly account?: string;
	readonly customerId?: number;
	readonly itemId?: number;
}

/** What a report comes to: everything on paper, on screen or in a file is made from this alone. */
export interface Report {
	readonly id: ReportId;
	readonly fields: readonly ReportField[];
	readonly columns: readonly ReportColumn[];
	/** In their order; on a screen those of one page. */
	readonly rows: readonly ReportRow[];
	/** How many there are on all pages. */
	readonly count: number;
	/** What all rows come to, one for each currency: text is empty in them. */
	readonly sums: readonly ReportRow[];
}

import type { DayOrder } from '../core/1-columns/day-form';
import type { FieldKey } from '../core/1-columns/fields';
import type { ColumnsOf } from '../core/1-columns/guess-columns';
import type { DecimalSign } from '../core/1-columns/number-form';

/** What a person said of a table: by its headings, so that the next one like it is read the same way. */
export interface TableAnswer {
	/** The headings, as they are compared, in their order. */
	readonly headings: string;
	readonly columns: ColumnsOf;
	/** Null where that was not asked: the next table may not tell it. */
	readonly dayOrder: DayOrder | null;
	readonly decimalSign: DecimalSign | null;
	readonly currency: string | null;
	/** The firm's own account that a bank's table is of; nothing for other tables. */
	readonly bankAccountId?: number;
	/** What such tables are called: as its file was, until a person says otherwise. */
	readonly name?: string;
}

/** A table as it was understood, and what a person has to say before it can be read. */
export interface TableSeen {
	readonly file: string | null;
	/** The headings as they are compared. */
	readonly key: string;
	readonly headings: readonly string[];
	/** The line of the headings. */
	readonly line: number;
	/** The first rows, to recognise the columns by. */
	readonly samples: readonly (readonly string[])[];
	readonly columns: ColumnsOf;
	readonly dayOrder: DayOrder | null;
	readonly decimalSign: DecimalSign | null;
	readonly currency: string;
	/** What a person said of it, or of one with the same headings before; null where nobody did. */
	readonly answer: TableAnswer | null;
	readonly asks: {
		readonly fields: readonly FieldKey[];
		/** A date that may be two days, where the order has to be said. */
		readonly dayOrder: boolean;
		readonly decimalSign: boolean;
	};
	/** Lines without a number or code of their own: totals, headings between. */
	readonly leftOut: readonly number[];
	/** Lines of documents of which nothing is open any more. */
	readonly settled: readonly number[];
}

/** Whether something has to be said of a table before it can be read. */
export function isAsking({ asks: { fields, dayOrder, decimalSign } }: TableSeen): boolean {
	return fields.length > 0 || dayOrder || decimalSign;
}

import { parseDay, type Day } from '../day/day';
import { parseDecimal } from '../money/parse-decimal';
import type { Minor } from '../money/minor';
import type { Problem } from '../problems';
import type { TableRow } from '../model/table-row';

const AMOUNT_FAULTS: Readonly<Record<string, string>> = {
	'unknown-currency': 'its currency is not one of ISO 4217',
	'not-a-number': 'it is no amount; write 1043.20, without sign or grouping',
	'too-many-decimals': 'it has more decimals than the currency',
	'too-large': 'it is too large'
};

/** Reads the fields of one row, noting every one that does not fit. */
export class Fields {
	constructor(
		readonly row: TableRow,
		readonly problems: Problem[]
	) {}

	text(column: string): string {
		return this.row.cells[column] ?? '';
	}

	fault(column: string, why: string): void {
		this.problems.push({
			code: 'csv-field',
			field: column,
			text: this.text(column),
			why,
			line: this.row.line
		});
	}

	required(column: string): string {
		const text = this.text(column);
		if (!text) this.fault(column, 'it is empty');
		return text;
	}

	optional(column: string): string | null {
		return this.text(column) || null;
	}

	/** Parts separated by a bar. */
	list(column: string): string[] {
		return this.text(column)
			.split('|')
			.map((part) => part.trim())
			.filter(Boolean);
	}

	whole(column: string, least: number, most: number): number | null {
		const text = this.text(column);
		if (!text) return null;
		const value = /^\d+$/.test(text) ? Number(text) : NaN;
		if (value >= least && value <= most) return value;
		this.fault(column, `it is no whole number from ${least} to ${most}`);
		return null;
	}

	/** A number with up to two decimals, in hundredths: a percentage in basis points. */
	hundredths(column: string, most: number): number | null {
		const text = this.text(column);
		if (!text) return null;
		const found = /^(\d+)(?:\.(\d{1,2})0*)?$/.exec(text);
		const value = found ? Number(found[1]) * 100 + Number((found[2] ?? '').padEnd(2, '0')) : NaN;
		if (value <= most * 100) return value;
		this.fault(column, `it is no number from 0 to ${most} with at most two decimals`);
		return null;
	}

	day(column: string): Day | null {
		const day = parseDay(this.text(column));
		if (!day) this.fault(column, 'it is no day; write 2026-10-30');
		return day;
	}

	amount(column: string, currency: string): Minor | null {
		const value = parseDecimal(this.text(column), currency);
		if (typeof value !== 'string') return value;
		this.fault(column, AMOUNT_FAULTS[value] ?? value);
		return null;
	}
}

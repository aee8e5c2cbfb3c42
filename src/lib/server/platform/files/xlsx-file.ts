import writeXlsxFile, { type Cell, type SheetData } from 'write-excel-file/node';

/** A cell of a workbook: words, a number with its decimals, or a day. Nothing of it is ever a formula. */
export type XlsxCell =
	| { readonly kind: 'text'; readonly value: string }
	| { readonly kind: 'number'; readonly value: number; readonly decimals: number }
	| { readonly kind: 'day'; readonly value: string }
	| null;

export interface XlsxTable {
	/** Of the sheet: at most 31 signs, and none of `[]:*?/\`. */
	readonly name: string;
	/** Above the table: what it is, and what was asked. */
	readonly lines: readonly (readonly [name: string, value: string])[];
	readonly headings: readonly string[];
	readonly rows: readonly (readonly XlsxCell[])[];
	readonly sums: readonly (readonly XlsxCell[])[];
	/** Columns whose headings stand to the right. */
	readonly figures: readonly boolean[];
}

const LONGEST_TEXT = 32_767;

/** A table as a workbook (ECMA-376): true numbers and days, words as words, the headings kept in sight. */
export async function xlsxFile(table: XlsxTable): Promise<Buffer> {
	const { name, lines, headings, rows, sums, figures } = table;
	const top: SheetData = lines.map(([what, value], n) => [
		{ value: what, type: String, ...(n === 0 ? { fontWeight: 'bold' as const } : {}) },
		value === '' ? null : { value, type: String }
	]);
	const heads = headings.map((value, n): Cell => ({
		...{ value, type: String, fontWeight: 'bold', bottomBorderStyle: 'thin' },
		...(figures[n] ? { align: 'right' as const } : {})
	}));
	const data: SheetData = [
		...top,
		[],
		heads,
		...rows.map((row) => row.map((cell) => cellOf(cell))),
		...sums.map((row) => row.map((cell) => cellOf(cell, true)))
	];
	const widths = headings.map((heading, n) => ({
		width: Math.min(
			60,
			Math.max(heading.length, ...rows.slice(0, 500).map((row) => widthOf(row[n] ?? null))) + 3
		)
	}));
	return writeXlsxFile(data, {
		...{ sheet: name, columns: widths, stickyRowsCount: top.length + 2, orientation: 'landscape' }
	}).toBuffer();
}

function cellOf(cell: XlsxCell, isSum = false): Cell {
	if (cell === null) return null;
	const style = isSum ? { fontWeight: 'bold' as const, topBorderStyle: 'thin' as const } : {};
	switch (cell.kind) {
		case 'text':
			return { value: cell.value.slice(0, LONGEST_TEXT), type: String, ...style };
		case 'number':
			return {
				...{ value: cell.value, type: Number, ...style },
				format: cell.decimals === 0 ? '#,##0' : `#,##0.${'0'.repeat(cell.decimals)}`
			};
		case 'day':
			return { value: new Date(`${cell.value}T00:00:00Z`), type: Date, format: 'yyyy-mm-dd', ...style };
	}
}

function widthOf(cell: XlsxCell): number {
	if (cell === null) return 0;
	return cell.kind === 'text'
		? cell.value.length
		: cell.kind === 'day'
			? 10
			: String(Math.trunc(cell.value)).length + 4;
}

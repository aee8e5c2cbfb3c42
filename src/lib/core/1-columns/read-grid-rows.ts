import type { TableRow } from '../model/table-row';
import type { Problem } from '../problems';
import { cutText } from '../text/cut-text';
import { withoutAccents } from '../text/without-accents';
import { readDayAs, dayOrderOf, type DayOrder } from './day-form';
import { ROW_FIELD, TABLE_FIELDS, type FieldKey, type TableKind } from './fields';
import type { ColumnsOf } from './guess-columns';
import { headingKey } from './heading-key';
import { HEADING_LANGUAGES } from './headings';
import { decimalSignOf, readNumberAs, type DecimalSign } from './number-form';
import { codeOf, currencyMarkOf, isOf } from './currency-mark';

/** A row of a table as it stands there, with the line on which it begins. */
export interface GridRow {
	readonly line: number;
	readonly cells: readonly string[];
}

/** How a table is to be read: which column is which, and how its dates and numbers are written. */
export interface TableReading {
	readonly columns: ColumnsOf;
	readonly dayOrder: DayOrder;
	readonly decimalSign: DecimalSign;
	/** The currency of rows that do not tell theirs. */
	readonly currency: string;
	/** Whether somebody said so of all rows: then what their sums are written with may not differ. */
	readonly currencyIsSaid: boolean;
}

/** What of a reading the table tells itself; `'either'` where a person has to say, null where it contradicts itself. */
export interface FormsFound {
	readonly dayOrder: DayOrder | 'either' | null;
	readonly decimalSign: DecimalSign | 'either' | null;
}

/** How the table writes dates and numbers, found from all values of the columns that have them. */
export function formsOf(kind: TableKind, columns: ColumnsOf, rows: readonly GridRow[]): FormsFound {
	const of = (shape: string) =>
		TABLE_FIELDS[kind]
			.filter((field) => field.shape === shape && columns[field.key] !== undefined)
			.flatMap(({ key }) => rows.map((row) => row.cells[columns[key]!] ?? ''))
			.filter((text) => text !== '');
	return { dayOrder: dayOrderOf(of('day')), decimalSign: decimalSignOf(of('amount')) };
}

/** The rows of a table, the lines that are none, and what stands against others. */
export interface GridRead {
	readonly rows: readonly TableRow[];
	/** Lines without a number or a code of their own: headings between, totals. */
	readonly leftOut: readonly number[];
	/** Lines of documents of which nothing is open any more. */
	readonly settled: readonly number[];
	readonly problems: readonly Problem[];
}

/**
 * The rows of a table with our own names and forms, as the readers of rows want them: dates as YYYY-MM-DD, amounts with a dot. What
 * cannot be read stays as it is, so that the reader says so with its line. What could be meant in two ways is refused here: a sum whose
 * currency is another than its row's, sums with different signs, an invoice below zero that is called one. Documents that are settled
 * are none of what is open: a ledger's list of all of them may be brought as it is.
 */
export function readGridRows(kind: TableKind, rows: readonly GridRow[], reading: TableReading): GridRead {
	const key = ROW_FIELD[kind];
	const out: TableRow[] = [];
	const leftOut: number[] = [];
	const settled: number[] = [];
	const problems: Problem[] = [];
	const isCredits = kind === 'history' && areBelowZero(rows, reading);
	for (const { line, cells: given } of rows) {
		const texts = textsOf(kind, given, reading.columns);
		if (!texts[key]) {
			leftOut.push(line);
			continue;
		}
		const fault = (field: FieldKey, why: string) =>
			problems.push({ code: 'csv-field', field, text: cutText(texts[field] ?? '', 100), why, line });
		const before = problems.length;
		const cells = cellsOf(kind, texts, reading, fault);
		if (kind === 'documents' && NOTHING.test(cells['open']!)) {
			settled.push(line);
			continue;
		}
		if (kind === 'documents') Object.assign(cells, asDocument(cells, fault));
		if (isCredits) cells['amount'] = cells['amount']!.replace(/^-/, '');
		if (problems.length === before) out.push({ line, cells });
	}
	return { rows: out, leftOut, settled, problems };
}

/** Whether all sums of a table stand below zero: a ledger writes what was received as a credit. */
function areBelowZero(rows: readonly GridRow[], { columns, decimalSign }: TableReading): boolean {
	const texts = rows.map(({ cells }) => cells[columns.amount ?? -1]?.trim() ?? '').filter(Boolean);
	return texts.length > 0 && texts.every((text) => readNumberAs(text, decimalSign)?.startsWith('-'));
}

/** An amount of zero, however many decimals it is written with. */
const NOTHING = /^-?0+(?:\.0*)?$/;

type Texts = Readonly<Partial<Record<FieldKey, string>>>;
type Fault = (field: FieldKey, why: string) => unknown;

/** The mark by which our own files have a spreadsheet take something for text. */
const AS_TEXT = /^'(?=[=+@-])/;

/** What stands in each field of a row. */
function textsOf(kind: TableKind, given: readonly string[], columns: ColumnsOf): Texts {
	const texts: Partial<Record<FieldKey, string>> = {};
	for (const { key } of TABLE_FIELDS[kind]) {
		const at = columns[key];
		const text = (at === undefined ? undefined : given[at])?.trim() ?? '';
		texts[key] = text.replace(AS_TEXT, '');
	}
	return texts;
}

function cellsOf(kind: TableKind, texts: Texts, reading: TableReading, fault: Fault): Record<string, string> {
	const amounts = TABLE_FIELDS[kind].filter(({ shape }) => shape === 'amount').map(({ key }) => key);
	const currency = currencyOf(texts, amounts, reading, fault);
	const cells: Record<string, string> = {};
	for (const { key, shape } of TABLE_FIELDS[kind]) {
		const text = texts[key] ?? '';
		if (shape === 'day') cells[key] = readDayAs(text, reading.dayOrder) ?? text;
		else if (shape === 'amount') cells[key] = readNumberAs(text, reading.decimalSign) ?? text;
		else if (shape === 'number') cells[key] = onlyNumber(text);
		else if (shape === 'currency') cells[key] = currency;
		else cells[key] = text;
	}
	return cells;
}

/**
 * The currency of a row: its own column's, else that which somebody said for all rows, else that which its sums are written with, else
 * the firm's. A sum that is written with another is a fault.
 */
function currencyOf(
	texts: Texts,
	amounts: readonly FieldKey[],
	{ currency, currencyIsSaid }: TableReading,
	fault: Fault
): string {
	const marks = amounts.flatMap((key) => {
		const mark = currencyMarkOf(texts[key] ?? '');
		return mark === null ? [] : [{ key, mark }];
	});
	const told = texts.currency || (currencyIsSaid ? currency : '');
	const written = marks.map(({ mark }) => codeOf(mark)).find((code) => code !== null);
	const code = told ? (codeOf(told) ?? told) : (written ?? currency);
	for (const { key, mark } of marks)
		if (!isOf(mark, code)) fault(key, `its currency is another than that of its row, ${code}`);
	return code;
}

/** "30 Tage netto" is 30, "2,5 %" is 2.5. Any other word may mean something else: "2% 10, net 30" stays as it is, to be refused. */
function onlyNumber(text: string): string {
	const found = NUMBER_WITH_UNIT.exec(plain(text));
	return found ? found[1]!.replace(',', '.') : text;
}
const NUMBER_WITH_UNIT =
	/^(?:net |netto |net in )?(\d+(?:[.,]\d+)?) ?(?:%|percent|prozent|d|days?|tage?|jours?|dagen|dag|dias?|giorni|gg)?(?: net| netto)?$/;
/** In small letters, with single blanks. */
const plain = (text: string) => withoutAccents(text).toLowerCase().replace(/\s+/g, ' ').trim();

/**
 * A document's kind by its word, else by the sign of its sums; sums without a sign. Where the first sum is not told it is the same as
 * what is open.
 */
function asDocument(cells: Readonly<Record<string, string>>, fault: Fault): Record<string, string> {
	const [open, total] = [cells['open']!, cells['total'] || cells['open']!];
	const negative = open.startsWith('-');
	if (negative !== total.startsWith('-')) fault('open', 'its sign is another than that of the total');
	const word = cells['kind']!;
	const said = word ? kindOf(word) : null;
	if (negative && said !== null && said !== 'credit_note')
		fault('open', 'it is below zero, and called no credit note');
	// A word that nobody knows is for the reader to refuse.
	const kind = said ?? (word || (negative ? 'credit_note' : 'invoice'));
	return { kind, open: open.replace(/^-/, ''), total: total.replace(/^-/, '') };
}

/** The kind of document that a word stands for, in any language that headings are known in. */
function kindOf(text: string): 'invoice' | 'credit_note' | 'charge' | null {
	const word = headingKey(text);
	for (const kind of ['credit_note', 'charge', 'invoice'] as const)
		if (HEADING_LANGUAGES.some(({ kinds }) => kinds[kind].some((one) => headingKey(one) === word)))
			return kind;
	return null;
}

import { checkSplit } from '$lib/core/2-receipts/check-split';
import type { TableRow } from '$lib/core/model/table-row';
import { minor, type Minor } from '$lib/core/money/minor';
import { typedAmount } from '$lib/words/typed-amount';
import { parseTable } from '$lib/tables/parse-table';
import { problemSentence } from '$lib/words';

/** Which column of a report is which; an empty one is not there. */
export interface ReportColumns {
	name: string;
	text: string;
	gross: string;
	fee: string;
}

export interface PartRow {
	name: string;
	text: string;
	gross: string;
	fee: string;
}

/** Headings that reports use, to begin with. */
const USUAL: Readonly<Record<keyof ReportColumns, RegExp>> = {
	name: /name|payer|customer|buyer/,
	text: /reference|description|invoice|order|note/,
	gross: /gross|amount|paid/,
	fee: /fee|charge|commission/
};

const empty = (): PartRow => ({ name: '', text: '', gross: '', fee: '' });

/** The parts that an entry is split into, from a report or by hand, and whether they come to it. */
export class Splitting {
	rows = $state<PartRow[]>([empty()]);
	processor = $state('');
	columns = $state<ReportColumns>({ name: '', text: '', gross: '', fee: '' });
	headings = $state.raw<readonly string[]>([]);
	problems = $state.raw<readonly string[]>([]);
	#table: readonly TableRow[] = [];
	readonly #amount: Minor;
	readonly #currency: string;

	constructor(
		amount: Minor,
		currency: string,
		readonly known: Readonly<Record<string, ReportColumns>>
	) {
		this.#amount = amount;
		this.#currency = currency;
	}

	readonly parts = $derived.by(() =>
		this.rows
			.filter((row) => row.gross.trim() || row.name.trim())
			.map((row) => ({
				payerName: row.name.trim(),
				text: row.text.trim(),
				gross: this.#read(row.gross),
				fee: row.fee.trim() ? this.#read(row.fee) : minor(0)
			}))
	);
	readonly sums = $derived.by(() => {
		const of = (pick: (part: (typeof this.parts)[number]) => Minor | null) =>
			this.parts.reduce((sum, part) => sum + (pick(part) ?? 0), 0);
		const [gross, fee] = [of((part) => part.gross), of((part) => part.fee)];
		return { gross, fee, net: gross - fee, left: this.#amount - (gross - fee) };
	});
	/** What stands in the way, or nothing. */
	readonly wrong = $derived.by(() => {
		const bad = this.parts.findIndex((part) => part.gross === null || part.fee === null);
		if (bad >= 0) return `Part ${bad + 1}: that is not an amount.`;
		const parts = this.parts.map((part) => ({ gross: part.gross!, fee: part.fee! }));
		const [first] = checkSplit({ amount: this.#amount, currency: this.#currency }, parts);
		return first ? problemSentence(first) : '';
	});

	/** Takes a report; the columns are those of this processor's last one, else those whose headings say so. */
	take(text: string): void {
		const read = parseTable(text, []);
		if (!read.ok) {
			this.problems = read.problems.map(problemSentence);
			return;
		}
		this.problems = [];
		this.#table = read.value;
		this.headings = Object.keys(read.value[0]?.cells ?? {});
		const known = this.known[this.processor];
		const guess = (part: keyof ReportColumns) =>
			known && this.headings.includes(known[part])
				? known[part]
				: (this.headings.find((heading) => USUAL[part].test(heading)) ?? '');
		this.columns = { name: guess('name'), text: guess('text'), gross: guess('gross'), fee: guess('fee') };
		this.lay();
	}

	/** Lays the report's rows by the columns chosen. */
	lay(): void {
		const cell = (row: TableRow, column: string) => row.cells[column] ?? '';
		this.rows = this.#table.map((row) => ({
			name: cell(row, this.columns.name),
			text: cell(row, this.columns.text),
			gross: cell(row, this.columns.gross),
			// Reports write fees with and without a minus; the direction is known.
			fee: cell(row, this.columns.fee).replace(/^[-−]/, '')
		}));
	}

	add(): void {
		this.rows = [...this.rows, empty()];
	}

	remove(index: number): void {
		this.rows = this.rows.filter((_, i) => i !== index);
	}

	#read(text: string): Minor | null {
		const value = typedAmount(text, this.#currency);
		return typeof value === 'string' ? null : value;
	}
}

import { isEmailAddress } from '../text/email-address';
import { currencyDigits } from '../money/currency';
import { readDayAs } from './day-form';
import { TABLE_FIELDS, type FieldKey, type FieldShape, type TableField, type TableKind } from './fields';
import { headingKey } from './heading-key';
import { HEADING_LANGUAGES } from './headings';
import { readNumberAs } from './number-form';

/** Which column holds each field, by its place; a field that is not there has none. */
export type ColumnsOf = Readonly<Partial<Record<FieldKey, number>>>;

/** So many values of a column are looked at. */
const SAMPLE = 200;
/** Our own name; a heading as it is called in some language; one that has such a word in it; what its values are. */
const [OWN, NAMED, CONTAINS, BY_VALUES] = [1_000, 100, 50, 10];

/**
 * Which column of a table is which field, guessed from what the columns are called in several languages and from what stands in them.
 * A heading of our own name goes before all. A column whose values cannot be what a field asks for is not taken for it.
 * @param rows the first of them are looked at
 */
export function guessColumns(
	kind: TableKind,
	headings: readonly string[],
	rows: readonly { readonly cells: readonly string[] }[]
): ColumnsOf {
	const keys = headings.map(headingKey);
	const samples = headings.map((_, at) =>
		rows
			.slice(0, SAMPLE)
			.map(({ cells }) => cells[at]?.trim() ?? '')
			.filter(Boolean)
	);
	const pairs = TABLE_FIELDS[kind].flatMap((field, order) =>
		headings.flatMap((_, at) => {
			const says = scoreOf(field, keys[at]!, samples[at]!);
			return says > 0 ? [{ key: field.key, at, says, order }] : [];
		})
	);
	pairs.sort((a, b) => b.says - a.says || a.order - b.order || a.at - b.at);
	const columns: Partial<Record<FieldKey, number>> = {};
	const taken = new Set<number>();
	for (const { key, at } of pairs) {
		if (columns[key] !== undefined || taken.has(at)) continue;
		columns[key] = at;
		taken.add(at);
	}
	// One sum alone is what is open; what it was at first is then the same.
	if (kind === 'documents' && columns.open === undefined && columns.total !== undefined) {
		columns.open = columns.total;
		delete columns.total;
	}
	return columns;
}

function scoreOf({ key, shape }: TableField, heading: string, sample: readonly string[]): number {
	const named = namedAs(key, heading);
	// Our own name is meant, whatever stands in it: its faults are told by line.
	if (named === OWN) return named;
	if (sample.length > 0 && shareOf(shape, sample) < 0.5) return 0;
	if (named > 0) return named;
	const email = key === 'email' && isMostly(sample, isEmailAddress);
	const currency = shape === 'currency' && isMostly(sample, isCurrency);
	const iban =
		key === 'payer_accounts' && isMostly(sample, (text) => /^[A-Z]{2}\d{2}[A-Z0-9 ]{10,}$/.test(text));
	return email || currency || iban ? BY_VALUES : 0;
}

/** How surely a heading names a field: earlier words of a language are surer, and English ones a little surer than others. */
function namedAs(key: FieldKey, heading: string): number {
	if (heading === headingKey(key)) return OWN;
	let best = 0;
	for (const [language, { fields }] of HEADING_LANGUAGES.entries())
		for (const [rank, word] of (fields[key] ?? []).entries()) {
			const less = Math.min(rank, 30) + language / 10;
			if (heading === word) best = Math.max(best, NAMED - less);
			else if (word.length >= 4 && ` ${heading} `.includes(` ${word} `))
				best = Math.max(best, CONTAINS - less);
		}
	return best;
}

/** The share of values that can be of a shape. */
function shareOf(shape: FieldShape, sample: readonly string[]): number {
	const fits = FITS[shape];
	return fits ? sample.filter(fits).length / sample.length : 1;
}
const isNumber = (text: string) => readNumberAs(text, '.') !== null || readNumberAs(text, ',') !== null;
const isCurrency = (text: string) =>
	/^[A-Za-z]{3}$/.test(text) && currencyDigits(text.toUpperCase()) !== undefined;
const FITS: Readonly<Partial<Record<FieldShape, (text: string) => boolean>>> = {
	day: (text) => readDayAs(text, 'day-first') !== null || readDayAs(text, 'month-first') !== null,
	amount: isNumber,
	number: (text) => /\d/.test(text),
	currency: (text) => /^[A-Za-z]{3}$|^[€£$]$/.test(text)
};

function isMostly(sample: readonly string[], fits: (text: string) => boolean): boolean {
	return sample.length > 0 && sample.filter(fits).length / sample.length >= 0.8;
}

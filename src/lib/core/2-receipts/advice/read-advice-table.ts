import type { AdviceLine } from '../../model/advice';
import type { TableRow } from '../../model/table-row';
import { minor, type Minor } from '../../money/minor';
import { parseTyped } from '../../money/parse-typed';
import type { Problem } from '../../problems';
import { err, ok, type Result } from '../../result';
import { deductionCalled } from './deduction-called';

/** Columns of sums of an advice. */
type Sum = 'paid' | 'gross' | 'taken_off';

/** A line that adds up the others. */
const TOTAL = /^(?:sub)?total|^summe|^gesamt|^somme|^totale|^totaal|^suma/i;

/**
 * Reads the rows of an advice. What was taken off is its own column, or what the gross is more than what is paid; its words are those of
 * the reason, else of the column's heading.
 * @param rows with our names of fields: `number`, `paid`, `gross`, `taken_off`, `why`
 * @param headings what the columns are called in the table
 */
export function readAdviceTable(
	rows: readonly TableRow[],
	currency: string,
	headings: Readonly<Partial<Record<Sum, string>>>
): Result<AdviceLine[]> {
	const problems: Problem[] = [];
	const lines: AdviceLine[] = [];
	for (const { line, cells } of rows) {
		const number = cells['number'] ?? '';
		if (!number || TOTAL.test(number)) continue;
		const read = (part: Sum): Minor | null => {
			const text = cells[part] ?? '';
			if (!text) return null;
			const value = parseTyped(text, currency, true);
			if (typeof value !== 'string') return value;
			problems.push({ code: 'amount-bad', text, currency, why: value, part: headings[part] ?? part, line });
			return null;
		};
		const [gross, named, net] = [read('gross'), read('taken_off'), read('paid')];
		const paid = net ?? (gross === null ? null : minor(gross - Math.abs(named ?? 0)));
		const off = named ? Math.abs(named) : gross !== null && paid !== null && gross > 0 ? gross - paid : 0;
		const why = cells['why'] ?? '';
		lines.push({
			...{ line, paid, numbers: [number], text: [number, why].filter(Boolean).join(' ') },
			deduction:
				off > 0 ? { ...deductionCalled(why || (headings.taken_off ?? '')), amount: minor(off) } : null
		});
	}
	return problems.length > 0 ? err(...problems.slice(0, 50)) : ok(lines);
}

import type { AdviceLine } from '../../model/advice';
import type { TableRow } from '../../model/table-row';
import { minor, type Minor } from '../../money/minor';
import { parseTyped } from '../../money/parse-typed';
import type { Problem } from '../../problems';
import { err, ok, type Result } from '../../result';
import { deductionCalled } from './deduction-called';

/** What customers call the columns of an advice; the first column that fits counts. */
const COLUMNS = {
	number:
		/^(your |our )?(invoice|document|doc|credit note|reference|ref|bill|rechnung|beleg|facture)\b|number$/,
	paid: /\b(paid|payment|net|zahlung|payé)\b|^amount$|^betrag$|^montant$/,
	off: /deduct|discount|taken off|difference|adjust|skonto|escompte|abzug/,
	gross: /gross|invoice amount|document amount|brutto|original/,
	why: /reason|comment|note|text|remark|description|grund/
} as const;

/** Which columns of a table are an advice's; null where there is no number or nothing paid. */
function columnsOf(names: readonly string[]): Partial<Record<keyof typeof COLUMNS, string>> | null {
	const found: Partial<Record<keyof typeof COLUMNS, string>> = {};
	for (const part of ['gross', 'off', 'paid', 'number', 'why'] as const) {
		const name = names.find((one) => COLUMNS[part].test(one) && !Object.values(found).includes(one));
		if (name) found[part] = name;
	}
	return found.number && (found.paid || found.gross) ? found : null;
}

/** Whether columns of these names are those of an advice. */
export function isAdviceTable(names: readonly string[]): boolean {
	return columnsOf(names) !== null;
}

/**
 * Reads an advice from a table with headings; null where its headings are none of an advice. What was taken off is its own
 * column, or what the gross is more than what is paid; its words are those of the reason, else of the column.
 */
export function readAdviceTable(rows: readonly TableRow[], currency: string): Result<AdviceLine[]> | null {
	const columns = columnsOf(Object.keys(rows[0]?.cells ?? {}));
	if (!columns) return null;
	const problems: Problem[] = [];
	const lines: AdviceLine[] = [];
	for (const { line, cells } of rows) {
		const read = (part: keyof typeof COLUMNS): Minor | null => {
			const text = (columns[part] && cells[columns[part]]) || '';
			if (!text) return null;
			const value = parseTyped(text, currency, true);
			if (typeof value !== 'string') return value;
			problems.push({ code: 'amount-bad', text, currency, why: value, part: columns[part]!, line });
			return null;
		};
		const number = cells[columns.number!] ?? '';
		if (!number || /^total/i.test(number)) continue;
		const [gross, named, net] = [read('gross'), read('off'), read('paid')];
		const paid = net ?? (gross === null ? null : minor(gross - Math.abs(named ?? 0)));
		const off = named ? Math.abs(named) : gross !== null && paid !== null && gross > 0 ? gross - paid : 0;
		const why = (columns.why && cells[columns.why]) || '';
		lines.push({
			...{ line, paid, numbers: [number], text: [number, why].filter(Boolean).join(' ') },
			deduction: off > 0 ? { ...deductionCalled(why || (columns.off ?? '')), amount: minor(off) } : null
		});
	}
	return problems.length > 0 ? err(...problems.slice(0, 50)) : ok(lines);
}

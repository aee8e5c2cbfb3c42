import type { AdviceLine } from '../../model/advice';
import { minor, type Minor } from '../../money/minor';
import { parseTyped } from '../../money/parse-typed';
import { deductionCalled } from './deduction-called';

/** An amount as people write it: with two decimals, thousands grouped by commas or not, a minus before or behind. */
const AMOUNT = /(?<![\w.,])[-−]?[£€$]?(?:\d{1,3}(?:,\d{3})+|\d+)\.\d{2}(?![\d.])-?/g;
/** Words with a digit that are no amount and no day may be numbers. */
const NUMBER = /[A-Za-z]{1,6}[-/ ]\d[\w/-]{2,20}|[A-Za-z]{1,6}[-/]?\d[\w/-]{0,20}|\d[\w/-]{2,20}/g;
const DAY = /\b(?:\d{4}-\d{2}-\d{2}|\d{1,2}[./]\d{1,2}[./]\d{2,4})\b/g;

/**
 * Reads a remittance advice as text or as rows copied from a table: one line for each document, with what is paid. Of several
 * amounts on a line the last is what is paid; where the first less the second is the third, the second is a deduction, called by
 * the words on the line. Lines without a number that could be a document's are left out, totals among them.
 */
export function readAdviceText(text: string, currency: string): AdviceLine[] {
	const found: AdviceLine[] = [];
	for (const [i, raw] of text.split(/\r?\n/).entries()) {
		const line = raw.replace(/\t/g, '  ').trim();
		const plain = line.replace(DAY, ' ');
		const amounts = [...plain.matchAll(AMOUNT)].flatMap((match) => amountOf(match[0], currency) ?? []);
		const words = plain.replace(AMOUNT, ' ');
		const numbers = [...words.matchAll(NUMBER)]
			.map((match) => match[0].trim())
			.sort((a, b) => b.length - a.length);
		if (numbers.length === 0 || /^\s*(sub)?total\b/i.test(line)) continue;
		found.push({ line: i + 1, text: line, numbers, ...paidOf(amounts, line) });
	}
	return found;
}

function paidOf(amounts: readonly Minor[], line: string): Pick<AdviceLine, 'paid' | 'deduction'> {
	const [gross, off, net] = amounts;
	if (amounts.length === 3 && gross! - Math.abs(off!) === net! && off !== 0)
		return { paid: net!, deduction: { ...deductionCalled(line), amount: minor(Math.abs(off!)) } };
	return { paid: amounts.at(-1) ?? null, deduction: null };
}

function amountOf(text: string, currency: string): Minor | null {
	const negative = /^[-−]|-$/.test(text);
	const value = parseTyped(text.replace(/^[-−]|-$/g, ''), currency);
	if (typeof value === 'string') return null;
	return negative && value !== 0 ? minor(-value) : value;
}

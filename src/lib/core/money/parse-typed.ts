import { add } from './add';
import type { Minor } from './minor';
import { parseDecimal, type DecimalFault } from './parse-decimal';

/**
 * Reads an amount as a clerk types it: "1889.2", "1,889.20", "£480", "750+480", "750-20.50". Commas group thousands and
 * must stand where thousands stand; spaces are ignored. A leading minus is refused unless `signed`: the application knows
 * the direction.
 */
export function parseTyped(text: string, currency: string, signed = false): Minor | DecimalFault {
	const plain = text.replace(/[\s£€$]/g, '').replace(/[−–]/g, '-');
	const terms = plain.match(/[+-]?[^+-]+/g);
	if (!terms || terms.join('') !== plain) return 'not-a-number';
	const values: Minor[] = [];
	for (const term of terms) {
		const body = term.replace(/^[+-]/, '');
		if (body.includes(',') && !/^\d{1,3}(,\d{3})+(\.\d*)?$/.test(body)) return 'not-a-number';
		const value = parseDecimal(term.replace(/,/g, ''), currency, true);
		if (typeof value === 'string') return value;
		values.push(value);
	}
	const sum = values.reduce((a, b) => a + b, 0);
	if (!Number.isSafeInteger(sum)) return 'too-large';
	if (sum < 0 && !signed) return 'not-a-number';
	return add(...values);
}

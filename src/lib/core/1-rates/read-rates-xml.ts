import { parseDay, type Day } from '../day/day';
import { currencyDigits } from '../money/currency';
import type { Problem } from '../problems';
import { err, ok, type Result } from '../result';
import { parseXml, type XmlElement } from '../xml/parse-xml';
import { parseRate } from './parse-rate';
import type { Quote } from './quote';

/**
 * Reads daily reference rates as XML: elements with a `time` (or `date`) attribute around elements with `currency` and
 * `rate` attributes, whatever they are called and however deep. A currency that is not of ISO 4217 any more is left out.
 */
export function readRatesXml(xml: string): Result<Quote[]> {
	const read = parseXml(xml);
	if (!read.ok) return read;
	const quotes: Quote[] = [];
	const problems: Problem[] = [];
	const visit = (element: XmlElement, around: Day | null) => {
		const { attributes, line } = element;
		let day = around;
		const time = attributes['time'] ?? attributes['date'];
		if (time !== undefined) {
			day = parseDay(time.slice(0, 10));
			if (!day) {
				problems.push({ code: 'date-bad', text: time, part: element.name, line });
				return;
			}
		}
		const { currency, rate } = attributes;
		if (currency !== undefined && rate !== undefined && currencyDigits(currency) !== undefined) {
			const value = parseRate(rate);
			if (!value)
				problems.push({ code: 'csv-field', field: currency, text: rate, why: 'it is no rate', line });
			else if (!day) problems.push({ code: 'part-missing', part: 'time', line });
			else quotes.push({ line, day, currency, ...value });
		}
		for (const child of element.children) visit(child, day);
	};
	visit(read.value, null);
	if (problems.length === 0 && quotes.length === 0) problems.push({ code: 'part-missing', part: 'rate' });
	return problems.length > 0 ? err(...problems.slice(0, 50)) : ok(quotes);
}

import type { Problem } from '../problems';
import { err, ok, type Result } from '../result';
import type { DayRate, Quote, QuotedAs } from './quote';

const MILLION = 1_000_000n;
/** The most that one unit of a currency is worth in another, in millionths: a million. No pair of ISO 4217 comes near. */
const MOST_RATE = 1_000_000_000_000;

/**
 * What one unit of each quoted currency was worth in base currency. Where the figures say what one unit of another currency
 * buys, the base currency's own figure of the same day is the bridge, and a day without it is a problem. Rounded half away
 * from zero to a millionth; a rate that would round to nothing is a problem.
 */
export function ratesInBase(quotes: readonly Quote[], as: QuotedAs, base: string): Result<DayRate[]> {
	const problems: Problem[] = [];
	const rates: DayRate[] = [];
	const bridges = new Map(quotes.filter((one) => one.currency === base).map((one) => [one.day, one]));
	const add = (quote: Quote, currency: string, top: bigint, bottom: bigint) => {
		const millionths = Number((2n * top * MILLION + bottom) / (2n * bottom));
		if (millionths === 0 || millionths > MOST_RATE)
			problems.push({
				...{ code: 'csv-field', field: currency, line: quote.line },
				text: `${quote.units}/${quote.scale}`,
				why: 'the rate is too small or too large to be kept'
			});
		else rates.push({ line: quote.line, currency, day: quote.day, millionths });
	};
	const bridged = new Set<string>();
	for (const quote of quotes) {
		if (as.way === 'worth') {
			if (quote.currency !== base) add(quote, quote.currency, quote.units, quote.scale);
			continue;
		}
		// One unit of `of` buys units/scale of the currency, and is itself worth so much of the base currency.
		const bridge = as.of === base ? { units: 1n, scale: 1n } : bridges.get(quote.day);
		if (!bridge) {
			if (!bridged.has(quote.day))
				problems.push({ code: 'rate-bridge-missing', base, of: as.of, date: quote.day, line: quote.line });
			bridged.add(quote.day);
			continue;
		}
		if (as.of !== base && !bridged.has(quote.day)) {
			bridged.add(quote.day);
			add({ ...quote, line: bridges.get(quote.day)!.line }, as.of, bridge.units, bridge.scale);
		}
		if (quote.currency !== base && quote.currency !== as.of)
			add(quote, quote.currency, bridge.units * quote.scale, bridge.scale * quote.units);
	}
	return problems.length > 0 ? err(...problems.slice(0, 50)) : ok(rates);
}

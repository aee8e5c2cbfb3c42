import type { DayRate, QuotedAs } from '../../../core/1-rates/quote';
import { ratesInBase } from '../../../core/1-rates/rates-in-base';
import { readRatesXml } from '../../../core/1-rates/read-rates-xml';
import { currencyDigits } from '../../../core/money/currency';
import { err, ok, type Result } from '../../../core/result';
import { readOwnRates } from '../../../tables/read-own-rates';
import { asKind, inFile, readFormTexts, type FormText } from './read-form-text';

/** Reads rates from a form: a file or pasted rows (CSV or XML), and what their figures mean. */
export async function readRatesForm(
	form: FormData,
	base: string
): Promise<Result<(DayRate & { readonly source: string })[]>> {
	const texts = await readFormTexts(form);
	if (!texts.ok) return texts;
	const [source] = texts.value as [FormText];
	const { file, text } = source;
	const quoted = String(form.get('quoted') ?? 'worth').toUpperCase();
	if (quoted !== 'WORTH' && currencyDigits(quoted) === undefined)
		return err({ code: 'code-unknown', what: 'currency', text: quoted });
	const as: QuotedAs = quoted === 'WORTH' ? { way: 'worth' } : { way: 'buys', of: quoted };
	const quotes = text.trimStart().startsWith('<') ? readRatesXml(text) : readOwnRates(text);
	const rates = quotes.ok ? ratesInBase(quotes.value, as, base) : quotes;
	const read = rates.ok ? ok(rates.value.map((one) => ({ ...one, source: file ?? '' }))) : rates;
	return inFile(asKind('rates', source, read), file);
}

import type { Day } from '../../../core/day/day';
import { minor, type Minor } from '../../../core/money/minor';
import type { Problem } from '../../../core/problems';
import { baseConverter } from '../../firm/store/to-base';
import type { Reader } from '../../platform/db/open';

/** Turns amounts into base currency at the rates of a day; problems where one has no rate. */
export async function baseOn(
	db: Reader,
	base: string,
	currencies: readonly string[],
	on: Day
): Promise<
	| { readonly ok: true; readonly convert: (amount: number, currency: string) => Minor }
	| { readonly ok: false; readonly problems: readonly Problem[] }
> {
	const converters = new Map<string, (amount: Minor) => Minor>();
	const problems: Problem[] = [];
	for (const currency of new Set(currencies)) {
		const converter = await baseConverter(db, currency, base, on);
		if ('code' in converter) problems.push(converter);
		else converters.set(currency, converter);
	}
	if (problems.length > 0) return { ok: false, problems };
	return { ok: true, convert: (amount, currency) => converters.get(currency)!(minor(amount)) };
}

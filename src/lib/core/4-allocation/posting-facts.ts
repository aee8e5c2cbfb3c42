import type { Posting } from '../model/posting';
import type { ExchangeDifference, PostingFacts } from '../model/posting-facts';
import type { DifferenceKind, OpenItem } from '../model/records';
import { itemLabel } from './item-label';

/** One item of a posting: what of it stays open, and what closes a gap without money; minor units of its currency. */
interface FactLine {
	readonly item: Pick<OpenItem, 'kind' | 'number' | 'part' | 'parts' | 'currency'>;
	readonly remains: number;
	readonly gaps: readonly { readonly kind: DifferenceKind; readonly amount: number | null }[];
}

/**
 * All that a posting does to the books, as facts for whoever reads it before it is done.
 * @param posting what `allocate` makes of it
 * @param rates by which amounts are turned into base currency, by currency; none where all of it is in base currency
 */
export function postingFacts(
	of: Omit<PostingFacts, 'settles' | 'leaves' | 'uses' | 'gaps' | 'exchange'> & {
		readonly lines: readonly FactLine[];
	},
	posting: Posting,
	baseCurrency: string,
	rates: Readonly<Record<string, ExchangeDifference['rates'][number]>>
): PostingFacts {
	const { lines, ...rest } = of;
	const taken = lines.filter(({ item }) => item.kind !== 'credit_note');
	return {
		...rest,
		settles: taken.flatMap(({ item, remains }) => (remains === 0 ? itemLabel(item) : [])),
		leaves: taken.flatMap(({ item, remains }) =>
			remains > 0 ? [{ label: itemLabel(item), amount: remains, currency: item.currency }] : []
		),
		uses: lines.flatMap(({ item }) => (item.kind === 'credit_note' ? itemLabel(item) : [])),
		gaps: lines.flatMap(({ item, gaps }) =>
			gaps.flatMap(({ kind, amount }) => (amount ? [{ kind, amount, currency: item.currency }] : []))
		),
		exchange: exchangeOf(of.currency, posting, baseCurrency, rates)
	};
}

/** What is won or lost on exchange; null where all of it is in base currency, or the money's rate is not known. */
function exchangeOf(
	currency: string,
	{ allocations }: Posting,
	baseCurrency: string,
	rates: Readonly<Record<string, ExchangeDifference['rates'][number]>>
): ExchangeDifference | null {
	const used = [...new Set([currency, ...allocations.map((one) => one.itemCurrency)])];
	if (allocations.length === 0 || used.every((one) => one === baseCurrency)) return null;
	if (currency !== baseCurrency && !rates[currency]) return null;
	return {
		amount: allocations.reduce((sum, one) => sum + one.creditBase - one.itemBase, 0),
		baseCurrency,
		rates: used.flatMap((one) => (rates[one]?.day ? rates[one] : []))
	};
}

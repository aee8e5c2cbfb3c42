import type { EntryDetail, StatementEntry } from '../model/bank';
import { detailsDivide } from './details-divide';

type Told = Pick<StatementEntry, 'amount' | 'details'>;

/**
 * What a bank's report of an entry tells that its statement does not: the payments that its sum is made of, or who paid it. Null where the
 * statement's own details stay, for they say as much, or the report's do not come to the sum.
 */
export function detailsFromReport(entry: Told, reported: Told): readonly EntryDetail[] | null {
	if (entry.amount !== reported.amount || detailsDivide(entry)) return null;
	if (detailsDivide(reported)) return reported.details;
	const [own, ...more] = entry.details;
	const [told, ...others] = reported.details;
	if (!told || more.length > 0 || others.length > 0) return null;
	return namesPayer(told) && !(own && namesPayer(own)) ? [told] : null;
}

function namesPayer({ counterpartyName, counterpartyAccount }: EntryDetail): boolean {
	return counterpartyName !== null || counterpartyAccount !== null;
}

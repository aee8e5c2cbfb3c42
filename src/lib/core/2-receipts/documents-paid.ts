import type { OpenItem } from '../model/records';
import { referenceKey } from '../text/words-of-text';

/** What a payment recorded by hand is for, as it is typed: `oldest`, `account`, or numbers of documents. */
export type Pays = 'oldest' | 'account' | string;

/**
 * The open items that a typed list of document numbers names, in its order, each once, with all instalments of a document; and the
 * numbers that name none. `oldest` and `account` name nothing.
 */
export function documentsPaid<I extends Pick<OpenItem, 'id' | 'number'>>(
	pays: Pays,
	open: readonly I[]
): { readonly items: readonly I[]; readonly missing: readonly string[] } {
	if (pays === 'oldest' || pays === 'account') return { items: [], missing: [] };
	const items = new Map<number, I>();
	const missing: string[] = [];
	for (const number of pays.split(/[\s,;]+/).filter(Boolean)) {
		const named = open.filter((item) => referenceKey(item.number) === referenceKey(number));
		if (named.length === 0) missing.push(number);
		for (const item of named) items.set(item.id, item);
	}
	return { items: [...items.values()], missing };
}

import { sql } from 'drizzle-orm';
import { indexBooks, type MatchIndex } from '../../../core/3-matching';
import type { Customer } from '../../../core/model/records';
import type { Reader } from '../../platform/db/open';

interface Kept {
	/** How many names there are, and the newest of them: both stand still while nothing changes. */
	readonly mark: string;
	readonly index: MatchIndex;
}

const kept = new WeakMap<object, Kept>();

/**
 * The names of all customers as matching indexes them, and nothing else of the books: whom a name or words may mean is looked for
 * here in just the way in which it is answered. Made once and kept while no name comes or goes, by whoever keeps it.
 */
export async function namesIndex(db: Reader, keeper: object): Promise<MatchIndex> {
	const row = await db.get<{ mark: string }>(
		sql`select count(*) || ' ' || coalesce(max(id), 0) || ' ' || coalesce(sum(id), 0) as mark from customer_name`
	);
	const mark = row?.mark ?? '';
	const known = kept.get(keeper);
	if (known?.mark === mark) return known.index;
	// In one value: fifty thousand rows of their own would take a second.
	const all = await db.get<{ list: string }>(
		sql`select json_group_array(json_array(customer_id, name)) as list from customer_name`
	);
	const names = new Map<number, string[]>();
	for (const [id, name] of JSON.parse(all?.list ?? '[]') as [number, string][]) {
		const list = names.get(id);
		if (list) list.push(name);
		else names.set(id, [name]);
	}
	const customers = [...names].map(([id, [name, ...otherNames]]): Customer => ({
		...{ id, code: '', name: name!, otherNames, payerAccounts: [], parentId: null, currency: '' }
	}));
	const index = indexBooks({ customers, items: [] });
	kept.set(keeper, { mark, index });
	return index;
}

import { sql } from 'drizzle-orm';
import { nameKey } from '../../core/3-matching/name-key';
import { NearNames } from '../../core/3-matching/near-names';
import { partsOfName } from '../../core/3-matching/parts-of-name';
import type { Reader } from '../db/open';

interface NameIndex {
	/** How many names there are, and the newest of them: both stand still while nothing changes. */
	readonly mark: string;
	readonly near: NearNames;
	readonly ids: ReadonlyMap<string, readonly number[]>;
}

const indexes = new WeakMap<object, NameIndex>();

/**
 * Customers whose name is nearly one of these, as `NearNames` finds them, or is spelled otherwise for want of a letter. The index
 * of all names is made once and kept while no name comes or goes, by the connection that `db` is of.
 */
export async function namesNearly(
	db: Reader,
	names: readonly string[],
	connection: object = db
): Promise<Set<number>> {
	const found = new Set<number>();
	if (names.length === 0) return found;
	const { near, ids } = await indexOf(db, connection);
	for (const part of names.flatMap(partsOfName)) {
		const key = nameKey(part);
		for (const one of ids.has(key) ? [key] : near.find(part))
			for (const id of ids.get(one) ?? []) found.add(id);
	}
	return found;
}

async function indexOf(db: Reader, connection: object): Promise<NameIndex> {
	const row = await db.get<{ mark: string }>(
		sql`select count(*) || ' ' || coalesce(max(id), 0) || ' ' || coalesce(sum(id), 0) as mark from customer_name`
	);
	const mark = row?.mark ?? '';
	const known = indexes.get(connection);
	if (known?.mark === mark) return known;
	// In one value: fifty thousand rows of their own would take a second.
	const all = await db.get<{ list: string }>(
		sql`select json_group_array(json_array(customer_id, name)) as list from customer_name`
	);
	const ids = new Map<string, number[]>();
	for (const [id, name] of JSON.parse(all?.list ?? '[]') as [number, string][])
		for (const part of partsOfName(name)) {
			const key = nameKey(part);
			const list = ids.get(key);
			if (!list) ids.set(key, [id]);
			else if (!list.includes(id)) list.push(id);
		}
	const index = { mark, near: new NearNames([...ids.keys()].sort()), ids };
	indexes.set(connection, index);
	return index;
}

import { sql } from 'drizzle-orm';
import { allAtOnce } from '../../platform/db/all-at-once';
import type { Reader } from '../../platform/db/open';

/** An account as reports name it. */
export interface ReportAccount {
	readonly id: number;
	readonly code: string;
	readonly name: string;
	readonly tags: readonly string[];
	/** The account at the head of its group: its own where it is no branch. */
	readonly headId: number;
	/** In minor units of its currency; null for none. */
	readonly creditLimit: number | null;
	readonly currency: string;
}

/** Accounts by their ids, as they are seen now: all of them, or the one asked for, or those that belong to one, or have a tag. */
export async function reportAccounts(
	db: Reader,
	only: { readonly customer: number | null; readonly parent: number | null; readonly tag: string | null }
): Promise<ReadonlyMap<number, ReportAccount>> {
	const { customer, parent, tag } = only;
	// Most firms have few branches: heads are looked for from those alone.
	type Row = [
		id: number,
		code: string,
		name: string,
		tags: string,
		headId: number,
		limit: number | null,
		currency: string
	];
	const rows = await allAtOnce<Row>(
		db,
		sql`
			with recursive above (id, up_id) as (
				select id, parent_id from customer where parent_id is not null
				union all
				select a.id, c.parent_id from above a join customer c on c.id = a.up_id where c.parent_id is not null
			), headed (id, head_id) as (
				select a.id, a.up_id from above a join customer c on c.id = a.up_id where c.parent_id is null
			)
			select c.id, c.code, c.name, c.tags, coalesce(h.head_id, c.id) as head_id, c.credit_limit, c.currency
			from customer c left join headed h on h.id = c.id
			where c.merged_into_id is null
				${customer === null ? sql`` : sql`and c.id = ${customer}`}
				${parent === null ? sql`` : sql`and coalesce(h.head_id, c.id) = ${parent}`}
				${tag === null ? sql`` : sql`and exists (select 1 from json_each(c.tags) t where t.value = ${tag})`}`,
		['id', 'code', 'name', 'tags', 'head_id', 'credit_limit', 'currency']
	);
	return new Map(
		rows.map(([id, code, name, tags, headId, creditLimit, currency]) => [
			id,
			{
				...{ id, code, name, headId, creditLimit, currency },
				tags: tags === '[]' ? NO_TAGS : (JSON.parse(tags) as string[])
			}
		])
	);
}

const NO_TAGS: readonly string[] = [];

/** An account by its code, as it is seen now. */
export async function accountCalled(
	db: Reader,
	code: string
): Promise<{ readonly id: number; readonly value: string; readonly says: string } | null> {
	const [row] = await db.all<{ id: number; code: string; name: string }>(sql`
		select into_.id, into_.code, into_.name from customer c join customer into_ on into_.id = coalesce(c.merged_into_id, c.id)
		where c.code = ${code} collate nocase order by c.code = ${code} desc limit 1`);
	return row ? { id: row.id, value: row.code, says: `${row.code} ${row.name}` } : null;
}

/** All words by which the firm sorts its customers. */
export async function tagsInUse(db: Reader): Promise<readonly string[]> {
	const rows = await db.all<{ tag: string }>(
		sql`select distinct t.value as tag from customer c, json_each(c.tags) t order by t.value collate nocase limit 500`
	);
	return rows.map((row) => row.tag);
}

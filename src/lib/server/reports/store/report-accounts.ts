import { sql } from 'drizzle-orm';
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
	const rows = await db.all<Omit<ReportAccount, 'tags'> & { readonly tags: string }>(sql`
		with recursive headed (id, head_id) as (
			select id, id from customer where parent_id is null
			union all
			select c.id, h.head_id from customer c join headed h on c.parent_id = h.id
		)
		select c.id, c.code, c.name, c.tags, h.head_id as "headId", c.credit_limit as "creditLimit", c.currency
		from customer c join headed h on h.id = c.id
		where c.merged_into_id is null
			${customer === null ? sql`` : sql`and c.id = ${customer}`}
			${parent === null ? sql`` : sql`and h.head_id = ${parent}`}
			${tag === null ? sql`` : sql`and exists (select 1 from json_each(c.tags) t where t.value = ${tag})`}`);
	return new Map(rows.map((row) => [row.id, { ...row, tags: JSON.parse(row.tags) as string[] }]));
}

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

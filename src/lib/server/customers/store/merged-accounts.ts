import { eq, inArray, isNotNull, max, sql, type SQL } from 'drizzle-orm';
import { DomainError } from '../../act/domain-error';
import type { Reader } from '../../platform/db/open';
import { accountMerge, customer } from '../../platform/db/schema';

/** Accounts that are seen as another, by their ids, each with that of the other. */
export type MergedAccounts = ReadonlyMap<number, number>;

/** All accounts that are seen as another now: there are few. */
export async function mergedAccounts(db: Reader): Promise<MergedAccounts> {
	const rows = await db
		.select({ id: customer.id, into: customer.mergedIntoId })
		.from(customer)
		.where(isNotNull(customer.mergedIntoId))
		.all();
	return new Map(rows.map(({ id, into }) => [id, into!]));
}

/** The ids under which an account's records stand: its own, and those of accounts that are seen as it. */
export async function idsOfAccount(db: Reader, id: number): Promise<readonly number[]> {
	return idsOfAccounts(db, [id]);
}

/** The same of several accounts together. */
export async function idsOfAccounts(db: Reader, ids: readonly number[]): Promise<readonly number[]> {
	const merged = await mergedAccounts(db);
	if (merged.size === 0) return ids;
	const wanted = new Set(ids);
	return [...ids, ...[...merged].flatMap(([from, into]) => (wanted.has(into) ? [from] : []))];
}

/** The account that a record's account is seen as now. @param column with the id of the account under which it was posted */
export const accountNow = (column: SQL): SQL =>
	sql`coalesce((select seen.merged_into_id from customer seen where seen.id = ${column}), ${column})`;

/**
 * For every account that ever was seen as another the one that stands for both. What was posted while they were one may name either, so
 * that only together they can be held against their records, also once they are apart.
 */
export async function everMerged(db: Reader): Promise<MergedAccounts> {
	const rows = await db
		.select({ from: accountMerge.fromId, into: accountMerge.intoId })
		.from(accountMerge)
		.all();
	const root = new Map<number, number>();
	const rootOf = (id: number): number => {
		const next = root.get(id);
		return next === undefined ? id : rootOf(next);
	};
	for (const { from, into } of rows) {
		const [one, other] = [rootOf(from), rootOf(into)];
		if (one !== other) root.set(one, other);
	}
	return new Map([...root.keys()].map((id) => [id, rootOf(id)]));
}

/** Accounts by their ids, as they are seen now: one that is seen as another is that other. */
export async function accountsNow(
	db: Reader,
	ids: readonly number[]
): Promise<ReadonlyMap<number, typeof customer.$inferSelect>> {
	const merged = await mergedAccounts(db);
	const wanted = [...new Set(ids.map((id) => merged.get(id) ?? id))];
	const rows = await db.select().from(customer).where(inArray(customer.id, wanted)).all();
	const byId = new Map(rows.map((row) => [row.id, row]));
	return new Map(
		ids.flatMap((id) => {
			const row = byId.get(merged.get(id) ?? id);
			return row ? [[id, row] as const] : [];
		})
	);
}

/** The accounts that are seen as another now, each with the act by which it is. */
export const mergesStanding = (db: Reader, id: number) =>
	db
		.select({ code: customer.code, name: customer.name, actId: max(accountMerge.actId).mapWith(Number) })
		.from(customer)
		.innerJoin(accountMerge, eq(accountMerge.fromId, customer.id))
		.where(eq(customer.mergedIntoId, id))
		.groupBy(customer.id)
		.orderBy(customer.id)
		.all();

/** The refusal of an act on an account that is seen as another. */
export async function seenAsAnother(
	db: Reader,
	{ id, code }: { readonly id: number; readonly code: string }
): Promise<DomainError> {
	const into = (await accountsNow(db, [id])).get(id);
	return new DomainError({ code: 'account-merged', customer: code, into: into?.code ?? code });
}

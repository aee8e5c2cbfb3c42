import { and, asc, desc, eq, isNull, like, or, sql, type SQL } from 'drizzle-orm';
import { customer, itemState } from '../../platform/db/schema';
import { isOpen, signedOpenBase } from '../../documents/store/is-open';
import { defineLook } from '../../act/define-look';

export const CUSTOMER_PAGE = 200;

/** By what the list can be sorted. */
export const CUSTOMER_SORTS = ['code', 'name', 'items', 'late', 'owed'] as const;

export interface CustomersQuery {
	readonly text: string;
	/** Null for all of them. */
	readonly page: number | null;
	readonly sorting?: { readonly by: string; readonly down: boolean } | null;
}

/** Customer accounts with what they owe and how much of it is late, in base currency; most late first. */
export const lookAtCustomers = defineLook('reader', async (db, query: CustomersQuery, { today }) => {
	const wanted = query.text.trim().replace(/[%_]/g, '');
	const where = and(
		isNull(customer.mergedIntoId),
		wanted ? or(like(customer.name, `%${wanted}%`), like(customer.code, `%${wanted}%`)) : undefined
	);
	const open = db
		.select({
			customerId: itemState.customerId,
			owed: sql<number>`sum(${signedOpenBase})`.as('owed'),
			late: sql<number>`sum(case when ${itemState.due} < ${today} and ${itemState.kind} in ('invoice', 'charge') then ${itemState.openBase} else 0 end)`.as(
				'late'
			),
			items: sql<number>`count(*)`.as('items')
		})
		.from(itemState)
		.where(isOpen)
		.groupBy(itemState.customerId)
		.as('open');
	const columns: Record<(typeof CUSTOMER_SORTS)[number], SQL> = {
		code: sql`${customer.code}`,
		name: sql`${customer.name} collate nocase`,
		items: sql`coalesce(${open.items}, 0)`,
		late: sql`coalesce(${open.late}, 0)`,
		owed: sql`coalesce(${open.owed}, 0)`
	};
	const by = columns[CUSTOMER_SORTS.find((one) => one === query.sorting?.by) ?? 'late'];
	const rows = await db
		.select({
			id: customer.id,
			code: customer.code,
			name: customer.name,
			currency: customer.currency,
			email: customer.statementEmail,
			owed: sql<number>`coalesce(${open.owed}, 0)`,
			late: sql<number>`coalesce(${open.late}, 0)`,
			items: sql<number>`coalesce(${open.items}, 0)`
		})
		.from(customer)
		.leftJoin(open, eq(open.customerId, customer.id))
		.where(where)
		.orderBy(query.sorting?.down === false ? asc(by) : desc(by), asc(customer.name), asc(customer.id))
		.limit(query.page === null ? -1 : CUSTOMER_PAGE)
		.offset((query.page ?? 0) * CUSTOMER_PAGE);
	const count = await db
		.select({ n: sql<number>`count(*)` })
		.from(customer)
		.where(where)
		.get();
	return { rows, count: count?.n ?? 0 };
});

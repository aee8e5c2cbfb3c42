import { asc, like, or } from 'drizzle-orm';
import { customer, document } from '../db/schema';
import { defineLook } from './define-look';

/** Customers by any part of name or code, or by a document's number; at most 20. */
export const findCustomers = defineLook('reader', async (db, text: string) => {
	const wanted = `%${text.trim().replace(/[%_]/g, '')}%`;
	if (wanted === '%%') return [];
	const columns = { id: customer.id, code: customer.code, name: customer.name };
	const byName = await db
		.select(columns)
		.from(customer)
		.where(or(like(customer.name, wanted), like(customer.code, wanted)))
		.orderBy(asc(customer.name))
		.limit(20);
	if (byName.length > 0) return byName;
	const numbers = await db.query.document.findMany({
		where: like(document.number, wanted),
		columns: { customerId: true },
		limit: 20
	});
	const ids = new Set(numbers.map((row) => row.customerId));
	return (await db.select(columns).from(customer).orderBy(asc(customer.name))).filter((row) =>
		ids.has(row.id)
	);
});

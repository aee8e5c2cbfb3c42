import { inArray } from 'drizzle-orm';
import { groupBy } from '../../../core/group-by';
import type { Customer } from '../../../core/model/records';
import { chunks } from '../../platform/db/chunks';
import type { Reader } from '../../platform/db/open';
import { customer, customerName, payerAccount } from '../../platform/db/schema';

/** Customers as matching knows them, with all their names and payer accounts. */
export async function customersById(db: Reader, ids: readonly number[]): Promise<Customer[]> {
	const out: Customer[] = [];
	for (const part of chunks(ids)) {
		const rows = await db.select().from(customer).where(inArray(customer.id, part));
		const names = await db.select().from(customerName).where(inArray(customerName.customerId, part));
		const accounts = await db.select().from(payerAccount).where(inArray(payerAccount.customerId, part));
		const namesOf = groupBy(names, (row) => row.customerId);
		const accountsOf = groupBy(accounts, (row) => row.customerId);
		for (const { id, code, name, parentId, currency } of rows)
			out.push({
				id,
				code,
				name,
				parentId,
				currency,
				otherNames: (namesOf.get(id) ?? []).map((row) => row.name).filter((other) => other !== name),
				payerAccounts: (accountsOf.get(id) ?? []).map((row) => row.account)
			});
	}
	return out;
}

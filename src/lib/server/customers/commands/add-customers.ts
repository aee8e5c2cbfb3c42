import { eq } from 'drizzle-orm';
import type { CustomerDetails } from '../../../core/model/customer-details';
import { nameKey } from '../../../core/text/name-key';
import type { Tx } from '../../platform/db/open';
import { customer, customerName, payerAccount } from '../../platform/db/schema';
import { defineAct, madeHere } from '../../act/define-act';

/** A customer with all that is kept of them. */
export interface NewCustomer extends CustomerDetails {
	readonly code: string;
	readonly currency: string;
}

/** Ids by code. */
export type AddedCustomers = Readonly<Record<string, number>>;

/** Adds customer accounts; a parent must come before its branches. Returns ids by code. */
export const addCustomers = defineAct({
	kind: 'add-customers',
	role: 'clerk',
	input: madeHere<readonly NewCustomer[]>(),
	run: async (ctx, customers): Promise<AddedCustomers> => {
		const { tx } = ctx;
		const ids = new Map<string, number>();
		for (const given of customers) {
			const { otherNames, payerAccounts, parentCode, address, statementAddress, tags, ...row } = given;
			const parentId = parentCode ? (ids.get(parentCode) ?? (await idOf(tx, parentCode))) : null;
			const { id } = await tx
				.insert(customer)
				.values({
					...{ ...row, address: [...address], tags: [...tags], parentId },
					statementAddress: statementAddress.length ? [...statementAddress] : null
				})
				.returning({ id: customer.id })
				.get();
			ids.set(row.code, id);
			await tx
				.insert(customerName)
				.values([row.name, ...otherNames].map((name) => ({ customerId: id, name, key: nameKey(name) })));
			if (payerAccounts.length)
				await tx.insert(payerAccount).values(payerAccounts.map((account) => ({ customerId: id, account })));
		}
		await ctx.record({
			summary: { count: customers.length },
			facts: { codes: customers.map((row) => row.code) }
		});
		return Object.fromEntries(ids);
	}
});

async function idOf(tx: Tx, code: string): Promise<number | null> {
	const row = await tx.select({ id: customer.id }).from(customer).where(eq(customer.code, code)).get();
	return row?.id ?? null;
}

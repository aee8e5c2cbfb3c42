import { eq } from 'drizzle-orm';
import { DomainError } from '../../act/domain-error';
import type { Tx } from '../../platform/db/open';
import { customer } from '../../platform/db/schema';
import type { CustomerRecord } from './customer-details';

/** The account as it was seen, or a refusal: it is not there, or somebody changed it since. */
export async function customerAt(tx: Tx, customerId: number, version: number): Promise<CustomerRecord> {
	const found = await tx.select().from(customer).where(eq(customer.id, customerId)).all();
	if (!found[0]) throw new DomainError({ code: 'not-found', what: 'customer' });
	if (found[0].version !== version)
		throw new DomainError({ code: 'customer-changed', customer: found[0].name });
	return found[0];
}

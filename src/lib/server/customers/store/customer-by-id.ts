import { eq } from 'drizzle-orm';
import { DomainError } from '../../act/domain-error';
import type { Reader } from '../../platform/db/open';
import { customer } from '../../platform/db/schema';
import type { CustomerRecord } from './customer-details';

/** The account of a number, or a refusal: there is none. */
export async function customerById(tx: Reader, id: number): Promise<CustomerRecord> {
	const found = await tx.select().from(customer).where(eq(customer.id, id)).all();
	if (!found[0]) throw new DomainError({ code: 'not-found', what: 'customer' });
	return found[0];
}

import { eq } from 'drizzle-orm';
import { DomainError } from '../../act/domain-error';
import type { Tx } from '../../platform/db/open';
import { customer } from '../../platform/db/schema';

/** The account that others are to be branches of, by its code; refused at its field where there is none. */
export async function parentAt(
	tx: Tx,
	code: string
): Promise<{ readonly id: number; readonly parentId: number | null }> {
	const found = await tx
		.select({ id: customer.id, parentId: customer.parentId })
		.from(customer)
		.where(eq(customer.code, code))
		.all();
	if (!found[0]) throw parentFault(`There is no account ${code}.`);
	return found[0];
}

/** What is wrong with the account that is named as parent. */
export function parentFault(message: string): DomainError {
	return new DomainError({ code: 'field', field: 'details.parentCode', message });
}

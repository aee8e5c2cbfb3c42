import { eq } from 'drizzle-orm';
import type { Tx } from '../../platform/db/open';
import { claim, document } from '../../platform/db/schema';
import { DomainError } from '../../act/domain-error';

/** A claim with its number and account; refuses where there is none. */
export async function claimById(tx: Tx, claimId: number) {
	const row = await tx
		.select({ claim, number: document.number, customerId: document.customerId })
		.from(claim)
		.innerJoin(document, eq(document.id, claim.documentId))
		.where(eq(claim.documentId, claimId))
		.get();
	if (!row) throw new DomainError({ code: 'not-found', what: 'claim' });
	return { ...row.claim, number: row.number, customerId: row.customerId };
}

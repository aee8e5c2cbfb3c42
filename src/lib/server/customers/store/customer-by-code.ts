import { eq } from 'drizzle-orm';
import type { Reader } from '../../platform/db/open';
import { customer } from '../../platform/db/schema';

/** The account of a code; null for none. */
export async function customerByCode(db: Reader, code: string): Promise<typeof customer.$inferSelect | null> {
	const found = await db.select().from(customer).where(eq(customer.code, code)).all();
	return found[0] ?? null;
}

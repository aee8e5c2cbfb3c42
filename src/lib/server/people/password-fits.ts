import { and, eq } from 'drizzle-orm';
import { hashPassword, verifyPassword } from 'better-auth/crypto';
import type { Reader } from '../platform/db/open';
import { credential, user } from '../platform/db/schema';

/** What is compared where there is nobody of that name, so that it takes as long. */
let nobodys: Promise<string> | null = null;

/**
 * The person whose address and password go together; null where they do not, or the person was shut out. It takes as long where
 * nobody has the address (ASVS 4.0.3, 2.2.1 and 3.2.2).
 */
export async function passwordFits(
	db: Reader,
	email: string,
	password: string
): Promise<typeof user.$inferSelect | null> {
	const row = await db
		.select({ user, hash: credential.password })
		.from(user)
		.innerJoin(credential, and(eq(credential.userId, user.id), eq(credential.providerId, 'credential')))
		.where(eq(user.email, email))
		.get();
	const hash = row?.hash ?? (await (nobodys ??= hashPassword('nobody has this one')));
	const fits = await verifyPassword({ hash, password });
	return fits && row?.hash && row.user.active ? row.user : null;
}

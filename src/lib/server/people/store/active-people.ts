import { asc, eq } from 'drizzle-orm';
import type { Reader } from '../../platform/db/open';
import { user } from '../../platform/db/schema';

/** Names of all who may sign in, in their order: those to whom something can be handed. */
export async function activePeople(db: Reader): Promise<string[]> {
	const rows = await db
		.select({ name: user.name })
		.from(user)
		.where(eq(user.active, true))
		.orderBy(asc(user.name));
	return rows.map((row) => row.name);
}

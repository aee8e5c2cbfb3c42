import { and, eq, ne } from 'drizzle-orm';
import type { Books } from '../platform/db/open';
import { session } from '../platform/db/schema';

/** Ends one session of a person, or all but the one in which they ask. Nobody ends another's. */
export async function endSessions(
	books: Books,
	userId: string,
	which: { readonly id: string } | { readonly allBut: string }
): Promise<void> {
	const own = 'id' in which ? eq(session.id, which.id) : ne(session.id, which.allBut);
	await books.turn(() => books.db.delete(session).where(and(eq(session.userId, userId), own)));
}

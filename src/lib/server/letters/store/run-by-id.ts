import { eq } from 'drizzle-orm';
import { DomainError } from '../../act/domain-error';
import type { Reader } from '../../platform/db/open';
import { letterRun } from '../../platform/db/schema';

/** A run of letters by its number. @throws DomainError `not-found` */
export async function runById(db: Reader, id: number): Promise<typeof letterRun.$inferSelect> {
	const [run] = await db.select().from(letterRun).where(eq(letterRun.id, id)).all();
	if (!run) throw new DomainError({ code: 'not-found', what: 'run of letters' });
	return run;
}

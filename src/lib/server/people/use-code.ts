import { and, eq, gt, isNull } from 'drizzle-orm';
import type { App } from '../app';
import { signInCode, user } from '../platform/db/schema';
import { isCode } from './code-text';

/** Whose code it is that somebody typed with their address; null where they do not go together, or it is good no longer. */
export async function personOfCode(
	app: App,
	email: string,
	typed: string,
	now: Date
): Promise<{ readonly person: typeof user.$inferSelect; readonly codeId: number } | null> {
	const rows = await app.books.db
		.select({ user, code: signInCode })
		.from(signInCode)
		.innerJoin(user, eq(user.id, signInCode.userId))
		.where(
			and(
				eq(user.email, email),
				eq(user.active, true),
				isNull(signInCode.endedAt),
				gt(signInCode.expiresAt, now)
			)
		);
	const row = rows.find(({ code }) => isCode(typed, app.codeText('sign-in code', code)));
	if (!row) return null;
	return { person: row.user, codeId: row.code.id };
}

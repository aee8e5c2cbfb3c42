import { sql } from 'drizzle-orm';
import type { Role } from '../../act/person';
import type { Reader } from '../../platform/db/open';
import { readSetting } from '../../firm/store/settings';

/**
 * How far somebody with a session is in: all the way; not before they show their second factor; or not before they set one up, which the
 * firm demands of their role.
 */
export type SignInStage = 'in' | 'second-factor' | 'set-up';

/** How far a session is in. */
export async function signInStage(
	db: Reader,
	of: { readonly userId: string; readonly role: Role; readonly sessionId: string }
): Promise<SignInStage> {
	const [row] = await db.all<{ factors: number; shown: number | null }>(sql`
		select (select count(*) from second_factor where user_id = ${of.userId} and ended_at is null) as factors,
			(select second_factor_at from session where id = ${of.sessionId}) as shown`);
	if (row!.factors > 0) return row!.shown === null ? 'second-factor' : 'in';
	const demanded = (await readSetting(db, 'secondFactor'))?.roles ?? [];
	return demanded.includes(of.role) ? 'set-up' : 'in';
}

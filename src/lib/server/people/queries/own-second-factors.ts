import { eq } from 'drizzle-orm';
import { defineLook } from '../../act/define-look';
import { act, user } from '../../platform/db/schema';
import { goodRecoveryCodes } from '../store/recovery-codes';
import { secondFactorsOf } from '../store/second-factors';

/** What somebody shows beside their password, and the recovery codes that are good still. */
export const lookAtOwnSecondFactors = defineLook('reader', async (db, _: null, { who }) => {
	const own = await secondFactorsOf(db, who.id);
	const factors = [];
	for (const { id, kind, name, actId } of own) {
		const made = await db.select({ at: act.at }).from(act).where(eq(act.id, actId)).get();
		factors.push({ id, kind, name, since: made!.at });
	}
	const person = await db.select({ email: user.email }).from(user).where(eq(user.id, who.id)).get();
	return { factors, codes: await goodRecoveryCodes(db, who.id), email: person!.email };
});

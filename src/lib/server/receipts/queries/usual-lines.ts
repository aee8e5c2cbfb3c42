import { asc, eq } from 'drizzle-orm';
import { defineLook } from '../../act/define-look';
import { ledgerAccount, usualLine } from '../../platform/db/schema';

/** How entries that are no customer's money are usually booked, and the accounts that they may go to. */
export const lookAtUsualLines = defineLook('reader', async (db, _: null) => ({
	lines: await db.select().from(usualLine).orderBy(asc(usualLine.name), asc(usualLine.id)),
	accounts: await db
		.select({ code: ledgerAccount.code, name: ledgerAccount.name })
		.from(ledgerAccount)
		.where(eq(ledgerAccount.forSettingAside, true))
		.orderBy(asc(ledgerAccount.name))
}));

import { asc, desc, eq } from 'drizzle-orm';
import { bankAccount, refundFile } from '../../platform/db/schema';
import { refundsDue } from '../store/refunds-due';
import { defineLook } from '../../act/define-look';

const FILES = 20;

/** Money to be paid back, and the files made for the bank. */
export const lookAtRefunds = defineLook('reader', async (db, _: null) => ({
	due: await refundsDue(db),
	banks: await db
		.select({ id: bankAccount.id, name: bankAccount.name, currency: bankAccount.currency })
		.from(bankAccount)
		.orderBy(asc(bankAccount.id)),
	files: await db
		.select({ id: refundFile.id, date: refundFile.date, name: refundFile.name })
		.from(refundFile)
		.orderBy(desc(refundFile.id))
		.limit(FILES)
}));

/** One file as it was made. */
export const lookAtRefundFile = defineLook('clerk', async (db, id: number) => {
	const file = await db.select().from(refundFile).where(eq(refundFile.id, id)).get();
	return file ?? null;
});

import { asc, eq } from 'drizzle-orm';
import { defineLook } from '../../act/define-look';
import { methodsOf } from '../../firm/store/methods';
import type { Reader } from '../../platform/db/open';
import { bankAccount } from '../../platform/db/schema';

/** How money may come by hand, and the current accounts into which it is paid. */
export const lookAtWaysToPay = defineLook('clerk', (db, _: null) => waysToPay(db));

/** The same for whoever reads it with other things. */
export const waysToPay = async (db: Reader) => ({
	methods: await methodsOf(db),
	banks: await db
		.select({ id: bankAccount.id, name: bankAccount.name, currency: bankAccount.currency })
		.from(bankAccount)
		.where(eq(bankAccount.kind, 'current'))
		.orderBy(asc(bankAccount.id))
});

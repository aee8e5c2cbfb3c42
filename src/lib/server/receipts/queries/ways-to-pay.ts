import { asc, eq } from 'drizzle-orm';
import { defineLook } from '../../act/define-look';
import { methodsOf } from '../../firm/store/methods';
import { bankAccount } from '../../platform/db/schema';

/** How money may come by hand, and the current accounts into which it is paid. */
export const lookAtWaysToPay = defineLook('clerk', async (db, _: null) => ({
	methods: await methodsOf(db),
	banks: await db
		.select({ id: bankAccount.id, name: bankAccount.name, currency: bankAccount.currency })
		.from(bankAccount)
		.where(eq(bankAccount.kind, 'current'))
		.orderBy(asc(bankAccount.id))
}));

import { and, asc, eq, ne } from 'drizzle-orm';
import { BRITISH } from '../../../words/conventions';
import { NO_LIMITS } from '../../../core/4-allocation/over-limits';
import { bankAccount, user } from '../../platform/db/schema';
import { accountsForAside } from '../store/accounts-for-aside';
import { ageEnds } from '../store/age-ends';
import { readSetting } from '../store/settings';
import { defineLook } from '../../act/define-look';

/** The firm's settings: its bank accounts, and who may book how much alone. */
export const lookAtSettings = defineLook('supervisor', async (db, _: null) => ({
	limits: (await readSetting(db, 'limits')) ?? NO_LIMITS,
	firm: await readSetting(db, 'firm'),
	base: (await readSetting(db, 'firm'))?.baseCurrency ?? 'GBP',
	bankFiles: (await readSetting(db, 'bankFiles'))?.from ?? ('anybody' as const),
	auditor: (await readSetting(db, 'auditor'))?.email ?? '',
	letters: (await readSetting(db, 'letters')) ?? { inCredit: 'send' as const },
	ageEnds: await ageEnds(db),
	tables: (await readSetting(db, 'tableReadings')) ?? [],
	terms: (await readSetting(db, 'terms')) ?? [],
	conventions: (await readSetting(db, 'conventions')) ?? BRITISH,
	people: await db
		.select({ id: user.id, name: user.name, role: user.role })
		.from(user)
		.where(and(eq(user.active, true), ne(user.role, 'reader')))
		.orderBy(asc(user.name)),
	accounts: await accountsForAside(db),
	banks: await db.select().from(bankAccount).orderBy(asc(bankAccount.id))
}));

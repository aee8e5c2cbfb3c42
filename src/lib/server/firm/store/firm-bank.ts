import { and, asc, eq } from 'drizzle-orm';
import type { HowToPay } from '../../../core/7-letters/letter';
import type { Reader } from '../../platform/db/open';
import { bankAccount } from '../../platform/db/schema';

/** The account into which customers pay a currency: the first current account kept in it, or null. */
export async function payIntoFor(db: Reader, currency: string): Promise<HowToPay['account']> {
	const bank = await db
		.select()
		.from(bankAccount)
		.where(and(eq(bankAccount.currency, currency), eq(bankAccount.kind, 'current')))
		.orderBy(asc(bankAccount.id))
		.limit(1)
		.get();
	return bank ? { iban: bank.number, bic: bank.bic, bank: bank.bankName } : null;
}

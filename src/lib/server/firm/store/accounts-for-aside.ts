import { asc, eq } from 'drizzle-orm';
import type { Reader } from '../../platform/db/open';
import { ledgerAccount } from '../../platform/db/schema';
import { readSetting } from './settings';

/** A ledger account to which money that is not a customer's may be posted. */
export interface AsideAccount {
	readonly code: string;
	readonly name: string;
	/** The rate of VAT that is in what is posted there, basis points of the net amount; null where there is none. */
	readonly vatBasisPoints: number | null;
}

/** All of them, by name. */
export async function accountsForAside(db: Reader): Promise<AsideAccount[]> {
	const vat = (await readSetting(db, 'vatOfAccounts')) ?? {};
	const rows = await db
		.select({ code: ledgerAccount.code, name: ledgerAccount.name })
		.from(ledgerAccount)
		.where(eq(ledgerAccount.forSettingAside, true))
		.orderBy(asc(ledgerAccount.name));
	return rows.map((row) => ({ ...row, vatBasisPoints: vat[row.code] ?? null }));
}

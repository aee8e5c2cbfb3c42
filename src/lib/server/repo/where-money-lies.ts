import { eq } from 'drizzle-orm';
import { CHART } from '../../core/5-journal/chart';
import type { Tx } from '../db/open';
import { bankAccount, bankEntry } from '../db/schema';

/** The ledger account on which a receipt's money lies: that of its bank account, or petty cash, or money on its way until the bank shows it. */
export async function whereMoneyLies(
	tx: Tx,
	row: { readonly bankEntryId: number | null; readonly method: string }
): Promise<{ ledger: string; bankEntryId: number | null }> {
	if (row.bankEntryId === null) {
		const ledger = row.method === 'petty cash' ? CHART.pettyCash.code : CHART.onItsWay.code;
		return { ledger, bankEntryId: null };
	}
	const entry = await tx
		.select({ id: bankEntry.id, ledger: bankAccount.ledger })
		.from(bankEntry)
		.innerJoin(bankAccount, eq(bankAccount.id, bankEntry.bankAccountId))
		.where(eq(bankEntry.id, row.bankEntryId))
		.get();
	return { ledger: entry!.ledger, bankEntryId: entry!.id };
}

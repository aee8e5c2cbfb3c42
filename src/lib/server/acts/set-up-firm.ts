import type { Limits } from '../../core/4-allocation/over-limits';
import { CHART } from '../../core/5-journal/chart';
import { bankAccount, ledgerAccount } from '../db/schema';
import { recordAct } from '../repo/record-act';
import { writeSetting, type Setting } from '../repo/settings';
import { defineAct } from './perform';

export interface FirmSetUp {
	readonly firm: Setting<'firm'>;
	readonly limits?: Limits;
	readonly bankAccounts: readonly (typeof bankAccount.$inferInsert)[];
}

/** Accounts on which clerks may book what is not a customer's money. */
const FOR_SETTING_ASIDE = new Set<string>(
	[
		CHART.refunds,
		CHART.bankCharges,
		CHART.processorFees,
		CHART.otherIncome,
		CHART.bankInterest,
		CHART.transfers,
		CHART.supplierPayments,
		CHART.wages
	].map((row) => row.code)
);

/** Writes the firm's name, its chart of accounts and its bank accounts into new books. */
export const setUpFirm = defineAct({
	kind: 'set-up-firm',
	needs: 'supervisor',
	run: async (tx, input: FirmSetUp, at) => {
		await writeSetting(tx, 'firm', input.firm);
		if (input.limits) await writeSetting(tx, 'limits', input.limits);
		const chart = Object.values(CHART).map((row) => ({
			...row,
			forSettingAside: FOR_SETTING_ASIDE.has(row.code)
		}));
		await tx
			.insert(ledgerAccount)
			.values([...chart, ...input.bankAccounts.map((row) => ({ code: row.ledger, name: row.name }))]);
		if (input.bankAccounts.length) await tx.insert(bankAccount).values([...input.bankAccounts]);
		await recordAct(tx, {
			kind: 'set-up-firm',
			date: at.today,
			at: at.now(),
			userId: at.who.id,
			userName: at.who.name,
			summary: `Set up the books of ${input.firm.name}`,
			facts: { bankAccounts: input.bankAccounts.map((row) => row.number) }
		});
	}
});

import type { Limits } from '../../../core/4-allocation/over-limits';
import { CHART } from '../../../core/5-journal/chart';
import { bankAccount, ledgerAccount } from '../../platform/db/schema';
import { writeSetting, type Setting } from '../store/settings';
import { defineAct, madeHere } from '../../act/define-act';

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
	role: 'supervisor',
	input: madeHere<FirmSetUp>(),
	run: async (ctx, input): Promise<{ actId: number }> => {
		const { tx } = ctx;
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
		const actId = await ctx.record({
			summary: { firm: input.firm.name },
			facts: { bankAccounts: input.bankAccounts.map((row) => row.number) }
		});
		return { actId };
	}
});

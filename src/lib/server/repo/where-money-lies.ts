import { CHART } from '../../core/5-journal/chart';

/** The ledger account on which a receipt's money lies: that of its bank account, or petty cash, or money on its way until the bank shows it. */
export function whereMoneyLies(row: {
	readonly bankEntryId: number | null;
	readonly bankLedger: string | null;
	readonly method: string;
}): { ledger: string; bankEntryId: number | null } {
	const byHand = row.method === 'petty cash' ? CHART.pettyCash.code : CHART.onItsWay.code;
	return { ledger: row.bankLedger ?? byHand, bankEntryId: row.bankEntryId };
}

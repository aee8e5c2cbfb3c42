import { CHART } from '../../../core/5-journal/chart';

/**
 * The ledger account on which a receipt's money lies: unidentified receipts where it was booked there before its payer was
 * found, else that of its bank account, or petty cash, or money on its way until the bank shows it.
 */
export function whereMoneyLies(
	row: {
		readonly bankEntryId: number | null;
		readonly bankLedger: string | null;
		readonly isPettyCash: boolean;
	},
	state: { readonly unidentifiedActId: number | null }
): { ledger: string; bankEntryId: number | null } {
	if (state.unidentifiedActId !== null) return { ledger: CHART.unidentified.code, bankEntryId: null };
	const byHand = row.isPettyCash ? CHART.pettyCash.code : CHART.onItsWay.code;
	return { ledger: row.bankLedger ?? byHand, bankEntryId: row.bankEntryId };
}

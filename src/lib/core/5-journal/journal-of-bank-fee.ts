import type { JournalLine } from '../model/journal';
import { minor, type Minor } from '../money/minor';
import { CHART } from './chart';

/** What a bank charges for a returned payment, until its entry shows it: bank charges to returned payments on their way. */
export function journalOfBankFee(fee: {
	readonly amount: Minor;
	readonly base: Minor;
	readonly currency: string;
}): JournalLine[] {
	const { amount, base, currency } = fee;
	if (amount === 0) return [];
	return [
		{
			...{ account: CHART.bankCharges.code, customerId: null, currency, bankEntryId: null, source: null },
			amount,
			base
		},
		{
			...{ account: CHART.returned.code, customerId: null, currency, bankEntryId: null, source: null },
			amount: minor(-amount),
			base: minor(-base)
		}
	];
}

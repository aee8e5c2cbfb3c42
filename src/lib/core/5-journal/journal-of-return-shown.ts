import type { JournalLine } from '../model/journal';
import { minor, type Minor } from '../money/minor';
import { CHART } from './chart';

/**
 * The bank's debit entry meets what was booked: returned payments on their way to bank. What the entry takes beyond that is a
 * bank charge; where the days' rates differ, the currency difference is realised, in base currency only.
 */
export function journalOfReturnShown(entry: {
	/** What the entry takes, positive, and its value at the entry's rate. */
	readonly amount: Minor;
	readonly base: Minor;
	readonly currency: string;
	readonly bankLedger: string;
	readonly bankEntryId: number | null;
	/** What of it was booked before, and the value at which it was. */
	readonly booked: Minor;
	readonly bookedBase: Minor;
	/** The value of what was not booked before, at the entry's rate. */
	readonly restBase: Minor;
}): JournalLine[] {
	const { amount, base, currency, bankLedger, bankEntryId, booked, bookedBase, restBase } = entry;
	const line = (
		account: string,
		value: number,
		valueBase: number,
		of: number | null = null
	): JournalLine => ({
		account,
		customerId: null,
		currency,
		amount: minor(value),
		base: minor(valueBase),
		bankEntryId: of,
		source: null
	});
	const lines = [
		line(bankLedger, -amount, -base, bankEntryId),
		line(CHART.returned.code, booked, bookedBase)
	];
	if (amount !== booked) lines.push(line(CHART.bankCharges.code, amount - booked, restBase));
	const realised = base - bookedBase - restBase;
	if (realised !== 0)
		lines.push(line((realised > 0 ? CHART.currencyLoss : CHART.currencyGain).code, 0, realised));
	return lines;
}

import type { JournalLine } from '../model/journal';
import { minor, type Minor } from '../money/minor';

/** Not customer money: bank to the account chosen. A negative amount is money that went out. */
export function journalOfSetAside(entry: {
	readonly amount: Minor;
	readonly base: Minor;
	readonly currency: string;
	readonly bankLedger: string;
	readonly bankEntryId: number | null;
	readonly account: string;
}): JournalLine[] {
	const { amount, base, currency, bankLedger, bankEntryId, account } = entry;
	const line = { customerId: null, currency, source: null };
	return [
		{ ...line, account: bankLedger, amount, base, bankEntryId },
		{ ...line, account, amount: minor(-amount), base: minor(-base), bankEntryId: null }
	];
}

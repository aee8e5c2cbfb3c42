import type { JournalLine } from '../model/journal';
import { taxWithin } from '../money/tax-within';
import { CHART } from './chart';
import { minor, type Minor } from '../money/minor';

/**
 * Not customer money: bank to the account chosen. A negative amount is money that went out. Where the account's sums have VAT in
 * them, that goes to the account of the tax: owed of what came in, reclaimed of what went out.
 */
export function journalOfSetAside(entry: {
	readonly amount: Minor;
	readonly base: Minor;
	readonly currency: string;
	readonly bankLedger: string;
	readonly bankEntryId: number | null;
	readonly account: string;
	/** Basis points of the net amount; null or left out where there is no VAT. */
	readonly vatBasisPoints?: number | null;
}): JournalLine[] {
	const { amount, base, currency, bankLedger, bankEntryId, account } = entry;
	const line = { customerId: null, currency, source: null };
	const rate = entry.vatBasisPoints ?? 0;
	const tax = { amount: taxWithin(amount, rate), base: taxWithin(base, rate) };
	return [
		{ ...line, account: bankLedger, amount, base, bankEntryId },
		{
			...{ ...line, account, bankEntryId: null },
			...{ amount: minor(tax.amount - amount), base: minor(tax.base - base) }
		},
		...(tax.amount || tax.base
			? [
					{
						...{ ...line, account: CHART.outputTax.code, bankEntryId: null },
						...{ amount: minor(-tax.amount), base: minor(-tax.base) }
					}
				]
			: [])
	];
}

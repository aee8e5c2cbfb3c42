import type { JournalLine } from '../model/journal';
import type { Placing } from '../model/placing';
import { minor, ZERO, type Minor } from '../money/minor';
import { CHART, DIFFERENCE_ACCOUNT } from './chart';

export interface PlacedReceipt {
	readonly amount: Minor;
	readonly base: Minor;
	readonly currency: string;
	readonly customerId: number;
	readonly bankLedger: string;
	readonly bankEntryId: number;
}

/**
 * A receipt placed: bank to receivables; each difference to its account; and where the days' rates differ, the currency
 * difference realised, in base currency only.
 */
export function journalOfPlacing(receipt: PlacedReceipt, placing: Placing): JournalLine[] {
	const { currency, customerId } = receipt;
	const line = (
		account: string,
		amount: Minor,
		base: Minor,
		over: Partial<JournalLine> = {}
	): JournalLine => ({
		account,
		customerId: account === CHART.receivables.code ? customerId : null,
		currency,
		amount,
		base,
		bankEntryId: null,
		...over
	});
	const lines = [
		line(receipt.bankLedger, receipt.amount, receipt.base, { bankEntryId: receipt.bankEntryId }),
		line(CHART.receivables.code, minor(-receipt.amount), minor(-receipt.base))
	];
	for (const { kind, amount, base } of placing.differences) {
		lines.push(line(DIFFERENCE_ACCOUNT[kind], amount, base));
		lines.push(line(CHART.receivables.code, minor(-amount), minor(-base)));
	}
	const realised = placing.allocations.reduce((sum, part) => sum + part.creditBase - part.itemBase, 0);
	if (realised !== 0) {
		lines.push(line(CHART.receivables.code, ZERO, minor(realised)));
		const account = realised > 0 ? CHART.currencyGain : CHART.currencyLoss;
		lines.push(line(account.code, ZERO, minor(-realised)));
	}
	return lines;
}

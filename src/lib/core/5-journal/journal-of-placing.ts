import type { JournalLine } from '../model/journal';
import type { Placing } from '../model/placing';
import { minor, ZERO, type Minor } from '../money/minor';
import { CHART, CREDIT_CHANGE_ACCOUNT, DIFFERENCE_ACCOUNT } from './chart';

export interface PlacedMoney {
	readonly amount: Minor;
	readonly base: Minor;
	readonly currency: string;
	readonly customerId: number;
	/** The account on which the money lies: the bank's, petty cash, or money on its way. */
	readonly ledger: string;
	readonly bankEntryId: number | null;
}

const TR = CHART.receivables.code;

/**
 * Money and credits placed: bank to receivables; kept fees and each difference to its account; receivables of the payer to
 * those of the owner where they are two; through currency exchange where the currencies are; and where the days' rates
 * differ, the currency difference realised, in base currency only. A claim moves from the invoice to an item of its own, so
 * receivables stand on both sides.
 */
export function journalOfPlacing(money: PlacedMoney | null, placing: Placing): JournalLine[] {
	const lines: JournalLine[] = [];
	const post = (
		account: string,
		customerId: number | null,
		currency: string,
		amount: number,
		base: number,
		bankEntryId: number | null = null
	) =>
		lines.push({
			account,
			customerId: account === TR ? customerId : null,
			currency,
			amount: amount === 0 ? ZERO : minor(amount),
			base: base === 0 ? ZERO : minor(base),
			bankEntryId
		});
	if (money) {
		post(money.ledger, null, money.currency, money.amount, money.base, money.bankEntryId);
		post(TR, money.customerId, money.currency, -money.amount, -money.base);
	}
	for (const { kind, customerId, currency, amount, base } of placing.creditChanges) {
		post(CREDIT_CHANGE_ACCOUNT[kind], null, currency, amount, base);
		post(TR, customerId, currency, -amount, -base);
	}
	for (const { kind, customerId, currency, amount, base } of placing.differences) {
		post(DIFFERENCE_ACCOUNT[kind], customerId, currency, amount, base);
		post(TR, customerId, currency, -amount, -base);
	}
	const realised = new Map<string, { customerId: number; currency: string; base: number }>();
	for (const part of placing.allocations) {
		const { creditCustomerId, creditCurrency, itemCustomerId, itemCurrency } = part;
		const exchanged = creditCurrency !== itemCurrency;
		if (exchanged) {
			post(TR, creditCustomerId, creditCurrency, part.creditAmount, part.creditBase);
			post(CHART.exchange.code, null, creditCurrency, -part.creditAmount, -part.creditBase);
			post(CHART.exchange.code, null, itemCurrency, part.amount, part.creditBase);
			post(TR, itemCustomerId, itemCurrency, -part.amount, -part.creditBase);
		} else if (creditCustomerId !== itemCustomerId) {
			post(TR, creditCustomerId, creditCurrency, part.creditAmount, part.creditBase);
			post(TR, itemCustomerId, itemCurrency, -part.amount, -part.creditBase);
		}
		const key = `${itemCustomerId} ${itemCurrency}`;
		const sum = realised.get(key) ?? { customerId: itemCustomerId, currency: itemCurrency, base: 0 };
		sum.base += part.creditBase - part.itemBase;
		realised.set(key, sum);
	}
	for (const { customerId, currency, base } of realised.values()) {
		if (base === 0) continue;
		post(TR, customerId, currency, 0, base);
		post((base > 0 ? CHART.currencyGain : CHART.currencyLoss).code, null, currency, 0, -base);
	}
	return lines;
}

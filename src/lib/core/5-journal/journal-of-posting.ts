import type { JournalLine, JournalSource } from '../model/journal';
import type { NumberedPosting } from '../model/posting';
import { minor, ZERO, type Minor } from '../money/minor';
import { CHART, RECEIPT_ADJUSTMENT_ACCOUNT, DIFFERENCE_ACCOUNT } from './chart';

export interface AllocatedMoney {
	readonly receiptId: number;
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
 * Money and credits allocated: bank to receivables; kept fees and each difference to its account; receivables of the payer to
 * those of the owner where they are two; through currency exchange where the currencies are; and where the days' rates
 * differ, the currency difference realised, in base currency only. A claim moves from the invoice to an item of its own, so
 * receivables stand on both sides.
 * @param receiptId the new money that deductions came with
 * @param claims what stands on the other side of a claim's deduction, by the deduction's number: the claim's own document, or
 * the record that takes it back
 */
export function journalOfPosting(
	money: AllocatedMoney | null,
	posting: NumberedPosting,
	{
		receiptId = null,
		claims = new Map()
	}: {
		readonly receiptId?: number | null;
		readonly claims?: ReadonlyMap<number, JournalSource>;
	} = {}
): JournalLine[] {
	const lines: JournalLine[] = [];
	const post = (
		account: string,
		currency: string,
		amount: number,
		base: number,
		of: { readonly customerId: number; readonly source: JournalSource | null } | null = null,
		bankEntryId: number | null = null
	) =>
		lines.push({
			account,
			customerId: of?.customerId ?? null,
			currency,
			amount: amount === 0 ? ZERO : minor(amount),
			base: base === 0 ? ZERO : minor(base),
			bankEntryId,
			source: of?.source ?? null
		});
	if (money) {
		const source: JournalSource = {
			...{ kind: 'receipt', id: money.receiptId, itemId: null, receiptId: money.receiptId }
		};
		const { customerId } = money;
		post(money.ledger, money.currency, money.amount, money.base, null, money.bankEntryId);
		post(TR, money.currency, -money.amount, -money.base, { customerId, source });
	}
	for (const change of posting.receiptAdjustments) {
		const { kind, customerId, currency, amount, base } = change;
		const source: JournalSource = {
			...{ kind: 'receipt-adjustment', id: change.id, itemId: null, receiptId: change.receiptId }
		};
		post(RECEIPT_ADJUSTMENT_ACCOUNT[kind], currency, amount, base);
		post(TR, currency, -amount, -base, { customerId, source });
	}
	for (const gap of posting.differences) {
		const { kind, customerId, currency, amount, base, itemId } = gap;
		const source: JournalSource = { kind: 'deduction', id: gap.id, itemId, receiptId };
		const other = kind === 'claim' ? { customerId, source: claims.get(gap.id) ?? null } : null;
		post(DIFFERENCE_ACCOUNT[kind], currency, amount, base, other);
		post(TR, currency, -amount, -base, { customerId, source });
	}
	for (const part of posting.allocations) {
		const { creditCustomerId, creditCurrency, itemCustomerId, itemCurrency, itemId } = part;
		const from = 'receiptId' in part.source ? part.source.receiptId : null;
		const source: JournalSource = { kind: 'allocation', id: part.id, itemId, receiptId: from };
		const credit = { customerId: creditCustomerId, source };
		const owner = { customerId: itemCustomerId, source };
		const exchanged = creditCurrency !== itemCurrency;
		if (exchanged) {
			post(TR, creditCurrency, part.creditAmount, part.creditBase, credit);
			post(CHART.exchange.code, creditCurrency, -part.creditAmount, -part.creditBase);
			post(CHART.exchange.code, itemCurrency, part.amount, part.creditBase);
			post(TR, itemCurrency, -part.amount, -part.creditBase, owner);
		} else if (creditCustomerId !== itemCustomerId) {
			post(TR, creditCurrency, part.creditAmount, part.creditBase, credit);
			post(TR, itemCurrency, -part.amount, -part.creditBase, owner);
		}
		const realised = part.creditBase - part.itemBase;
		if (realised === 0) continue;
		post(TR, itemCurrency, 0, realised, owner);
		post((realised > 0 ? CHART.currencyGain : CHART.currencyLoss).code, itemCurrency, 0, -realised);
	}
	return lines;
}

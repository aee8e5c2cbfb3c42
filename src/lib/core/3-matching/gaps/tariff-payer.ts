import type { ReceiptFacts } from '../../model/records';
import { nameKey } from '../../text/name-key';

/** Whose tariff a payment may follow: its payer, in its currency; null where nothing tells who that is. */
export function tariffPayer({
	payerName,
	payerAccount,
	currency
}: Pick<ReceiptFacts, 'payerName' | 'payerAccount' | 'currency'>): string | null {
	const payer = payerName ? nameKey(payerName) : payerAccount;
	return payer ? `${payer} ${currency}` : null;
}

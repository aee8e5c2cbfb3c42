/**
 * Why a payment came back, in a clerk's words: ISO 20022 ExternalReturnReason1Code as banks send them, and names of our own
 * (lower case) for cheques and cards, which have none.
 */
export const RETURN_REASONS: Readonly<Record<string, string>> = {
	refer: 'cheque not paid: refer to drawer',
	stopped: 'cheque stopped by the payer',
	signature: 'cheque: signature or date wrong',
	disputed: 'card payment disputed by its holder',
	other: 'another reason',
	AC01: 'account number wrong',
	AC03: 'account number wrong',
	AC04: 'account closed',
	AC06: 'account blocked',
	AG01: 'payment not allowed on this account',
	AG02: 'payment of a kind that the bank does not take',
	AM04: 'not enough money on the account',
	AM05: 'paid twice',
	BE04: 'address of the payer missing',
	CUST: 'asked for by the payer',
	DNOR: 'payer’s bank not known',
	FOCR: 'called back by the payer’s bank',
	MD01: 'no mandate for the direct debit',
	MD06: 'called back by the payer',
	MD07: 'payer has died',
	MS02: 'refused by the payer, no reason given',
	MS03: 'refused by the payer’s bank, no reason given',
	RR04: 'refused for a legal reason',
	SL01: 'blocked by an order of the payer',
	TM01: 'sent too late'
};

/** "not enough money on the account (AM04)"; an unknown code as it came. */
export function returnReason(code: string): string {
	const words = RETURN_REASONS[code];
	if (!words) return code;
	return /^[A-Z]/.test(code) ? `${words} (${code})` : words;
}

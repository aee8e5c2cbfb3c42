import { plainBankNumber } from '../text/bank-number';
import type { EntryDetail, StatementEntry } from '../model/bank';
import type { Minor } from '../money/minor';
import { detailsDivide } from './details-divide';

/** Money from one payer, as an entry shows it. `detail` is the place among the entry's details, null for the whole. */
export interface ReceiptDraft {
	readonly detail: number | null;
	/** Signed like the entry: negative for money that went. */
	readonly amount: Minor;
	readonly payerName: string | null;
	readonly payerAccount: string | null;
	readonly text: string;
	readonly structuredReference: string | null;
	readonly endToEndId: string | null;
	readonly charges: Minor;
	readonly returnReason: string | null;
}

/**
 * Makes an entry's receipts: one for each detail where the details' amounts are all known and add up to the entry exactly,
 * else one for the whole entry with the words of all details, for money must not be split by guess.
 */
export function receiptsOfEntry(entry: StatementEntry): ReceiptDraft[] {
	const sign = entry.amount < 0 ? -1 : 1;
	if (detailsDivide(entry))
		return entry.details.map((detail, index) => ({
			...wordsOf(detail, entry),
			detail: index,
			amount: (sign * detail.amount!) as Minor
		}));
	const [only] = entry.details;
	if (entry.details.length === 1 && only)
		return [{ ...wordsOf(only, entry), detail: null, amount: entry.amount }];
	const names = [...new Set(entry.details.flatMap((detail) => detail.counterpartyName ?? []))];
	const accounts = [...new Set(entry.details.flatMap((detail) => accountOf(detail) ?? []))];
	return [
		{
			detail: null,
			amount: entry.amount,
			payerName: names.length === 1 ? names[0]! : null,
			payerAccount: accounts.length === 1 ? accounts[0]! : null,
			text: [...entry.details.map((detail) => detail.text), entry.text].filter(Boolean).join(' '),
			structuredReference: null,
			endToEndId: null,
			charges: entry.charges,
			returnReason: entry.details.find((detail) => detail.returnReason)?.returnReason ?? null
		}
	];
}

/** The number of the account that it came from, as those of customers are kept: banks write sort codes with hyphens or without. */
function accountOf({ counterpartyAccount }: EntryDetail): string | null {
	return plainBankNumber(counterpartyAccount ?? '') || null;
}

function wordsOf(detail: EntryDetail, entry: StatementEntry): Omit<ReceiptDraft, 'detail' | 'amount'> {
	return {
		payerName: detail.counterpartyName,
		payerAccount: accountOf(detail),
		text: detail.text || entry.text,
		structuredReference: detail.structuredReference,
		endToEndId: detail.endToEndId,
		charges: (detail.charges || (entry.details.length === 1 ? entry.charges : 0)) as Minor,
		returnReason: detail.returnReason
	};
}

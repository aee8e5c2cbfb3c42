import { daysBetween } from '../day/arithmetic';
import type { Day } from '../day/day';
import { typicalSums } from '../money/typical-sums';
import { nameKey } from '../text/name-key';

/** A debit entry of the bank, as far as it may tell which payment came back. */
export interface DebitEntry {
	readonly booked: Day;
	/** Positive: what the entry takes, minor units. */
	readonly amount: number;
	readonly currency: string;
	readonly payerName: string | null;
	readonly payerAccount: string | null;
	readonly endToEndId: string | null;
	readonly text: string;
	readonly returnReason: string | null;
}

/** A payment that came in before. */
export interface EarlierPayment {
	readonly receiptId: number;
	readonly booked: Day;
	readonly amount: number;
	readonly payerName: string | null;
	readonly payerAccount: string | null;
	readonly endToEndId: string | null;
	readonly text: string;
}

export type ReturnClue = 'end-to-end' | 'account' | 'name' | 'words' | 'amount' | 'amount-and-fee';

export interface MaybeReturned {
	readonly receiptId: number;
	/** What speaks for it, the strongest first. */
	readonly clues: readonly ReturnClue[];
	/** What the entry takes beyond the payment: a fee, it may be. */
	readonly over: number;
}

/** Payments do not come back after so many days: thirteen months for direct debits without a mandate, and some. */
export const MOST_DAYS_TO_RETURN = 430;

/** Words that banks use for a payment that comes back, in a few languages. */
const WORDS =
	/\b(return(ed|s)?|unpaid|dishono(u)?red|chargeback|bounced|refer to drawer|reject(ed)?|r(ü|ue)ck(lastschrift|gabe)|rejet|impay(é|e)|impagad[oa]|insoluto|teruggave)\b/i;

/** Whether a debit entry says by itself that a payment came back. */
export function saysReturned(entry: Pick<DebitEntry, 'text' | 'returnReason'>): boolean {
	return entry.returnReason !== null || WORDS.test(entry.text);
}

const WEIGHT: Readonly<Record<ReturnClue, number>> = {
	'end-to-end': 16,
	account: 8,
	name: 4,
	words: 4,
	amount: 2,
	'amount-and-fee': 1
};

/**
 * The payments that a debit entry may be the return of, the likeliest first; the newest first where nothing tells them apart.
 * Where a payment of just that amount has another clue, those with a fee beyond them are left out. An entry that does not call itself a return has to carry the payment's own reference, account, name or words.
 */
export function findReturned(entry: DebitEntry, payments: readonly EarlierPayment[]): MaybeReturned[] {
	const called = saysReturned(entry);
	const { returnFeeMost } = typicalSums(entry.currency);
	const found = payments.flatMap((one) => {
		const over = entry.amount - one.amount;
		const age = daysBetween(one.booked, entry.booked);
		if (over < 0 || over > returnFeeMost || age < 0 || age > MOST_DAYS_TO_RETURN) return [];
		const clues: ReturnClue[] = [];
		if (one.endToEndId && one.endToEndId === entry.endToEndId) clues.push('end-to-end');
		if (one.payerAccount && one.payerAccount === entry.payerAccount) clues.push('account');
		if (one.payerName && entry.payerName && nameKey(one.payerName) === nameKey(entry.payerName))
			clues.push('name');
		if (sharesNumber(entry.text, one.text)) clues.push('words');
		if (clues.length === 0 && (!called || over > 0)) return [];
		clues.push(over === 0 ? 'amount' : 'amount-and-fee');
		return [{ receiptId: one.receiptId, clues, over, age }];
	});
	const weight = (clues: readonly ReturnClue[]) => clues.reduce((sum, clue) => sum + WEIGHT[clue], 0);
	const sure = found.some(({ clues, over }) => over === 0 && clues.length > 1);
	return found
		.filter(({ over }) => !sure || over === 0)
		.sort((a, b) => weight(b.clues) - weight(a.clues) || a.age - b.age || b.receiptId - a.receiptId)
		.map(({ receiptId, clues, over }) => ({ receiptId, clues, over }));
}

/** Whether both texts name one number of four digits or more. */
function sharesNumber(a: string, b: string): boolean {
	const numbers = new Set(a.match(/\d{4,}/g) ?? []);
	return (b.match(/\d{4,}/g) ?? []).some((number) => numbers.has(number));
}

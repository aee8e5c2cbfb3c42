import type { Minor } from '../money/minor';

/** One line of a journal: debit positive, credit negative, in its currency and in base currency. */
export interface JournalLine {
	readonly account: string;
	readonly customerId: number | null;
	readonly currency: string;
	readonly amount: Minor;
	readonly base: Minor;
	/** The bank entry that this line stands for, on bank lines. */
	readonly bankEntryId: number | null;
}

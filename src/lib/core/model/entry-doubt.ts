import type { Day } from '../day/day';
import type { Minor } from '../money/minor';

/** An entry of the books, brought by a file of another format, that a new one may be again. */
export interface MaybeSame {
	readonly id: number;
	readonly words: string;
	readonly file: string;
}

/** An entry of a bank file of which nothing tells whether it is in the books already: somebody has to say it. */
export interface EntryDoubt {
	/** The same whenever the file is read. */
	readonly key: string;
	readonly account: string;
	readonly booked: Day;
	readonly amount: Minor;
	readonly currency: string;
	readonly words: string;
	readonly others: readonly MaybeSame[];
}

/** What somebody said of it: which entry of the books it is; null where it is another payment. */
export interface DoubtAnswer {
	readonly key: string;
	readonly entryId: number | null;
}

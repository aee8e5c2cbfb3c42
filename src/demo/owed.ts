import type { Day } from '../lib/core/day/day';
import type { NewDocument } from '../lib/server/documents/commands/issue-documents';

/** Something that an account owes, with the day on which the generator means to pay it. */
export interface Owed {
	readonly number: string;
	readonly part: number;
	readonly document: NewDocument;
	payOn: Day;
	open: number;
}

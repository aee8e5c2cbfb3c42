import type { Day } from '../day/day';
import type { TermsFrom } from '../model/customer-details';
import type { Minor } from '../money/minor';
import type { DocumentRow } from './document-row';
import { dueDay } from './due-day';

/** When a customer's documents are due. */
export interface DueTerms {
	readonly termsDays: number;
	readonly termsFrom: TermsFrom;
}

/** The instalments of a document: its own, or all of it on the day that it says, or on that which follows from the customer's terms. */
export function instalmentsOfRow(
	row: DocumentRow,
	{ termsDays, termsFrom }: DueTerms
): readonly { readonly due: Day; readonly amount: Minor }[] {
	if (row.instalments.length > 0) return row.instalments;
	return [{ due: row.due ?? dueDay(row.issued, termsDays, termsFrom), amount: row.total }];
}

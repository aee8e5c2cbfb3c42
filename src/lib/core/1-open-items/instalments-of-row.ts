import type { Day } from '../day/day';
import type { Terms } from '../model/customer-details';
import { apportion } from '../money/apportion';
import type { Minor } from '../money/minor';
import type { DocumentRow } from './document-row';
import { dueDay } from './due-day';

/** When a customer's documents are due. */
export type DueTerms = Pick<Terms, 'termsDays' | 'termsFrom' | 'termsParts'>;

/**
 * The instalments of a document: its own, or all of it on the day that it says, or those that follow from the customer's terms. They come to
 * its total (largest remainder).
 */
export function instalmentsOfRow(
	row: DocumentRow,
	{ termsDays, termsFrom, termsParts }: DueTerms
): readonly { readonly due: Day; readonly amount: Minor }[] {
	if (row.instalments.length > 0) return row.instalments;
	if (row.due !== null || termsParts.length === 0)
		return [{ due: row.due ?? dueDay(row.issued, termsDays, termsFrom), amount: row.total }];
	const amounts = apportion(
		row.total,
		termsParts.map((part) => part.basisPoints)
	);
	return termsParts.map(({ days }, i) => ({ due: dueDay(row.issued, days, termsFrom), amount: amounts[i]! }));
}

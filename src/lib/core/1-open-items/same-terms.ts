import type { Terms } from '../model/customer-details';

/** Whether two terms come to the same in every case. */
export function sameTerms(one: Terms, other: Terms): boolean {
	return (
		one.termsDays === other.termsDays &&
		one.termsFrom === other.termsFrom &&
		one.discountBasisPoints === other.discountBasisPoints &&
		one.discountDays === other.discountDays &&
		one.termsParts.length === other.termsParts.length &&
		one.termsParts.every((part, i) => {
			const { basisPoints, days } = other.termsParts[i]!;
			return part.basisPoints === basisPoints && part.days === days;
		})
	);
}

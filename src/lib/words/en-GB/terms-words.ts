import type { InterestPolicy, Terms, TermsFrom } from '../../core/model/customer-details';
import { count, list } from './format';

/** From when the days of terms are counted. */
export const TERMS_FROM_WORDS: Readonly<Record<TermsFrom, string>> = {
	issue: 'the day of issue',
	month_end: 'the end of the month'
};

/** When documents are due under terms, in a phrase: `30 days from the end of the month, 2% off within 10 days`. */
export function termsWords({ termsDays, termsFrom, termsParts, ...discount }: Terms): string {
	const due =
		termsParts.length > 0
			? list(termsParts.map((part) => `${part.basisPoints / 100}% in ${count(part.days, 'day')}`))
			: count(termsDays, 'day');
	const from = termsFrom === 'month_end' ? ' from the end of the month' : '';
	const off =
		discount.discountBasisPoints === null
			? ''
			: `, ${discount.discountBasisPoints / 100}% off within ${count(discount.discountDays ?? 0, 'day')}`;
	return `${due}${from}${off}`;
}

/** What interest a customer may be charged on what is overdue. */
export const INTEREST_WORDS: Readonly<Record<InterestPolicy, string>> = {
	statutory: 'as the law allows',
	agreed: 'at an agreed rate',
	none: 'never'
};

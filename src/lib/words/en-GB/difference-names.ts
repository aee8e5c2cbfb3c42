import type { DifferenceKind } from '../../core/model/records';

/** What a kind of difference is called on screen and on paper. */
export const DIFFERENCE_NAMES: Readonly<Record<DifferenceKind, string>> = {
	settlement_discount: 'Settlement discount',
	bank_charge: 'Bank charge',
	processor_fee: 'Processor fee',
	withholding_tax: 'Withholding tax',
	claim: 'Claim',
	currency: 'Currency difference',
	bad_debt: 'Bad debt',
	small_difference: 'Small difference'
};

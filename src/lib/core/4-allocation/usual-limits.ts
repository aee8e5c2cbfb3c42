import { typicalSum } from '../money/typical-sums';
import { NO_LIMITS_OF_ONE, type Limits } from './over-limits';

/** Limits that new books begin with, in minor units of their base currency: trifles by anybody, real losses by a supervisor. */
export function usualLimits(baseCurrency: string): Limits {
	const sum = (whole: number) => typicalSum(whole, baseCurrency);
	return {
		tolerance: sum(5),
		byRole: {
			clerk: {
				act: {
					settlement_discount: sum(250),
					processor_fee: sum(100),
					bank_charge: sum(50),
					withholding_tax: sum(500),
					currency: sum(50),
					claim: sum(1_000),
					bad_debt: 0,
					refund: sum(250),
					credit_goods: sum(500),
					credit_price: sum(250),
					credit_goodwill: sum(50),
					credit_other: sum(500),
					claim_allowed: sum(250),
					set_aside: sum(1_000)
				},
				customer: { settlement_discount: sum(2_500), all: sum(2_500) },
				day: { settlement_discount: sum(10_000), all: sum(5_000) }
			},
			supervisor: NO_LIMITS_OF_ONE
		},
		byPerson: {}
	};
}

import { typicalSum } from '../money/typical-sums';
import type { Limits } from './over-limits';

/** Limits that new books begin with, in minor units of their base currency: trifles by anybody, real losses by a supervisor. */
export function usualLimits(baseCurrency: string): Limits {
	const sum = (whole: number) => typicalSum(whole, baseCurrency);
	return {
		tolerance: sum(5),
		byRole: {
			clerk: {
				settlement_discount: sum(250),
				processor_fee: sum(100),
				bank_charge: sum(50),
				withholding_tax: sum(500),
				currency: sum(50),
				claim: sum(1_000),
				bad_debt: 0,
				refund: sum(250)
			},
			supervisor: {}
		},
		byPerson: {}
	};
}

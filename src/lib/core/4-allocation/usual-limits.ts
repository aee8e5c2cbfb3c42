import type { Limits } from './over-limits';

/** Limits that new books begin with, in minor units of base currency: trifles by anybody, real losses by a supervisor. */
export const USUAL_LIMITS: Limits = {
	tolerance: 5_00,
	byRole: {
		clerk: {
			settlement_discount: 250_00,
			processor_fee: 100_00,
			bank_charge: 50_00,
			withholding_tax: 500_00,
			currency: 50_00,
			claim: 1_000_00,
			bad_debt: 0,
			refund: 250_00
		},
		supervisor: {}
	},
	byPerson: {}
};

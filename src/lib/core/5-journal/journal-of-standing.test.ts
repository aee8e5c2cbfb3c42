import fc from 'fast-check';
import { expect, it } from 'vitest';
import { minor } from '../money/minor';
import { journalOfPosting } from './journal-of-posting';
import { journalOfStanding } from './journal-of-standing';

const money = {
	...{ receiptId: 9, amount: minor(500), base: minor(500), currency: 'GBP', customerId: 1 },
	...{ ledger: '1200', bankEntryId: 3 }
};
const amount = fc.integer({ min: 1, max: 1_000 }).map(minor);
const allocation = fc.record({
	source: fc.constant({ receiptId: 9 }),
	...{ creditCustomerId: fc.constantFrom(1, 2), itemCustomerId: fc.constant(1), itemId: fc.constant(5) },
	...{ creditCurrency: fc.constantFrom('GBP', 'EUR'), itemCurrency: fc.constantFrom('GBP', 'EUR') },
	...{ amount, creditAmount: amount, itemBase: amount, creditBase: amount }
});
const difference = fc.record({
	...{ itemId: fc.constant(5), customerId: fc.constant(1), currency: fc.constant('GBP') },
	...{ kind: fc.constantFrom('bad_debt' as const, 'claim' as const), amount, base: amount }
});
const adjustment = fc.record({
	...{ receiptId: fc.constant(9), customerId: fc.constant(1), currency: fc.constant('GBP') },
	...{ kind: fc.constantFrom('refund' as const, 'bank_charge' as const), amount, base: amount }
});
const some = <T>(one: fc.Arbitrary<T>) => fc.array(fc.tuple(one, fc.boolean()), { maxLength: 4 });

it('of a posting’s journal stays what the same posting without the rest would have had', () => {
	fc.assert(
		fc.property(
			some(allocation),
			some(difference),
			some(adjustment),
			(allocations, differences, receiptAdjustments) => {
				const number = <T>([one, stands]: [T, boolean], id: number) => ({ ...one, id, stands });
				const all = {
					...{ credits: [], changes: [] },
					allocations: allocations.map(number),
					differences: differences.map(number),
					receiptAdjustments: receiptAdjustments.map(number)
				};
				const claims = new Map(
					all.differences.map(({ id }) => [
						id,
						{ kind: 'document' as const, id: 70 + id, itemId: null, receiptId: null }
					])
				);
				const standing = {
					...all,
					allocations: all.allocations.filter(({ stands }) => stands),
					differences: all.differences.filter(({ stands }) => stands),
					receiptAdjustments: all.receiptAdjustments.filter(({ stands }) => stands)
				};
				const rows = { allocation: all.allocations, deduction: all.differences };
				const kept = journalOfStanding(journalOfPosting(money, all, { claims }), ({ kind, id }) =>
					kind === 'allocation' || kind === 'deduction'
						? rows[kind][id]!.stands
						: kind !== 'receipt-adjustment' || all.receiptAdjustments[id]!.stands
				);
				expect(kept).toEqual(journalOfPosting(money, standing, { claims }));
			}
		)
	);
});

import fc from 'fast-check';
import { expect, it } from 'vitest';
import { day } from '../../day/day';
import type { ReceiptFacts } from '../../model/records';
import { tariffPayer } from '../gaps/tariff-payer';
import { minor } from '../../money/minor';
import { groupReceipts } from './group-receipts';

type Reaching = ReceiptFacts & { readonly reach: readonly number[] };
const receipt = (
	id: number,
	payerName: string | null,
	currency: string,
	reach: readonly number[]
): Reaching => ({
	...{
		id,
		booked: day('2026-10-28'),
		amount: minor(1),
		currency,
		payerName,
		payerAccount: null,
		text: '',
		reach
	},
	...{ structuredReference: null, endToEndId: null }
});
const pile = fc
	.array(
		fc.tuple(
			fc.constantFrom(null, null, 'CARDLINK', 'Cardlink Ltd', 'HOLM'),
			fc.constantFrom('GBP', 'EUR'),
			fc.array(fc.nat(20), { maxLength: 3 })
		),
		{ maxLength: 20 }
	)
	.map((rows) => rows.map(([name, currency, reach], i) => receipt(i + 1, name, currency, reach)));

const tiesOf = (one: Reaching) => {
	const payer = tariffPayer(one);
	return payer === null ? one.reach : [...one.reach, payer];
};

/** Whether two may bear on each other at once. */
const tied = (a: Reaching, b: Reaching) =>
	a.reach.some((id) => b.reach.includes(id)) ||
	(a.payerName !== null &&
		b.payerName !== null &&
		a.currency === b.currency &&
		a.payerName.slice(0, 4).toUpperCase() === b.payerName.slice(0, 4).toUpperCase());

/** Slow and plain: groups are joined for as long as any two of theirs are tied. */
function joined(receipts: readonly Reaching[]): number[][] {
	const groups = receipts.map((one) => [one]);
	for (let again = true; again;) {
		again = false;
		for (let i = 0; i < groups.length && !again; i++)
			for (let j = i + 1; j < groups.length && !again; j++)
				if (groups[i]!.some((a) => groups[j]!.some((b) => tied(a, b)))) {
					groups[i] = [...groups[i]!, ...groups[j]!].sort((a, b) => a.id - b.id);
					groups.splice(j, 1);
					again = true;
				}
	}
	return groups.map((group) => group.map(({ id }) => id));
}

it('receipts are together that may bear on each other, and no others, in the order of the pile', () =>
	fc.assert(
		fc.property(pile, (receipts) => {
			const groups = groupReceipts(receipts, tiesOf).map((group) => group.map(({ id }) => id));
			expect(groups).toEqual(joined(receipts));
		})
	));

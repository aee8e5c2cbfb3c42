import fc from 'fast-check';
import { expect, it } from 'vitest';
import { notYet } from '../../../core/3-matching';
import { day } from '../../../core/day/day';
import { minor } from '../../../core/money/minor';
import type { Waiting } from '../../receipts/store/waiting-receipts';
import type { Pile } from './answers';
import { besideInPile, orderPile, PILE_GROUPS, type PileGroup } from './order-pile';

const pileOf = (groups: readonly PileGroup[]): Pile => {
	const receipts = groups.map(
		(group, i) =>
			({
				...{ id: i + 1, booked: day('2026-10-28'), currency: i % 3 ? 'GBP' : 'EUR' },
				...{ amount: minor((i % 5) - 1), heldBecause: group === 'held' ? 'asked them' : null }
			}) as Waiting
	);
	const answers = receipts.map((row, i) => {
		const band = groups[i] === 'held' ? ('certain' as const) : (groups[i] as Exclude<PileGroup, 'held'>);
		return [row.id, { ...notYet(row), band }] as const;
	});
	return { receipts, answers: new Map(answers), shown: new Map(), actId: 1, fresh: true, failures: [] };
};

it('one goes through the whole pile, group by group, and back again', () =>
	fc.assert(
		fc.property(fc.array(fc.constantFrom(...PILE_GROUPS), { maxLength: 30 }), (groups) => {
			const pile = orderPile(pileOf(groups));
			const wanted = PILE_GROUPS.flatMap((group) =>
				groups.flatMap((one, i) => (one === group ? [i + 1] : []))
			);
			const walk = (from: number | null, way: 'next' | 'previous') => {
				const seen: number[] = [];
				for (let at = besideInPile(pile, from)[way]; at !== null; at = besideInPile(pile, at)[way])
					seen.push(at);
				return seen;
			};
			expect(walk(null, 'next')).toEqual(wanted);
			const last = wanted.at(-1) ?? null;
			expect(walk(last, 'previous')).toEqual(wanted.slice(0, -1).reverse());
			for (const [id, { group, at }] of pile.placeOf) expect(pile.groups[group][at]!.id).toBe(id);
		})
	));

it('what came is summed up by currency; what went out is not', () =>
	expect(orderPile(pileOf(Array.from({ length: 10 }, () => 'none' as const))).sums).toEqual({
		GBP: 7,
		EUR: 5
	}));

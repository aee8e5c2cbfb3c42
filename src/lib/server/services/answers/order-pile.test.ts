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
				...{ amount: minor((i % 5) - 1), heldBecause: group === 'held' ? 'asked them' : null },
				...{ unidentifiedActId: group === 'unidentified' ? 7 : null, bankAccountId: (i % 2) + 1 },
				...{ heldFor: group === 'held' && i % 2 ? 'Imre' : null, text: `words ${i}` },
				payerName: ['HAZEL HILL', 'Wicker', null][i % 3]
			}) as Waiting
	);
	const answers = receipts.map((row, i) => {
		const group = groups[i]!;
		const band = group === 'held' ? 'certain' : group === 'unidentified' ? 'none' : group;
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

it('what is booked as unidentified is dealt with for the day; with an answer it stands among the likely ones', () => {
	const pile = pileOf(['unidentified', 'none']);
	expect(orderPile(pile)).toMatchObject({ count: 1, groups: { unidentified: [{ id: 1 }] } });
	const [row] = pile.receipts;
	const found = {
		...pile,
		answers: new Map([...pile.answers, [row!.id, { ...notYet(row!), band: 'likely' as const }]])
	};
	expect(orderPile(found)).toMatchObject({ count: 1, groups: { unidentified: [], likely: [{ id: 1 }] } });
});

it('a filter leaves out what is not wanted, and nothing else, in the order that is asked for', () =>
	fc.assert(
		fc.property(
			fc.array(fc.constantFrom(...PILE_GROUPS), { maxLength: 30 }),
			fc.record({
				find: fc.constantFrom('', 'hazel', 'WORDS 3', '0.02', 'asked'),
				order: fc.constantFrom('day' as const, 'amount' as const),
				group: fc.constantFrom(null, ...PILE_GROUPS),
				bankAccountId: fc.constantFrom(null, 1, 2),
				heldFor: fc.constantFrom(null, 'Imre')
			}),
			(groups, filter) => {
				const pile = pileOf(groups);
				const { groups: found, placeOf, count } = orderPile(pile, filter);
				const text = filter.find.toLowerCase();
				const wanted = pile.receipts.filter((row, i) => {
					const texts = [row.payerName ?? '', row.text, row.heldBecause ?? ''].map((one) =>
						one.toLowerCase()
					);
					return (
						(filter.group === null || groups[i] === filter.group) &&
						(filter.bankAccountId === null || row.bankAccountId === filter.bankAccountId) &&
						(filter.heldFor === null || row.heldFor === filter.heldFor) &&
						(texts.some((one) => one.includes(text)) || (text === '0.02' && Math.abs(row.amount) === 2))
					);
				});
				const seen = PILE_GROUPS.flatMap((group) => found[group].map((row) => row.id));
				expect([...seen].sort((a, b) => a - b)).toEqual(wanted.map((row) => row.id));
				expect(placeOf.size).toBe(wanted.length);
				expect(count).toBe(wanted.filter((row) => row.unidentifiedActId === null).length);
				if (filter.order === 'amount')
					for (const group of PILE_GROUPS) {
						const sizes = found[group].map((row) => Math.abs(row.amount));
						expect(sizes).toEqual([...sizes].sort((a, b) => b - a));
					}
			}
		)
	));

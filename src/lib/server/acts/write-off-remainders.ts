import { z } from 'zod';
import { parseDay } from '../../core/day/day';
import { Refusal } from '../refusal';
import { groupBy } from '../repo/group-by';
import { itemsById } from '../repo/open-items';
import { actByKey } from '../repo/record-act';
import { defineAct } from './perform';
import { placeAs } from './place-money';

export const remaindersInput = z.object({
	items: z
		.array(z.object({ itemId: z.number().int(), version: z.number().int() }))
		.min(1, 'Choose a remainder first.')
		.max(2_000),
	kind: z.enum(['small_difference', 'bad_debt']),
	date: z
		.string()
		.refine((text) => parseDay(text) !== null, 'Give the day as in 2026-10-30.')
		.nullable()
		.default(null)
});

/** Writes off what is left open of many items, one act for each account, all of them or none; the person's limits hold. */
export const writeOffRemainders = defineAct({
	kind: 'write-off-remainders',
	needs: 'clerk',
	run: async (tx, given: z.input<typeof remaindersInput>, at): Promise<{ actIds: number[] }> => {
		const input = remaindersInput.parse(given);
		const done = at.key ? await actByKey(tx, at.key) : undefined;
		if (done) return { actIds: [done.id] };
		const items = new Map(
			(
				await itemsById(
					tx,
					input.items.map((one) => one.itemId)
				)
			).map((item) => [item.id, item])
		);
		for (const one of input.items)
			if (!items.has(one.itemId)) throw new Refusal({ code: 'not-found', what: 'item' });
		const accounts = groupBy(input.items, (one) => {
			const item = items.get(one.itemId)!;
			return `${item.customerId} ${item.currency}`;
		});
		const actIds: number[] = [];
		for (const [key, own] of accounts) {
			const { actId } = await placeAs(
				tx,
				{
					...{
						receiptId: null,
						receiptVersion: null,
						customerId: Number(key.split(' ')[0]),
						date: input.date
					},
					lines: own.map(({ itemId, version }) => ({
						...{ itemId, version, cash: 0 },
						differences: [{ kind: input.kind, amount: items.get(itemId)!.open }]
					})),
					reasons: ['Written off with other small remainders.']
				},
				{ ...at, key: actIds.length === 0 ? at.key : undefined },
				null
			);
			actIds.push(actId!);
		}
		return { actIds };
	}
});

import { z } from 'zod';
import type { OverLimit } from '../../core/4-allocation/over-limits';
import { parseDay } from '../../core/day/day';
import type { OpenItem } from '../../core/model/records';
import { list, money } from '../../words/format';
import type { Tx } from '../db/open';
import { DomainError } from '../domain-error';
import { groupBy } from '../repo/group-by';
import { itemsById } from '../repo/open-items';
import { actByKey } from '../repo/record-act';
import { askApproval, askedBefore } from './ask-approval';

import { defineAct, type Circumstance } from './perform';
import { placeAs } from './place-money';

export const remaindersInput = z.object({
	items: z
		.array(z.object({ itemId: z.number().int(), version: z.number().int() }))
		.min(1, 'Choose a remainder first.')
		.max(2_000),
	kind: z.enum(['small_difference', 'bad_debt']),
	/** Why, for the record. */
	note: z.string().trim().max(400).default(''),
	date: z
		.string()
		.refine((text) => parseDay(text) !== null, 'Give the day as in 2026-10-30.')
		.nullable()
		.default(null)
});

export interface WrittenOff {
	readonly actIds: readonly number[];
	/** What is beyond the person's limit: then nothing is written off, and a supervisor was asked. */
	readonly waits: readonly OverLimit[];
}

/**
 * Writes off what is left open of many items, one act for each account, all of them or none. Beyond the person's limit a
 * supervisor is asked: small differences count for each account, since each is too little to be asked for; bad debts all
 * together, since they are losses.
 */
export const writeOffRemainders = defineAct({
	kind: 'write-off-remainders',
	needs: 'clerk',
	run: async (tx, given: z.input<typeof remaindersInput>, at): Promise<WrittenOff> => {
		const input = remaindersInput.parse(given);
		const done = at.key ? await actByKey(tx, at.key) : undefined;
		if (done) {
			const waits = askedBefore(done);
			return { actIds: waits.length ? [] : [done.id], waits };
		}
		const items = new Map(
			(
				await itemsById(
					tx,
					input.items.map((one) => one.itemId)
				)
			).map((item) => [item.id, item])
		);
		for (const one of input.items)
			if (!items.has(one.itemId)) throw new DomainError({ code: 'not-found', what: 'item' });
		const fresh = input.items.every((one) => items.get(one.itemId)!.version === one.version);
		// What changed meanwhile is refused below, and not asked about.
		const waits = !fresh ? [] : await askFirst(tx, input, [...items.values()], at);
		if (waits.length) return { actIds: [], waits };
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
					reasons: [input.note || 'Written off with other small remainders.']
				},
				{ ...at, key: actIds.length === 0 ? at.key : undefined },
				null
			);
			actIds.push(actId!);
		}
		return { actIds, waits: [] };
	}
});

async function askFirst(
	tx: Tx,
	input: z.output<typeof remaindersInput>,
	items: readonly OpenItem[],
	at: Circumstance
): Promise<OverLimit[]> {
	const sums = new Map<string, number>();
	const bases = new Map<string, number>();
	for (const { customerId, currency, open, openBase } of items) {
		sums.set(currency, (sums.get(currency) ?? 0) + open);
		const key = input.kind === 'bad_debt' ? '' : `${customerId} ${currency}`;
		bases.set(key, (bases.get(key) ?? 0) + openBase);
	}
	const owners = [...new Set(items.map((item) => item.customerId))];
	const most = items.length === 1 ? items[0]!.number : `${items.length} documents`;
	const amounts = [...sums].map(([currency, sum]) => money(sum, currency));
	return askApproval(
		tx,
		{
			...{ kind: 'write-off-remainders', input },
			about: `write off ${list(amounts)} of ${most}${input.note ? ` (${input.note})` : ''}`,
			customerId: owners.length === 1 ? owners[0]! : null,
			booked: [{ kind: input.kind, base: Math.max(0, ...bases.values()) }]
		},
		at
	);
}

import { z } from 'zod';
import type { OverLimit } from '../../../core/4-allocation/over-limits';
import type { Sum } from '../../../core/model/act-facts';
import type { OpenItem } from '../../../core/model/records';
import { defineAct, type ActContext } from '../../act/define-act';
import { chosenDayField, idField, noteField, versionField } from '../../act/fields';
import { DomainError } from '../../act/domain-error';
import { groupBy } from '../../../core/group-by';
import { itemsById } from '../../documents/store/open-items';
import { postAllocation } from './allocate-receipt';
import { askApproval } from '../../approvals/store/ask-approval';
import { overLimitsNow } from '../../reductions/store/over-limits-now';

export const smallBalancesInput = z.object({
	items: z
		.array(z.object({ itemId: idField, version: versionField }))
		.min(1, 'Choose a small balance first.')
		.max(2_000),
	kind: z.enum(['small_difference', 'bad_debt']),
	/** Why, for the record. */
	note: noteField,
	date: chosenDayField
});

export interface WrittenOff {
	/** Null where nothing is written off, but a supervisor was asked. */
	readonly actId: number | null;
	readonly count: number;
	/** What is beyond the person's limit. */
	readonly waits: readonly OverLimit[];
}

/**
 * Writes off what is left open of many items, one part for each account, all of them or none. Beyond the person's limits a
 * supervisor is asked.
 */
export const writeOffSmallBalances = defineAct({
	kind: 'write-off-small-balances',
	role: 'clerk',
	input: smallBalancesInput,
	run: async (ctx, input): Promise<WrittenOff> => {
		const found = await itemsById(
			ctx.tx,
			input.items.map((one) => one.itemId)
		);
		const items = new Map(found.map((item) => [item.id, item]));
		for (const one of input.items)
			if (!items.has(one.itemId)) throw new DomainError({ code: 'not-found', what: 'item' });
		const fresh = input.items.every((one) => items.get(one.itemId)!.version === one.version);
		// What changed meanwhile is refused below, and not asked about.
		const waits = !fresh ? [] : await askFirst(ctx, input, found);
		if (waits.length) return { actId: null, count: 0, waits };
		const accounts = groupBy(input.items, (one) => {
			const item = items.get(one.itemId)!;
			return `${item.customerId} ${item.currency}`;
		});
		const owners = [...new Set(found.map((item) => item.customerId))];
		const actId = await ctx.record({
			date: input.date ?? undefined,
			summary: { count: input.items.length, sums: sumsOf(found) },
			facts: { kind: input.kind, note: input.note },
			customerId: owners.length === 1 ? owners[0]! : null
		});
		for (const [key, own] of accounts)
			await postAllocation(
				ctx.part('allocate-receipt'),
				{
					...{ receiptId: null, receiptVersion: null },
					...{ customerId: Number(key.split(' ')[0]), date: input.date },
					lines: own.map(({ itemId, version }) => ({
						...{ itemId, version, cash: 0 },
						differences: [{ kind: input.kind, amount: items.get(itemId)!.open }]
					}))
				},
				{ reasons: [{ code: 'written-off', note: input.note }], within: 'checked' }
			);
		return { actId, count: input.items.length, waits: [] };
	}
});

async function askFirst(
	ctx: ActContext,
	input: z.output<typeof smallBalancesInput>,
	items: readonly OpenItem[]
): Promise<OverLimit[]> {
	const over = await overLimitsNow(
		ctx,
		items.map(({ openBase, customerId }) => ({ kind: input.kind, base: openBase, customerId }))
	);
	if (over.length === 0) return over;
	const owners = [...new Set(items.map((item) => item.customerId))];
	await askApproval(ctx, {
		...{ kind: 'write-off-small-balances', input, over },
		about: {
			code: 'write-off',
			sums: sumsOf(items),
			documents: items.length,
			number: items.length === 1 ? items[0]!.number : null,
			note: input.note
		},
		customerId: owners.length === 1 ? owners[0]! : null,
		run: (rehearsal) => writeOffSmallBalances.run(rehearsal.as('write-off-small-balances'), input)
	});
	return over;
}

/** What is open of items, by currency. */
function sumsOf(items: readonly OpenItem[]): Sum[] {
	const sums = new Map<string, number>();
	for (const { currency, open } of items) sums.set(currency, (sums.get(currency) ?? 0) + open);
	return [...sums].map(([currency, amount]) => ({ amount, currency }));
}

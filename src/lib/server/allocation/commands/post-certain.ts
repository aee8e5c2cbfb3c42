import { z } from 'zod';
import type { Answer } from '../../../core/3-matching';
import { append } from '../../../core/append';
import type { LimitedKind, Reduction } from '../../../core/4-allocation/over-limits';
import { overLimitsNow } from '../../reductions/store/over-limits-now';
import { minor } from '../../../core/money/minor';
import { defineAct, type ActContext } from '../../act/define-act';
import { idField, versionField } from '../../act/fields';
import { KeptAnswers } from '../../matching/store/kept-answers';
import { KnownPile } from '../../matching/store/known-pile';
import { accountingDate, converter } from '../../receipts/commands/accounting-day';
import { setAside } from '../../receipts/commands/set-aside';
import { postAllocation } from './allocate-receipt';

/** So many are posted in one transaction: others wait to write meanwhile. */
export const MOST_AT_ONCE = 100;

export const postCertainInput = z.object({
	receipts: z
		.array(z.object({ id: idField, version: versionField }))
		.max(MOST_AT_ONCE, `Post ${MOST_AT_ONCE} at a time.`)
});

/** What posting the certain ones came to. */
export interface PostedCertain {
	/** The decision as a whole, by which it can be undone; null where none of them was certain any more. */
	readonly actId: number | null;
	readonly posted: number;
	/** Changed since, no longer certain, or beyond the person's limits: left where they are. */
	readonly left: number;
}

/**
 * Posts receipts whose answers are certain, those that were read and still are so, each a part of one decision, all in one
 * transaction. One that changed since, or is no longer certain, is left where it is.
 */
export const postCertain = postCertainKnowing(() => new KnownPile());

/** The same by one who knows the pile already, and reads only what was written since. */
export function postCertainKnowing(known: () => KnownPile) {
	return defineAct({
		kind: 'post-certain',
		role: 'clerk',
		input: postCertainInput,
		run: async (ctx, input): Promise<PostedCertain> => {
			const { tx } = ctx;
			const asked = new Map(input.receipts.map((row) => [row.id, row.version]));
			// What another receipt wants decides whether one is still certain, so all that wait are known.
			const pile = known();
			await pile.read(tx);
			const rows = [...pile.receipts].map(({ row }) => row);
			const fees = new Map(
				rows
					.filter((row) => row.fee > 0)
					.map((row) => [row.id, [{ kind: 'processor_fee' as const, amount: row.fee }]])
			);
			const currencies = new Map(rows.map((row) => [row.id, row.currency]));
			const amounts = new Map(rows.map((row) => [row.id, row.amount]));
			const versions = new Map(rows.map((row) => [row.id, row.version]));
			const itemVersions = new Map(pile.items.map((item) => [item.id, item.version]));
			const groups = new KeptAnswers().answer(pile, new Set(asked.keys()));
			// Earlier money is allocated by a person only.
			const certain: Answer[] = [];
			const pending: Reduction[] = [];
			for (const { answer } of [...groups].flatMap((group) => group.answered))
				if (
					answer.band === 'certain' &&
					answer.credits.length === 0 &&
					asked.get(answer.receiptId) === versions.get(answer.receiptId) &&
					(await isWithinLimits(ctx, pending, {
						answer,
						amount: amounts.get(answer.receiptId)!,
						currency: currencies.get(answer.receiptId)!,
						fees: fees.get(answer.receiptId) ?? []
					}))
				)
					certain.push(answer);
			if (certain.length === 0) return ctx.unchanged({ actId: null, posted: 0, left: input.receipts.length });
			const actId = await ctx.record({
				summary: { count: certain.length },
				facts: { receipts: certain.map((answer) => answer.receiptId) }
			});
			for (const answer of certain) {
				if (answer.usual) {
					await ctx.run(setAside, {
						...{ receiptId: answer.receiptId, receiptVersion: versions.get(answer.receiptId)! },
						account: answer.usual.account
					});
					continue;
				}
				const order = {
					receiptId: answer.receiptId,
					receiptVersion: versions.get(answer.receiptId)!,
					customerId: answer.customerId,
					lines: answer.lines.map((line) => ({
						itemId: line.itemId,
						version: itemVersions.get(line.itemId)!,
						cash: line.cash,
						differences: [...line.differences]
					})),
					fees: fees.get(answer.receiptId) ?? [],
					adviceId: answer.adviceId ?? null
				};
				await postAllocation(ctx.part('allocate-receipt'), order, {
					...{ reasons: answer.reasons, within: 'checked' }
				});
				for (const line of order.lines) itemVersions.set(line.itemId, line.version + 1);
			}
			const posted = certain.length;
			return { actId, posted, left: input.receipts.length - posted };
		}
	});
}

/**
 * What is beyond a person's limits takes a supervisor, and so a person who asks: it is not posted with the others. What is within
 * them counts for those that follow.
 */
async function isWithinLimits(
	ctx: ActContext,
	pending: Reduction[],
	{
		answer,
		amount,
		currency,
		fees
	}: {
		readonly answer: Answer;
		readonly amount: number;
		readonly currency: string;
		readonly fees: readonly { readonly kind: LimitedKind; readonly amount: number }[];
	}
): Promise<boolean> {
	const gaps: { readonly kind: LimitedKind; readonly amount: number }[] = [
		...answer.lines.flatMap((line) => line.differences),
		...fees,
		// Money that comes in and is set aside is taken away from customers.
		...(answer.usual && amount > 0 ? [{ kind: 'set_aside' as const, amount }] : [])
	];
	if (gaps.length === 0) return true;
	const toBase = await converter(ctx.tx, currency, await accountingDate(ctx.tx, answer.booked));
	const { customerId } = answer;
	const booked = gaps.map(({ kind, amount }) => ({ kind, base: toBase(minor(amount)), customerId }));
	if ((await overLimitsNow(ctx, booked, pending)).length > 0) return false;
	append(pending, booked);
	return true;
}

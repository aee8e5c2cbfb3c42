import { eq } from 'drizzle-orm';
import { isWaiting } from '../../../core/2-receipts/receipt-life';
import { defineAct } from '../../act/define-act';
import { actIdInput } from '../../act/fields';
import { kindOf } from '../../act/kinds';
import { saidOf } from '../../act/said';
import type { AllocationInput } from '../allocation-input';
import type { AllocationReason } from '../../../words';
import { act, receiptState } from '../../platform/db/schema';
import { DomainError } from '../../act/domain-error';
import { creditsNow } from '../../documents/store/credits-now';
import { itemsById } from '../../documents/store/open-items';
import { postAllocation } from './allocate-receipt';

/** What an allocation keeps of itself in its record. */
type AllocationFacts = Pick<AllocationInput, 'lines' | 'credits' | 'fees' | 'surplus' | 'depositFor'> & {
	readonly customerId: number | null;
	readonly reasons: readonly (AllocationReason | string)[];
};

/**
 * Takes an undoing back: money or credits are allocated once more as they were, by a new act, in one step. Refused where the
 * money has another home by now, or an item is no longer open for it.
 */
export const reinstate = defineAct({
	kind: 'reinstate',
	role: 'clerk',
	input: actIdInput,
	run: async (ctx, input): Promise<{ actId: number }> => {
		const { tx } = ctx;
		const undoing = await tx.select().from(act).where(eq(act.id, input.actId)).get();
		const undone = undoing && kindOf(undoing) === 'undo-posting' ? undoing.undoesId : null;
		const first = undone === null ? undefined : await tx.select().from(act).where(eq(act.id, undone)).get();
		const kind = first && kindOf(first);
		if (!first || (kind !== 'allocate-receipt' && kind !== 'allocate-credits'))
			throw new DomainError({ code: 'not-found', what: 'allocation that was undone' });
		const facts = JSON.parse(first.facts) as AllocationFacts;
		const now =
			first.receiptId === null
				? null
				: await tx.select().from(receiptState).where(eq(receiptState.receiptId, first.receiptId)).get();
		if (now && !isWaiting(now.state)) {
			const last = await tx.select().from(act).where(eq(act.id, now.lastActId)).get();
			throw new DomainError({ code: 'receipt-taken', who: last!.userName, at: last!.at, to: null });
		}
		const items = await itemsById(
			tx,
			facts.lines.map((line) => line.itemId)
		);
		const versions = new Map(items.map((item) => [item.id, item.version]));
		const customerId = facts.customerId ?? first.customerId;
		const actId = await ctx.record({
			summary: { of: saidOf(first) },
			facts: { of: first.id, undoneBy: undoing!.id },
			customerId,
			receiptId: first.receiptId
		});
		const allocated = await postAllocation(
			ctx.part('allocate-receipt'),
			{
				...{ receiptId: first.receiptId, receiptVersion: now?.version ?? null, customerId },
				...{ fees: facts.fees, surplus: facts.surplus, depositFor: facts.depositFor },
				date: now ? null : undoing!.date,
				lines: facts.lines.map((line) => ({ ...line, version: versions.get(line.itemId) ?? 0 })),
				credits: await creditsNow(tx, facts.credits ?? [])
			},
			{ reasons: facts.reasons }
		);
		if (allocated.actId === null)
			throw new DomainError({
				...{ code: 'field', field: 'actId' },
				message: 'That is above your limit by now: a supervisor has to allocate it again.'
			});
		return { actId };
	}
});

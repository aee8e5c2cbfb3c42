import { and, eq } from 'drizzle-orm';
import type { PlaceInput } from '../place-input';
import { act, receiptState } from '../db/schema';
import { DomainError } from '../domain-error';
import { creditsNow } from '../repo/credits-now';
import { itemsById } from '../repo/open-items';
import { actByKey } from '../repo/record-act';
import { defineAct } from './perform';
import { placeAs } from './place-money';

/**
 * Takes an undoing back: money or credits are placed once more as they were, by a new act, in one step. Refused where the
 * money has another home by now, or an item is no longer open for it.
 */
export const placeAsBefore = defineAct({
	kind: 'place-as-before',
	needs: 'clerk',
	run: async (tx, input: { readonly actId: number }, at): Promise<{ actId: number }> => {
		const done = at.key ? await actByKey(tx, at.key) : undefined;
		if (done) return { actId: done.id };
		const undoing = await tx
			.select()
			.from(act)
			.where(and(eq(act.id, input.actId), eq(act.kind, 'undo-placing')))
			.get();
		const first = undoing && (await tx.select().from(act).where(eq(act.id, undoing.undoesId!)).get());
		if (!first || (first.kind !== 'place-receipt' && first.kind !== 'place-credits'))
			throw new DomainError({ code: 'not-found', what: 'placing that was taken back' });
		const facts = JSON.parse(first.facts) as Pick<
			PlaceInput,
			'lines' | 'credits' | 'fees' | 'surplus' | 'depositFor' | 'reasons'
		> & { customerId: number | null };
		const now =
			first.receiptId === null
				? null
				: await tx.select().from(receiptState).where(eq(receiptState.receiptId, first.receiptId)).get();
		if (now && now.state !== 'waiting' && now.state !== 'held') {
			const last = await tx.select().from(act).where(eq(act.id, now.lastActId)).get();
			throw new DomainError({ code: 'receipt-taken', who: last!.userName, at: last!.at, to: null });
		}
		const items = await itemsById(
			tx,
			facts.lines.map((line) => line.itemId)
		);
		const versions = new Map(items.map((item) => [item.id, item.version]));
		const placed = await placeAs(
			tx,
			{
				...{ receiptId: first.receiptId, receiptVersion: now?.version ?? null },
				...{ customerId: facts.customerId ?? first.customerId, fees: facts.fees, surplus: facts.surplus },
				...{ depositFor: facts.depositFor, reasons: facts.reasons, date: now ? null : undoing!.date },
				lines: facts.lines.map((line) => ({ ...line, version: versions.get(line.itemId) ?? 0 })),
				credits: await creditsNow(tx, facts.credits ?? [])
			},
			at,
			null
		);
		if (placed.actId === null)
			throw new DomainError({
				...{ code: 'field', field: 'actId' },
				message: 'That is above your limit by now: a supervisor has to place it again.'
			});
		return { actId: placed.actId };
	}
});

import { and, eq, gt, sql } from 'drizzle-orm';
import { z } from 'zod';
import type { Day } from '../../../core/day/day';
import { ZERO } from '../../../core/money/minor';
import { defineAct } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { idField, versionField } from '../../act/fields';
import { isOpen } from '../../documents/store/is-open';
import type { Tx } from '../../platform/db/open';
import { customer, itemState, receiptState } from '../../platform/db/schema';
import type { CustomerRecord } from '../store/customer-details';
import { seenAsAnother } from '../store/merged-accounts';
import { customerAt } from '../store/customer-at';

/** Closes an account on which nothing is open: no document is written for it any more, and nobody is asked to choose it. */
export const closeAccount = defineAct({
	kind: 'close-account',
	role: 'clerk',
	input: z.object({
		customerId: idField,
		version: versionField,
		reason: z.string().trim().min(1, 'Say why it is closed.').max(400)
	}),
	run: async (ctx, { customerId, version, reason }): Promise<{ actId: number | null }> => {
		const owner = await customerAt(ctx.tx, customerId, version);
		if (owner.closedOn !== null) return ctx.unchanged({ actId: null });
		const open = await leftOn(ctx.tx, owner);
		if (open.items > 0 || open.credits > 0)
			throw new DomainError({ code: 'account-not-settled', customer: owner.name, ...open });
		const { name, code, id } = owner;
		const actId = await ctx.record({ summary: { customer: name, code, reason }, customerId: id });
		await setClosed(ctx.tx, owner, ctx.today);
		return { actId };
	}
});

/** Opens a closed account again. */
export const reopenAccount = defineAct({
	kind: 'reopen-account',
	role: 'clerk',
	input: z.object({ customerId: idField, version: versionField }),
	run: async (ctx, { customerId, version }): Promise<{ actId: number | null }> => {
		const owner = await customerAt(ctx.tx, customerId, version);
		const { name, code, id, closedOn } = owner;
		if (owner.mergedIntoId !== null) throw await seenAsAnother(ctx.tx, owner);
		if (closedOn === null) return ctx.unchanged({ actId: null });
		const actId = await ctx.record({
			summary: { customer: name, code },
			facts: { closedOn },
			customerId: id
		});
		await setClosed(ctx.tx, owner, null);
		return { actId };
	}
});

async function setClosed(tx: Tx, { id, version }: CustomerRecord, closedOn: Day | null): Promise<void> {
	await tx
		.update(customer)
		.set({ closedOn, version: version + 1 })
		.where(eq(customer.id, id));
}

/** How many items are open on an account, and how many receipts have money on it. */
async function leftOn(tx: Tx, owner: CustomerRecord): Promise<{ items: number; credits: number }> {
	const count = { n: sql<number>`count(*)` };
	const items = await tx
		.select(count)
		.from(itemState)
		.where(and(isOpen, eq(itemState.customerId, owner.id)))
		.all();
	const credits = await tx
		.select(count)
		.from(receiptState)
		.where(and(eq(receiptState.customerId, owner.id), gt(receiptState.onAccount, ZERO)))
		.all();
	return { items: items[0]!.n, credits: credits[0]!.n };
}

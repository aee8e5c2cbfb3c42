import { and, eq, inArray, sql } from 'drizzle-orm';
import { z } from 'zod';
import { defineAct, type ActContext } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { actIdInput, idField, versionField } from '../../act/fields';
import { refuseUndone } from '../../act/refuse-undone';
import type { Tx } from '../../platform/db/open';
import {
	accountMerge,
	act,
	approval,
	customer,
	item,
	itemState,
	receiptState
} from '../../platform/db/schema';
import { customerById } from '../store/customer-by-id';
import { moveKept, putBackKept, type Moved } from '../store/move-kept';
import { customerAt } from '../store/customer-at';
import type { CustomerRecord } from '../store/customer-details';
import { postingsAcross } from '../store/postings-across';

const otherFault = (message: string) => new DomainError({ code: 'field', field: 'otherId', message });

/**
 * Two accounts that are one. What was posted stays as it was posted; from then on all that is open or on account is the one account's, what
 * the other was known by leads to it, and nothing is posted to the other any more. It posts nothing itself.
 */
export const mergeAccounts = defineAct({
	kind: 'merge-accounts',
	role: 'supervisor',
	input: z.object({
		/** The account that stays. */
		customerId: idField,
		version: versionField,
		/** The account that is seen as it from then on. */
		otherId: z.number({ error: 'Choose the other account first.' }).int().positive()
	}),
	run: async (ctx, { customerId, version, otherId }): Promise<{ actId: number }> => {
		const { tx } = ctx;
		const owner = await customerAt(tx, customerId, version);
		const other = await otherThan(tx, owner, otherId);
		const moved = await moveKept(tx, owner, other);
		const actId = await ctx.record({
			summary: namesOf(owner, other),
			facts: { fromId: other.id, intoId: owner.id, ...moved },
			customerId: owner.id
		});
		await tx.insert(accountMerge).values({ actId, fromId: other.id, intoId: owner.id });
		await moveOpen(tx, actId, { from: other.id, into: owner.id });
		await moveOrders(tx, other.id, owner.id);
		await raise(tx, owner, {
			// A branch of the other is what the other was a branch of.
			parentId: moved.isBranch ? other.parentId : owner.parentId
		});
		await raise(tx, other, { mergedIntoId: owner.id, closedOn: other.closedOn ?? ctx.today });
		return { actId };
	}
});

/** Takes a merge back: both are accounts of their own again, each with what is its own. */
export const partAccounts = defineAct({
	kind: 'part-accounts',
	role: 'supervisor',
	input: actIdInput,
	run: async (ctx, { actId: mergeId }): Promise<{ actId: number }> => {
		const { tx } = ctx;
		const rows = await tx
			.select({ merge: accountMerge, facts: act.facts })
			.from(accountMerge)
			.innerJoin(act, eq(act.id, accountMerge.actId))
			.where(eq(accountMerge.actId, mergeId))
			.all();
		if (!rows[0]) throw new DomainError({ code: 'not-found', what: 'merge' });
		await refuseUndone(tx, mergeId);
		const { fromId, intoId } = rows[0].merge;
		const [owner, other] = [await customerById(tx, intoId), await customerById(tx, fromId)];
		const postings = await postingsAcross(tx, { mergeId, fromId });
		if (postings > 0)
			throw new DomainError({
				code: 'accounts-used-as-one',
				customer: owner.name,
				other: other.name,
				postings
			});
		const moved = JSON.parse(rows[0].facts) as Moved;
		const actId = await ctx.record({
			summary: namesOf(owner, other),
			...{ customerId: owner.id, undoesId: mergeId }
		});
		await raise(tx, other, { mergedIntoId: null, closedOn: moved.closedOn as CustomerRecord['closedOn'] });
		const isBranchAgain = moved.isBranch && owner.parentId === other.parentId;
		await raise(tx, owner, isBranchAgain ? { parentId: other.id } : {});
		await moveBack(tx, actId, { mergeId, from: other.id, into: owner.id });
		await putBackKept(tx, owner, other, moved);
		return { actId };
	}
});

const namesOf = (owner: CustomerRecord, other: CustomerRecord) => ({
	...{ customer: owner.name, code: owner.code, other: other.name, otherCode: other.code }
});

/** The other account, where it can be seen as this one. */
async function otherThan(tx: Tx, owner: CustomerRecord, otherId: number): Promise<CustomerRecord> {
	const other = await customerById(tx, otherId);
	if (other.id === owner.id) throw otherFault('That is this account. Choose the other one.');
	if (owner.mergedIntoId !== null || other.mergedIntoId !== null)
		throw otherFault('One of them is seen as another account already. Take that back first.');
	if (other.currency !== owner.currency)
		throw otherFault(`${other.code} is kept in ${other.currency}, and ${owner.code} in ${owner.currency}.`);
	const within = await tx
		.select({ code: customer.code })
		.from(customer)
		.where(eq(customer.mergedIntoId, other.id))
		.all();
	if (within[0])
		throw otherFault(
			`${within[0].code} is seen as ${other.code}. Merge ${owner.code} into ${other.code} instead.`
		);
	await refuseBetween(tx, owner, other);
	const asked = await tx
		.select({ id: approval.actId })
		.from(approval)
		.where(and(eq(approval.state, 'waiting'), eq(approval.customerId, other.id)))
		.all();
	if (asked.length > 0)
		throw otherFault(`A request about ${other.code} waits for a supervisor. Answer it first.`);
	return other;
}

/** An account between the two would be a branch of its own branch. */
async function refuseBetween(tx: Tx, owner: CustomerRecord, other: CustomerRecord): Promise<void> {
	if (owner.parentId === null || owner.parentId === other.id) return;
	let at = await customerById(tx, owner.parentId);
	while (at.parentId !== null) {
		if (at.parentId === other.id)
			throw otherFault(
				`${at.code} is a branch of ${other.code}, and above ${owner.code}. Change what it is a branch of first.`
			);
		at = await customerById(tx, at.parentId);
	}
}

/** Open items, and money on account, are the account's. */
async function moveOpen(
	tx: Tx,
	actId: number,
	{ from, into }: { readonly from: number; readonly into: number }
): Promise<void> {
	await tx
		.update(itemState)
		.set({ customerId: into, version: sql`${itemState.version} + 1`, lastActId: actId })
		.where(eq(itemState.customerId, from));
	await tx
		.update(receiptState)
		.set({ customerId: into, version: sql`${receiptState.version} + 1`, lastActId: actId })
		.where(eq(receiptState.customerId, from));
}

/** What was laid for the other account, and put by, is laid for this one. */
async function moveOrders(tx: Tx, from: number, into: number): Promise<void> {
	const held = await tx
		.select({ id: receiptState.receiptId, order: receiptState.heldOrder, version: receiptState.version })
		.from(receiptState)
		.where(sql`${receiptState.heldOrder} ->> 'customerId' = ${from}`)
		.all();
	for (const { id, order, version } of held)
		await tx
			.update(receiptState)
			.set({
				heldOrder: JSON.stringify({ ...(JSON.parse(order!) as object), customerId: into }),
				version: version + 1
			})
			.where(eq(receiptState.receiptId, id));
}

/** Items of the other account's documents, and money that was allocated to it before, are its own again. */
async function moveBack(
	tx: Tx,
	actId: number,
	{ mergeId, from, into }: { readonly mergeId: number; readonly from: number; readonly into: number }
): Promise<void> {
	await tx
		.update(itemState)
		.set({ customerId: from, version: sql`${itemState.version} + 1`, lastActId: actId })
		.where(
			and(
				eq(itemState.customerId, into),
				inArray(itemState.itemId, tx.select({ id: item.id }).from(item).where(eq(item.customerId, from)))
			)
		);
	await tx
		.update(receiptState)
		.set({ customerId: from, version: sql`${receiptState.version} + 1`, lastActId: actId })
		.where(
			and(
				eq(receiptState.customerId, into),
				sql`exists (select 1 from act a where a.id = ${receiptState.actId} and a.id < ${mergeId} and a.customer_id = ${from})`
			)
		);
}

/** Writes to an account, so that whoever saw it before sees that it changed. */
async function raise(
	tx: ActContext['tx'],
	{ id }: CustomerRecord,
	change: Partial<typeof customer.$inferInsert>
): Promise<void> {
	await tx
		.update(customer)
		.set({ ...change, version: sql`${customer.version} + 1` })
		.where(eq(customer.id, id));
}

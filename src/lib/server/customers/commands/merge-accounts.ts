import { and, eq, inArray, sql } from 'drizzle-orm';
import { z } from 'zod';
import { nameKey } from '../../../core/text/name-key';
import { defineAct, type ActContext } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { actIdInput, idField, versionField } from '../../act/fields';
import { refuseUndone } from '../../act/refuse-undone';
import type { Tx } from '../../platform/db/open';
import {
	accountMerge,
	act,
	advice,
	approval,
	customer,
	customerName,
	item,
	itemState,
	manualReceipt,
	payerAccount,
	receiptState
} from '../../platform/db/schema';
import { customerAt } from '../store/customer-at';
import type { CustomerRecord } from '../store/customer-details';
import { postingsAcross } from '../store/postings-across';

const otherFault = (message: string) => new DomainError({ code: 'field', field: 'otherId', message });

/** What a merge moved of what is kept, so that it can be put back. */
interface Moved {
	/** What the other account was known by, and what of it was new to the one that stays. */
	readonly names: readonly string[];
	readonly namesAdded: readonly string[];
	readonly payers: readonly string[];
	readonly payersAdded: readonly string[];
	readonly branchIds: readonly number[];
	readonly manualReceiptIds: readonly number[];
	readonly adviceIds: readonly number[];
	readonly closedOn: string | null;
}

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
			// One of the other's branches is a branch of itself now: it is what the other was a branch of.
			parentId: owner.parentId === other.id ? other.parentId : owner.parentId
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
		const [owner, other] = [await recordOf(tx, intoId), await recordOf(tx, fromId)];
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
		await raise(tx, owner, {});
		await moveBack(tx, actId, { mergeId, from: other.id, into: owner.id });
		await putBackKept(tx, owner, other, moved);
		return { actId };
	}
});

const namesOf = (owner: CustomerRecord, other: CustomerRecord) => ({
	...{ customer: owner.name, code: owner.code, other: other.name, otherCode: other.code }
});

async function recordOf(tx: Tx, id: number): Promise<CustomerRecord> {
	const found = await tx.select().from(customer).where(eq(customer.id, id)).all();
	if (!found[0]) throw new DomainError({ code: 'not-found', what: 'customer' });
	return found[0];
}

/** The other account, where it can be seen as this one. */
async function otherThan(tx: Tx, owner: CustomerRecord, otherId: number): Promise<CustomerRecord> {
	const other = await recordOf(tx, otherId);
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
	const asked = await tx
		.select({ id: approval.actId })
		.from(approval)
		.where(and(eq(approval.state, 'waiting'), eq(approval.customerId, other.id)))
		.all();
	if (asked.length > 0)
		throw otherFault(`A request about ${other.code} waits for a supervisor. Answer it first.`);
	return other;
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

/** What is kept of the other account and not posted goes to this one. @returns what was moved */
async function moveKept(tx: Tx, owner: CustomerRecord, other: CustomerRecord): Promise<Moved> {
	const names = await namesKept(tx, other.id);
	const known = new Set((await namesKept(tx, owner.id)).map(nameKey));
	const namesAdded = names.filter((name) => !known.has(nameKey(name)));
	await tx.delete(customerName).where(eq(customerName.customerId, other.id));
	await addNames(tx, owner.id, namesAdded);
	const payers = await payersKept(tx, other.id);
	const paying = new Set(await payersKept(tx, owner.id));
	const payersAdded = payers.filter((account) => !paying.has(account));
	await tx.delete(payerAccount).where(eq(payerAccount.customerId, other.id));
	await addPayers(tx, owner.id, payersAdded);
	const branches = await tx
		.select({ id: customer.id })
		.from(customer)
		.where(eq(customer.parentId, other.id))
		.all();
	const branchIds = branches.map(({ id }) => id).filter((id) => id !== owner.id);
	await tx.update(customer).set({ parentId: owner.id }).where(inArray(customer.id, branchIds));
	const typed = await tx
		.update(manualReceipt)
		.set({ customerId: owner.id })
		.where(eq(manualReceipt.customerId, other.id))
		.returning({ id: manualReceipt.id });
	const told = await tx
		.update(advice)
		.set({ customerId: owner.id })
		.where(eq(advice.customerId, other.id))
		.returning({ id: advice.id });
	return {
		...{ names, namesAdded, payers, payersAdded, branchIds, closedOn: other.closedOn },
		...{ manualReceiptIds: typed.map(({ id }) => id), adviceIds: told.map(({ id }) => id) }
	};
}

async function putBackKept(
	tx: Tx,
	owner: CustomerRecord,
	other: CustomerRecord,
	moved: Moved
): Promise<void> {
	const own = await namesKept(tx, owner.id);
	const gone = new Set(moved.namesAdded);
	await tx.delete(customerName).where(eq(customerName.customerId, owner.id));
	await addNames(
		tx,
		owner.id,
		own.filter((name) => name === owner.name || !gone.has(name))
	);
	await addNames(tx, other.id, moved.names);
	await tx
		.delete(payerAccount)
		.where(and(eq(payerAccount.customerId, owner.id), inArray(payerAccount.account, [...moved.payersAdded])));
	await addPayers(tx, other.id, moved.payers);
	await tx
		.update(customer)
		.set({ parentId: other.id })
		.where(and(inArray(customer.id, [...moved.branchIds]), eq(customer.parentId, owner.id)));
	await tx
		.update(manualReceipt)
		.set({ customerId: other.id })
		.where(
			and(inArray(manualReceipt.id, [...moved.manualReceiptIds]), eq(manualReceipt.customerId, owner.id))
		);
	await tx
		.update(advice)
		.set({ customerId: other.id })
		.where(and(inArray(advice.id, [...moved.adviceIds]), eq(advice.customerId, owner.id)));
}

async function namesKept(tx: Tx, id: number): Promise<string[]> {
	const rows = await tx
		.select({ name: customerName.name })
		.from(customerName)
		.where(eq(customerName.customerId, id))
		.orderBy(customerName.id)
		.all();
	return rows.map(({ name }) => name);
}

async function payersKept(tx: Tx, id: number): Promise<string[]> {
	const rows = await tx
		.select({ account: payerAccount.account })
		.from(payerAccount)
		.where(eq(payerAccount.customerId, id))
		.orderBy(payerAccount.id)
		.all();
	return rows.map(({ account }) => account);
}

async function addNames(tx: Tx, customerId: number, names: readonly string[]): Promise<void> {
	if (names.length > 0)
		await tx.insert(customerName).values(names.map((name) => ({ customerId, name, key: nameKey(name) })));
}

async function addPayers(tx: Tx, customerId: number, accounts: readonly string[]): Promise<void> {
	if (accounts.length > 0)
		await tx.insert(payerAccount).values(accounts.map((account) => ({ customerId, account })));
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

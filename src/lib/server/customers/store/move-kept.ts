import { and, eq, inArray } from 'drizzle-orm';
import { nameKey } from '../../../core/text/name-key';
import type { Tx } from '../../platform/db/open';
import { advice, customer, customerName, manualReceipt, payerAccount } from '../../platform/db/schema';
import type { CustomerRecord } from './customer-details';

/** What a merge moved of what is kept, so that it can be put back. */
export interface Moved {
	/** What the other account was known by, and what of it was new to the one that stays. */
	readonly names: readonly string[];
	readonly namesAdded: readonly string[];
	readonly payers: readonly string[];
	readonly payersAdded: readonly string[];
	/** Whether the one that stays was a branch of the other. */
	readonly isBranch: boolean;
	readonly branchIds: readonly number[];
	readonly manualReceiptIds: readonly number[];
	readonly adviceIds: readonly number[];
	readonly closedOn: string | null;
}

/** What is kept of the other account and not posted goes to this one. @returns what was moved */
export async function moveKept(tx: Tx, owner: CustomerRecord, other: CustomerRecord): Promise<Moved> {
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
		isBranch: owner.parentId === other.id,
		...{ manualReceiptIds: typed.map(({ id }) => id), adviceIds: told.map(({ id }) => id) }
	};
}

/** Puts back what a merge moved, as far as it is still there. */
export async function putBackKept(
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

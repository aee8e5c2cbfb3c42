import { asc, eq, inArray } from 'drizzle-orm';
import { groupBy } from '../../../core/group-by';
import type { CustomerDetails } from '../../../core/model/customer-details';
import { minor } from '../../../core/money/minor';
import { nameKey } from '../../../core/text/name-key';
import { chunks } from '../../platform/db/chunks';
import type { Reader, Tx } from '../../platform/db/open';
import { customer, customerName, payerAccount } from '../../platform/db/schema';

export type CustomerRecord = typeof customer.$inferSelect;

/** What is kept of a customer, as it is changed by hand. */
export async function detailsOf(db: Reader, owner: CustomerRecord): Promise<CustomerDetails> {
	return (await detailsOfAll(db, [owner])).get(owner.id)!;
}

/** What is kept of several customers, by their ids. */
export async function detailsOfAll(
	db: Reader,
	owners: readonly CustomerRecord[]
): Promise<ReadonlyMap<number, CustomerDetails>> {
	const found = new Map<number, CustomerDetails>();
	for (const some of chunks(owners)) {
		const ids = some.map(({ id }) => id);
		const names = await db
			.select({ owner: customerName.customerId, text: customerName.name })
			.from(customerName)
			.where(inArray(customerName.customerId, ids))
			.orderBy(asc(customerName.id))
			.all();
		const accounts = await db
			.select({ owner: payerAccount.customerId, text: payerAccount.account })
			.from(payerAccount)
			.where(inArray(payerAccount.customerId, ids))
			.orderBy(asc(payerAccount.id))
			.all();
		const parentIds = [...new Set(some.flatMap(({ parentId }) => (parentId === null ? [] : [parentId])))];
		const parents = await db
			.select({ id: customer.id, code: customer.code })
			.from(customer)
			.where(inArray(customer.id, parentIds))
			.all();
		const [namesOf, accountsOf] = [groupBy(names, (one) => one.owner), groupBy(accounts, (one) => one.owner)];
		const codes = new Map(parents.map(({ id, code }) => [id, code]));
		for (const owner of some)
			found.set(owner.id, {
				...{ name: owner.name, address: owner.address, statementAddress: owner.statementAddress ?? [] },
				otherNames: (namesOf.get(owner.id) ?? [])
					.map((one) => one.text)
					.filter((name) => name !== owner.name),
				...{
					termsDays: owner.termsDays,
					termsFrom: owner.termsFrom,
					termsParts: owner.termsParts,
					discountBasisPoints: owner.discountBasisPoints
				},
				...{ discountDays: owner.discountDays, parentCode: codes.get(owner.parentId ?? 0) ?? null },
				creditLimit: owner.creditLimit === null ? null : minor(owner.creditLimit),
				...{ statementEmail: owner.statementEmail, reminderEmail: owner.reminderEmail, phone: owner.phone },
				contacts: owner.contacts,
				...{ language: owner.language, statementWay: owner.statementWay, interest: owner.interest },
				statementFiles: owner.statementFiles,
				interestBasisPoints: owner.interestBasisPoints,
				...{ taxNumber: owner.taxNumber, tags: owner.tags, notes: owner.notes },
				...{ chasingPolicy: owner.chasingPolicy },
				...{ chasingPaused: owner.chasingPaused, pausedUntil: owner.pausedUntil },
				payerAccounts: (accountsOf.get(owner.id) ?? []).map((one) => one.text)
			});
	}
	return found;
}

/** Writes what is kept of a customer in place of what was. @param parentId of the account that `parentCode` names */
export async function writeDetails(
	tx: Tx,
	owner: CustomerRecord,
	{ otherNames, payerAccounts, parentCode: _code, ...details }: CustomerDetails,
	parentId: number | null
): Promise<void> {
	const { address, statementAddress, tags, contacts, termsParts, ...plain } = details;
	await tx
		.update(customer)
		.set({
			...plain,
			...{ parentId, version: owner.version + 1, address: [...address], tags: [...tags] },
			...{ contacts: [...contacts], termsParts: [...termsParts] },
			statementAddress: statementAddress.length ? [...statementAddress] : null
		})
		.where(eq(customer.id, owner.id));
	await tx.delete(customerName).where(eq(customerName.customerId, owner.id));
	await tx
		.insert(customerName)
		.values([plain.name, ...otherNames].map((name) => ({ customerId: owner.id, name, key: nameKey(name) })));
	await tx.delete(payerAccount).where(eq(payerAccount.customerId, owner.id));
	if (payerAccounts.length > 0)
		await tx.insert(payerAccount).values(payerAccounts.map((account) => ({ customerId: owner.id, account })));
}

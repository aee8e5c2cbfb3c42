import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { customerChanges } from '../../../core/1-open-items/customer-changes';
import type {
	Contact,
	CustomerChange,
	CustomerDetails,
	TermsPart
} from '../../../core/model/customer-details';
import { defineAct } from '../../act/define-act';
import { idField, versionField } from '../../act/fields';
import type { Tx } from '../../platform/db/open';
import { customer } from '../../platform/db/schema';
import { customerAt } from '../store/customer-at';
import { parentAt, parentFault } from '../store/parent-at';
import { detailsOf, writeDetails, type CustomerRecord } from '../store/customer-details';
import { detailsField } from './customer-fields';

export const changeInput = z.object({
	customerId: idField,
	/** As it was seen: what somebody else changed since is not lost. */
	version: versionField,
	details: detailsField
});

/**
 * Changes what is kept of a customer. A name that they had stays among their other names, so that payments under it are still known. Every
 * field is in the record as it was and as it is.
 */
export const changeCustomer = defineAct({
	kind: 'change-customer',
	role: 'clerk',
	input: changeInput,
	run: async (ctx, { customerId, version, details }): Promise<{ actId: number | null; changes: number }> => {
		const { tx } = ctx;
		const owner = await customerAt(tx, customerId, version);
		const before = await detailsOf(tx, owner);
		const renamed = before.name !== details.name;
		const otherNames = [...(renamed ? [before.name] : []), ...details.otherNames];
		const after: CustomerDetails = {
			...details,
			otherNames: [...new Set(otherNames)].filter((name) => name !== details.name)
		};
		const changes = customerChanges(before, after);
		if (changes.length === 0) return ctx.unchanged({ actId: null, changes: 0 });
		const parentId = await parentOf(tx, owner, after.parentCode);
		const actId = await ctx.record({
			summary: {
				customer: before.name,
				code: owner.code,
				currency: owner.currency,
				changes: changes.map(shortened)
			},
			facts: { changes },
			customerId: owner.id
		});
		await writeDetails(tx, owner, after, parentId);
		return { actId, changes: changes.length };
	}
});

/** The account that another is a branch of: there, and none of its own branches. */
async function parentOf(tx: Tx, owner: CustomerRecord, code: string | null): Promise<number | null> {
	if (code === null) return null;
	const parent = await parentAt(tx, code);
	const seen = new Set([owner.id]);
	for (let at: { readonly id: number; readonly parentId: number | null } | undefined = parent; at;) {
		if (seen.has(at.id)) throw parentFault(`${code} is this account, or a branch of it.`);
		seen.add(at.id);
		at = at.parentId === null ? undefined : await above(tx, at.parentId);
	}
	return parent.id;
}

async function above(tx: Tx, id: number) {
	const found = await tx
		.select({ id: customer.id, parentId: customer.parentId })
		.from(customer)
		.where(eq(customer.id, id))
		.all();
	return found[0];
}

/** What the record's sentence needs of a change; all of it is in the facts. */
function shortened({ field, before, after }: CustomerChange): CustomerChange {
	return { field, before: cut(before), after: cut(after) };
}

const MOST = 80;
const MOST_CONTACTS = 3;
const MOST_PARTS = 6;
function cut(value: CustomerChange['before']): CustomerChange['before'] {
	if (isContacts(value)) return value.length > MOST_CONTACTS ? value.slice(0, MOST_CONTACTS) : value;
	if (isParts(value)) return value.length > MOST_PARTS ? value.slice(0, MOST_PARTS) : value;
	if (Array.isArray(value)) return cut(value.join(', '));
	return typeof value === 'string' && value.length > MOST ? `${value.slice(0, MOST)} …` : value;
}

function isContacts(value: CustomerChange['before']): value is readonly Contact[] {
	return isObjects(value) && !('days' in value[0]!);
}

function isParts(value: CustomerChange['before']): value is readonly TermsPart[] {
	return isObjects(value) && 'days' in value[0]!;
}

function isObjects(value: CustomerChange['before']): value is readonly Contact[] | readonly TermsPart[] {
	return Array.isArray(value) && typeof value[0] === 'object';
}

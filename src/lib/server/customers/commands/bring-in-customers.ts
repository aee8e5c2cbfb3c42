import { inArray } from 'drizzle-orm';
import { customerChanges } from '../../../core/1-open-items/customer-changes';
import { detailsOfRow } from '../../../core/1-open-items/details-of-row';
import { NO_DETAILS, type CustomerDetails } from '../../../core/model/customer-details';
import { customerChangeWords } from '../../../words';
import { detailsOfAll, type CustomerRecord } from '../store/customer-details';
import { accountsNow } from '../store/merged-accounts';
import { changeCustomer } from './change-customer';
import type { CustomerRow } from '../../../core/1-open-items/read-customers';
import { ibanFits } from '../../../core/text/iban-fits';
import { isEmailAddress } from '../../../core/text/email-address';
import type { Problem } from '../../../core/problems';
import { chunks } from '../../platform/db/chunks';
import type { Reader } from '../../platform/db/open';
import { customer } from '../../platform/db/schema';
import { DomainError } from '../../act/domain-error';
import {
	differsProblem,
	refusalsOf,
	type BroughtIn,
	type Fate,
	type PreviewRow
} from '../../act/preview-rows';
import { addCustomers, type NewCustomer } from './add-customers';
import { defineAct, madeHere } from '../../act/define-act';

/** What would become of each row: added, changed where somebody agrees to it, skipped, or refused because its currency is another. */
export async function previewCustomers(db: Reader, rows: readonly CustomerRow[]): Promise<PreviewRow[]> {
	return (await lookedAt(db, rows)).shown;
}

/** Whether a discount is given without its days, or days without a discount. */
const isHalfDiscount = (one: Pick<CustomerDetails, 'discountBasisPoints' | 'discountDays'>) =>
	(one.discountBasisPoints === null) !== (one.discountDays === null);

/** What a row would change of a customer who is there. */
interface Changing {
	readonly owner: CustomerRecord;
	readonly after: CustomerDetails;
}

async function lookedAt(
	db: Reader,
	rows: readonly CustomerRow[]
): Promise<{ readonly shown: PreviewRow[]; readonly changing: ReadonlyMap<string, Changing> }> {
	const known = new Map<string, CustomerRecord>();
	for (const part of chunks(rows.map((row) => row.code)))
		for (const row of await db.select().from(customer).where(inArray(customer.code, part)))
			known.set(row.code, row);
	const seenAs = await accountsNow(
		db,
		[...known.values()].map(({ id }) => id)
	);
	const details = await detailsOfAll(db, [...known.values()]);
	const changing = new Map<string, Changing>();
	const parents = new Set([...known.keys(), ...rows.map((row) => row.code)]);
	const missing = rows.filter((row) => row.parentCode !== null && !parents.has(row.parentCode));
	for (const part of chunks(missing.map((row) => row.parentCode!)))
		for (const row of await db
			.select({ code: customer.code })
			.from(customer)
			.where(inArray(customer.code, part)))
			parents.add(row.code);
	const shown = rows.map((row): PreviewRow => {
		const owner = known.get(row.code);
		const other = owner && owner.currency !== row.currency;
		const before = owner && details.get(owner.id)!;
		const after = before && detailsOfRow(before, row);
		const changes = before && after ? customerChanges(before, after) : [];
		if (owner && after && changes.length > 0 && !other) changing.set(row.code, { owner, after });
		const fate: Fate = !owner ? 'new' : changes.length > 0 ? 'changes' : 'same';
		const why = changes.map((one) => customerChangeWords(one, row.currency)).join('; ');
		const into = owner?.mergedIntoId ? seenAs.get(owner.id) : undefined;
		const refused = into
			? { ...{ code: 'account-merged' as const, customer: row.code, into: into.code }, line: row.line }
			: other
				? differsProblem('customer', row.code, `the books keep it in ${owner.currency}`, row.line)
				: faultOf(row, after, parents);
		const odd = row.payerAccounts.filter((account) => ibanFits(account) === false);
		const look = odd.length
			? `the check digits of ${odd.join(', ')} do not fit: a digit may be wrong`
			: undefined;
		return { line: row.line, label: row.code, text: row.name, fate, why, look, refused };
	});
	return { shown, changing };
}

/** What of a row can be nobody's details; nothing where all of it can be taken. */
function faultOf(
	row: CustomerRow,
	after: CustomerDetails | undefined,
	parents: ReadonlySet<string>
): Problem | undefined {
	const { line, email, reminderEmail, parentCode } = row;
	if (parentCode !== null && !parents.has(parentCode))
		return { code: 'code-unknown', what: 'customer', text: parentCode, line };
	if (email !== null && !isEmailAddress(email))
		return { code: 'csv-field', field: 'email', text: email, why: 'it is no e-mail address', line };
	if (reminderEmail !== null && !isEmailAddress(reminderEmail))
		return {
			code: 'csv-field',
			field: 'reminder_email',
			text: reminderEmail,
			why: 'it is no e-mail address',
			line
		};
	if (isHalfDiscount(after ?? row))
		return {
			...{ code: 'csv-field', field: 'discount_percent', line, text: row.name },
			why: 'a discount needs both: how much, and within how many days'
		};
	return undefined;
}

/** Customers of a table, and whether what it says otherwise of those who are there is taken. */
export interface CustomersGiven {
	readonly rows: readonly CustomerRow[];
	readonly takeChanges: boolean;
}

/**
 * Adds the customers of a table that are not in the books yet, and changes those that are where somebody agreed to it, each on its own in
 * the record. One in another currency stops all of it.
 */
export const bringInCustomers = defineAct({
	kind: 'bring-in-customers',
	role: 'clerk',
	input: madeHere<CustomersGiven>(),
	run: async (ctx, { rows, takeChanges }): Promise<BroughtIn> => {
		const { tx } = ctx;
		const { shown, changing } = await lookedAt(tx, rows);
		const refusals = refusalsOf(shown);
		if (refusals.length > 0) throw new DomainError(...refusals);
		const fresh = rows.filter((_, i) => shown[i]!.fate === 'new');
		const changed = takeChanges ? changing.size : 0;
		const skipped = rows.length - fresh.length - changed;
		const brought = { added: fresh.length, ...(changed > 0 ? { changed } : {}), skipped };
		if (fresh.length + changed === 0) return ctx.unchanged(brought);
		await ctx.record({ summary: brought });
		if (fresh.length > 0) await ctx.run(addCustomers, parentsFirst(fresh).map(asNew));
		if (takeChanges)
			for (const { owner, after } of changing.values())
				await ctx.run(changeCustomer, {
					...{ customerId: owner.id, version: owner.version },
					details: asInput(after)
				});
		return brought;
	}
});

/** Details as the act is given them. */
function asInput(details: CustomerDetails) {
	const { otherNames, address, statementAddress, tags, contacts, payerAccounts, termsParts, ...plain } =
		details;
	return {
		...plain,
		...{ otherNames: [...otherNames], address: [...address], statementAddress: [...statementAddress] },
		termsParts: [...termsParts],
		...{ tags: [...tags], contacts: [...contacts], payerAccounts: [...payerAccounts] },
		statementFiles: [...details.statementFiles]
	};
}

/** Parents before their branches, else in the order of the table. */
function parentsFirst(rows: readonly CustomerRow[]): CustomerRow[] {
	const byCode = new Map(rows.map((row) => [row.code, row]));
	const done = new Set<string>();
	const out: CustomerRow[] = [];
	const add = (row: CustomerRow, above: ReadonlySet<string>) => {
		if (done.has(row.code) || above.has(row.code)) return;
		const parent = row.parentCode === null ? undefined : byCode.get(row.parentCode);
		if (parent) add(parent, new Set([...above, row.code]));
		done.add(row.code);
		out.push(row);
	};
	for (const row of rows) add(row, new Set());
	return out;
}

function asNew(row: CustomerRow): NewCustomer {
	const { code, name, currency } = row;
	return { ...detailsOfRow({ ...NO_DETAILS, name }, row), code, currency };
}

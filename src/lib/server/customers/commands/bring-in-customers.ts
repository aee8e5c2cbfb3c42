import { inArray } from 'drizzle-orm';
import type { CustomerRow } from '../../../core/1-open-items/read-customers';
import { ibanFits } from '../../../core/text/iban-fits';
import { isEmailAddress } from '../../../core/text/email-address';
import type { Problem } from '../../../core/problems';
import { chunks } from '../../platform/db/chunks';
import type { Reader } from '../../platform/db/open';
import { customer } from '../../platform/db/schema';
import { DomainError } from '../../act/domain-error';
import { addCustomers, type NewCustomer } from './add-customers';
import { defineAct, madeHere } from '../../act/define-act';

export interface BroughtIn {
	readonly added: number;
	readonly skipped: number;
}

export type Fate = 'new' | 'same' | 'differs';

export interface Preview {
	readonly rows: readonly {
		/** The file that it came in, where each has its own. */
		readonly file?: string | undefined;
		readonly line: number;
		readonly label: string;
		readonly text: string;
		readonly fate: Fate;
		/** What differs from what is in the books, in words. */
		readonly why: string;
		/** What somebody should look at before it is brought in, in words; it stops nothing. */
		readonly look?: string | undefined;
	}[];
	readonly problems: readonly Problem[];
}

/** What would become of each row: added, skipped because it is there already, or refused because it differs. */
export async function previewCustomers(db: Reader, rows: readonly CustomerRow[]): Promise<Preview> {
	const known = new Map<string, { name: string; currency: string }>();
	for (const part of chunks(rows.map((row) => row.code)))
		for (const row of await db
			.select({ code: customer.code, name: customer.name, currency: customer.currency })
			.from(customer)
			.where(inArray(customer.code, part)))
			known.set(row.code, row);
	const parents = new Set([...known.keys(), ...rows.map((row) => row.code)]);
	const problems: Problem[] = [];
	const missing = rows.filter((row) => row.parentCode !== null && !parents.has(row.parentCode));
	for (const part of chunks(missing.map((row) => row.parentCode!)))
		for (const row of await db
			.select({ code: customer.code })
			.from(customer)
			.where(inArray(customer.code, part)))
			parents.add(row.code);
	for (const row of missing)
		if (!parents.has(row.parentCode!))
			problems.push({ code: 'code-unknown', what: 'customer', text: row.parentCode!, line: row.line });
	for (const { email, line } of rows)
		if (email !== null && !isEmailAddress(email))
			problems.push({ code: 'csv-field', field: 'email', text: email, why: 'it is no e-mail address', line });
	return {
		problems,
		rows: rows.map((row) => {
			const before = known.get(row.code);
			const why = !before
				? ''
				: before.name !== row.name
					? `the books call it ${before.name}`
					: before.currency !== row.currency
						? `the books keep it in ${before.currency}`
						: '';
			const fate: Fate = !before ? 'new' : why ? 'differs' : 'same';
			const odd = row.payerAccounts.filter((account) => ibanFits(account) === false);
			const look = odd.length
				? `the check digits of ${odd.join(', ')} do not fit: a digit may be wrong`
				: undefined;
			return { line: row.line, label: row.code, text: row.name, fate, why, look };
		})
	};
}

/** Adds the customers of a table that are not in the books yet; one that differs stops all of it. */
export const bringInCustomers = defineAct({
	kind: 'bring-in-customers',
	role: 'clerk',
	input: madeHere<readonly CustomerRow[]>(),
	run: async (ctx, rows): Promise<BroughtIn> => {
		const { tx } = ctx;
		const preview = await previewCustomers(tx, rows);
		const problems: Problem[] = [...preview.problems];
		for (const row of preview.rows)
			if (row.fate === 'differs')
				problems.push({ code: 'differs', what: `customer ${row.label}`, why: row.why, line: row.line });
		if (problems.length > 0) throw new DomainError(...problems.slice(0, 50));
		const fresh = rows.filter((_, i) => preview.rows[i]!.fate === 'new');
		const brought = { added: fresh.length, skipped: rows.length - fresh.length };
		if (fresh.length === 0) return ctx.unchanged(brought);
		await ctx.record({ summary: brought });
		await ctx.run(addCustomers, parentsFirst(fresh).map(asNew));
		return brought;
	}
});

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
	const { code, name, otherNames, payerAccounts, currency, termsDays } = row;
	const { discountBasisPoints, discountDays, parentCode, email, address, phone } = row;
	return {
		...{ code, name, otherNames, payerAccounts, currency, termsDays, discountBasisPoints, discountDays },
		parentCode,
		address: [...address],
		creditLimit: null,
		statementEmail: email,
		reminderEmail: null,
		phone,
		notes: '',
		chasingPaused: null
	};
}

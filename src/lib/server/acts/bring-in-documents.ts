import { inArray } from 'drizzle-orm';
import type { DocumentRow } from '../../core/1-open-items/read-documents';
import { addDays } from '../../core/day/arithmetic';
import { minor, ZERO } from '../../core/money/minor';
import { toDecimal } from '../../core/money/to-decimal';
import type { Problem } from '../../core/problems';
import { chunks } from '../db/chunks';
import type { Reader } from '../db/open';
import { customer, document } from '../db/schema';
import { Refusal } from '../refusal';
import type { BroughtIn, Fate, Preview } from './bring-in-customers';
import { issueDocuments, type NewDocument } from './issue-documents';
import { defineAct } from './perform';

type Owner = Pick<typeof customer.$inferSelect, 'id' | 'code' | 'discountBasisPoints' | 'discountDays'>;

/** What would become of each document of a table: added, skipped because it is there already, or refused because it differs. */
export async function previewDocuments(db: Reader, rows: readonly DocumentRow[]): Promise<Preview> {
	const owners = await ownersOf(db, rows);
	const known = new Map<string, { total: number; customerId: number }>();
	for (const part of chunks(rows.map((row) => row.number)))
		for (const row of await db
			.select({
				kind: document.kind,
				number: document.number,
				total: document.total,
				customerId: document.customerId
			})
			.from(document)
			.where(inArray(document.number, part)))
			known.set(`${row.kind} ${row.number}`, row);
	const problems: Problem[] = [];
	return {
		problems,
		rows: rows.map((row) => {
			const owner = owners.get(row.customerCode);
			if (!owner)
				problems.push({
					code: 'code-unknown',
					what: 'customer',
					text: row.customerCode,
					line: row.line
				});
			const before = known.get(`${row.kind} ${row.number}`);
			const why = !before
				? ''
				: before.total !== row.total
					? `the books have it with ${toDecimal(minor(before.total), row.currency)}`
					: before.customerId !== owner?.id
						? 'the books have it for another customer'
						: '';
			const fate: Fate = !before ? 'new' : why ? 'differs' : 'same';
			const text = `${row.customerCode}, ${toDecimal(row.open, row.currency)} ${row.currency} open, due ${row.due}`;
			return { line: row.line, label: row.number, text, fate, why };
		})
	};
}

/**
 * Adds the documents of a table that are not in the books yet; one that differs, or has no customer, stops all of it. What was
 * settled before they came here is booked against opening balances.
 */
export const bringInDocuments = defineAct({
	kind: 'issue-document',
	needs: 'clerk',
	run: async (tx, rows: readonly DocumentRow[], at): Promise<BroughtIn> => {
		const preview = await previewDocuments(tx, rows);
		const problems: Problem[] = [...preview.problems];
		for (const row of preview.rows)
			if (row.fate === 'differs')
				problems.push({ code: 'differs', what: `document ${row.label}`, why: row.why, line: row.line });
		if (problems.length > 0) throw new Refusal(...problems.slice(0, 50));
		const owners = await ownersOf(tx, rows);
		const fresh = rows.filter((_, i) => preview.rows[i]!.fate === 'new');
		await issueDocuments.run(
			tx,
			fresh.map((row) => asNew(row, owners.get(row.customerCode)!)),
			at
		);
		return { added: fresh.length, skipped: rows.length - fresh.length };
	}
});

async function ownersOf(db: Reader, rows: readonly DocumentRow[]): Promise<ReadonlyMap<string, Owner>> {
	const owners = new Map<string, Owner>();
	for (const part of chunks([...new Set(rows.map((row) => row.customerCode))]))
		for (const row of await db
			.select({
				id: customer.id,
				code: customer.code,
				discountBasisPoints: customer.discountBasisPoints,
				discountDays: customer.discountDays
			})
			.from(customer)
			.where(inArray(customer.code, part)))
			owners.set(row.code, row);
	return owners;
}

function asNew(row: DocumentRow, owner: Owner): NewDocument {
	const { kind, number, issued, currency, purchaseOrder, paymentReference, text, instalments } = row;
	const discounted = kind === 'invoice' && owner.discountBasisPoints && owner.discountDays !== null;
	return {
		...{ kind, number, issued, currency, purchaseOrder, paymentReference, text, instalments },
		customerId: owner.id,
		lines: [{ text: text || number, net: row.total, taxBasisPoints: 0, tax: ZERO }],
		orderReference: null,
		discountBasisPoints: discounted ? owner.discountBasisPoints : null,
		discountUntil: discounted ? addDays(issued, owner.discountDays!) : null,
		settledBefore: minor(row.total - row.open)
	};
}

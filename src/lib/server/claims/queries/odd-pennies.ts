import { ZERO } from '../../../core/money/minor';
import { and, asc, eq, ne } from 'drizzle-orm';
import { claim, customer, document, item, itemState } from '../../platform/db/schema';
import { defineLook } from '../../act/define-look';
import { lookAtDeductions } from './deduction-analysis';

/** Claims that wait for a decision, the next deadline first, and what was lost to odd pennies in a year, by kind. */
export const lookAtOddPennies = defineLook('reader', async (db, _: null, viewer) => {
	const claims = await db
		.select({
			itemId: item.id,
			version: itemState.version,
			number: document.number,
			customer: customer.name,
			code: customer.code,
			text: document.text,
			fromItemId: claim.fromItemId,
			reason: claim.reason,
			note: claim.note,
			owner: claim.owner,
			deadline: claim.deadline,
			issued: document.issued,
			open: itemState.open,
			currency: document.currency
		})
		.from(claim)
		.innerJoin(document, eq(document.id, claim.documentId))
		.innerJoin(item, eq(item.documentId, document.id))
		.innerJoin(itemState, eq(itemState.itemId, item.id))
		.innerJoin(customer, eq(customer.id, document.customerId))
		.where(and(eq(claim.state, 'open'), ne(itemState.open, ZERO)))
		.orderBy(asc(claim.deadline), asc(document.id));
	// The same rows as on the page of what was lost, so that both say one figure.
	const { rows, base } = await lookAtDeductions(db, null, viewer);
	const sums = new Map<string, { kind: string; n: number; base: number }>();
	for (const row of rows) {
		const sum = sums.get(row.kind) ?? { kind: row.kind, n: 0, base: 0 };
		sum.n += row.n;
		sum.base += row.base;
		sums.set(row.kind, sum);
	}
	const lost = [...sums.values()].sort((one, other) => other.base - one.base);
	return { claims, lost, base };
});

import { and, asc, eq, gte, isNull, ne, sql } from 'drizzle-orm';
import { addDays } from '../../core/day/arithmetic';
import { claim, customer, difference, document, item, itemState } from '../db/schema';
import { readSetting } from '../repo/settings';
import { defineLook } from './define-look';

const YEAR = 365;

/** Claims that wait for a decision, the next deadline first, and what was lost to odd pennies in a year, by kind. */
export const lookAtOddPennies = defineLook('reader', async (db, _: null, { today }) => {
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
		.where(and(eq(claim.state, 'open'), ne(itemState.open, 0)))
		.orderBy(asc(claim.deadline), asc(document.id));
	const lost = await db
		.select({
			kind: difference.kind,
			n: sql<number>`count(*)`,
			base: sql<number>`sum(${difference.base})`
		})
		.from(difference)
		.where(
			and(
				gte(difference.date, addDays(today, -YEAR)),
				isNull(difference.undoesId),
				ne(difference.kind, 'claim'),
				ne(difference.kind, 'settled_before'),
				sql`not exists (select 1 from difference u where u.undoes_id = ${difference.id})`
			)
		)
		.groupBy(difference.kind)
		.orderBy(sql`3 desc`);
	const firm = await readSetting(db, 'firm');
	return { claims, lost, base: firm?.baseCurrency ?? 'GBP' };
});

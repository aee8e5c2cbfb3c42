import { desc, eq, sql } from 'drizzle-orm';
import type { LetterKind } from '../../../core/7-letters/letter';
import type { Day } from '../../../core/day/day';
import { isOpen } from '../../documents/store/is-open';
import { defineLook } from '../../act/define-look';
import type { Reader } from '../../platform/db/open';
import { customer, document, interestCharge, item, itemState } from '../../platform/db/schema';
import { returnedPayments } from '../../returns/store/returned-payments';

/** Whom a letter is tried on, and what it is about there. */
export interface SampleCustomer {
	readonly id: number;
	readonly name: string;
	readonly currency: string;
	/** Items, by their ids, where it is about some. */
	readonly items?: readonly number[];
	/** A returned payment, where it is the notice of one. */
	readonly returnedId?: number;
}

/**
 * What a wording can be tried on. For a statement the customer who owes most, for a reminder most that is late; for what is about something
 * that happened, the last of those. Null where there is none.
 */
export const someCustomer = defineLook(
	'reader',
	async (db, kind: LetterKind, { today }): Promise<SampleCustomer | null> => {
		switch (kind) {
			case 'statement':
			case 'reminder':
				return whoOwesMost(db, kind === 'reminder' ? today : null);
			case 'returned':
				return lastReturned(db);
			case 'thanks':
				return lastItem(db, sql`${itemState.open} = 0 and ${document.kind} = 'invoice'`);
			case 'copies':
				return lastItem(db, sql`${document.kind} = 'invoice'`);
			case 'interest':
				return lastCharged(db);
			default:
				return kind satisfies never;
		}
	}
);

/** @param lateOn a day by which it is to be due; null for all that is owed */
async function whoOwesMost(db: Reader, lateOn: Day | null): Promise<SampleCustomer | null> {
	const late = lateOn === null ? sql`1` : sql`${itemState.due} < ${lateOn}`;
	const owed = sql<number>`sum(case when ${itemState.kind} in ('invoice', 'charge') and ${late} then ${itemState.open} else 0 end)`;
	const rows = await db
		.select({ id: customer.id, name: customer.name, currency: itemState.currency, owed })
		.from(itemState)
		.innerJoin(customer, eq(customer.id, itemState.customerId))
		.where(isOpen)
		.groupBy(itemState.customerId, itemState.currency)
		.orderBy(desc(owed))
		.limit(1)
		.all();
	return rows[0] && rows[0].owed > 0 ? rows[0] : null;
}

async function lastReturned(db: Reader): Promise<SampleCustomer | null> {
	const waiting = (await returnedPayments(db)).find((one) => one.letterId === null);
	if (!waiting) return null;
	const { customerId: id, customer: name, currency, id: returnedId } = waiting;
	return { id, name, currency, returnedId };
}

async function lastItem(db: Reader, which: ReturnType<typeof sql>): Promise<SampleCustomer | null> {
	const [row] = await db
		.select({ id: customer.id, name: customer.name, currency: itemState.currency, item: itemState.itemId })
		.from(itemState)
		.innerJoin(item, eq(item.id, itemState.itemId))
		.innerJoin(document, eq(document.id, item.documentId))
		.innerJoin(customer, eq(customer.id, itemState.customerId))
		.where(which)
		.orderBy(desc(itemState.itemId))
		.limit(1)
		.all();
	return row ? { id: row.id, name: row.name, currency: row.currency, items: [row.item] } : null;
}

/** The last charge of interest. */
async function lastCharged(db: Reader): Promise<SampleCustomer | null> {
	const [charged] = await db
		.select({ documentId: interestCharge.documentId })
		.from(interestCharge)
		.orderBy(desc(interestCharge.id))
		.limit(1)
		.all();
	return charged ? lastItem(db, sql`${document.id} = ${charged.documentId}`) : null;
}

import { desc, eq, sql } from 'drizzle-orm';
import type { LetterKind } from '../../../core/7-letters/letter';
import { isOpen } from '../../documents/store/is-open';
import { defineLook } from '../../act/define-look';
import { customer, itemState } from '../../platform/db/schema';

/** Whom a letter is tried on. */
export interface SampleCustomer {
	readonly id: number;
	readonly name: string;
	readonly currency: string;
}

/** A customer on whom a wording can be tried: the one who owes most, and for a reminder, most that is late. Null where nobody owes anything. */
export const someCustomer = defineLook(
	'reader',
	async (db, kind: LetterKind, { today }): Promise<SampleCustomer | null> => {
		const late = kind === 'statement' ? sql`1` : sql`${itemState.due} < ${today}`;
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
);

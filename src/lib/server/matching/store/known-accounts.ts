import { sql } from 'drizzle-orm';
import { groupBy } from '../../../core/group-by';
import type { CreditOnAccount, Habits } from '../../../core/3-matching';
import type { Customer, OpenItem } from '../../../core/model/records';
import { openItemsOf } from '../../documents/store/open-items';
import type { Reader } from '../../platform/db/open';
import { customersById } from './customers-by-id';
import { habitsOf } from './lessons';

/** What matching knows of one customer. */
export interface KnownAccount {
	readonly customer: Customer;
	/** Those that it may pay for. */
	readonly children: readonly number[];
	readonly items: readonly OpenItem[];
	/** Earlier money that lies on account; a deposit is kept for its order. */
	readonly credits: readonly CreditOnAccount[];
	readonly habits: Habits | null;
}

/** Reads accounts, by the ids of their customers. */
export async function knownAccounts(db: Reader, ids: readonly number[]): Promise<Map<number, KnownAccount>> {
	if (ids.length === 0) return new Map();
	const list = JSON.stringify(ids);
	const customers = await customersById(db, ids);
	const children = await db.all<{ id: number; parentId: number }>(sql`
		select id, parent_id as parentId from customer where parent_id in (select value from json_each(${list})) order by id`);
	// Claims wait for a decision; money is proposed for them by nobody.
	const items = (await openItemsOf(db, ids)).filter((item) => item.kind !== 'claim');
	const credits = await db.all<CreditOnAccount>(sql`
		select s.receipt_id as receiptId, s.customer_id as customerId, r.currency as currency, r.booked as booked,
			s.on_account as amount
		from receipt_state s join receipt r on r.id = s.receipt_id
		where s.customer_id in (select value from json_each(${list})) and s.on_account > 0
			and s.state = 'allocated' and s.deposit_for is null`);
	const habits = await habitsOf(db, ids);
	const childrenOf = groupBy(children, (one) => one.parentId);
	const itemsOf = groupBy(items, (one) => one.customerId);
	const creditsOf = groupBy(credits, (one) => one.customerId);
	return new Map(
		customers.map((customer) => [
			customer.id,
			{
				customer,
				children: (childrenOf.get(customer.id) ?? []).map((one) => one.id),
				items: itemsOf.get(customer.id) ?? [],
				credits: creditsOf.get(customer.id) ?? [],
				habits: habits.get(customer.id) ?? null
			}
		])
	);
}

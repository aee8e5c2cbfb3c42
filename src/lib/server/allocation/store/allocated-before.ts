import { sql } from 'drizzle-orm';
import { addDays } from '../../../core/day/arithmetic';
import type { AllocatedBefore } from '../../../core/3-matching';
import type { ReceiptFacts } from '../../../core/model/records';
import { STANDING_PAST } from '../../matching/store/standing-past';
import type { Reader } from '../../platform/db/open';

/** Days to look back. */
const BACK = 60;

/** A receipt, and the customers who may have paid just as much before. */
export interface MayBeTwice {
	readonly receipt: Pick<ReceiptFacts, 'id' | 'amount' | 'currency' | 'booked'>;
	readonly customerIds: Iterable<number>;
}

/**
 * Payments of just the same sum that were allocated to these customers not long before, here or in the books of before, by the receipt
 * that they may be once more.
 */
export async function allocatedBefore(
	db: Reader,
	asked: readonly MayBeTwice[]
): Promise<Map<number, AllocatedBefore[]>> {
	const pairs = asked.flatMap(({ receipt: { id, amount, currency, booked }, customerIds }) =>
		[...customerIds].map((customer) => [id, customer, amount, currency, addDays(booked, -BACK), booked])
	);
	const list = JSON.stringify(pairs);
	const rows = await db.all<Omit<AllocatedBefore, 'numbers'> & { receiptId: number; numbers: string }>(sql`
		select p.value ->> 0 as receiptId, s.customer_id as customerId, r.booked as booked, r.amount as amount, r.currency as currency,
			(select json_group_array(distinct d.number) from allocation a join item i on i.id = a.item_id
				join document d on d.id = i.document_id where a.act_id = s.act_id) as numbers
		from json_each(${list}) p
			join receipt_state s on s.customer_id = p.value ->> 1 and s.state = 'allocated'
				and s.booked between p.value ->> 4 and p.value ->> 5
			join receipt r on r.id = s.receipt_id and r.amount = p.value ->> 2 and r.currency = p.value ->> 3
		union all
		select q.value ->> 0, p.customer_id, p.paid_on, p.amount, p.currency,
			(select json_group_array(n.number) from past_number n where n.past_payment_id = p.id)
		from json_each(${list}) q
			join past_payment p on p.customer_id = q.value ->> 1 and p.amount = q.value ->> 2 and p.currency = q.value ->> 3
				and p.paid_on between q.value ->> 4 and q.value ->> 5
		where ${STANDING_PAST}
		order by 3, 1`);
	const found = new Map<number, AllocatedBefore[]>();
	for (const { receiptId, numbers, ...row } of rows) {
		const one = { ...row, numbers: JSON.parse(numbers) as string[] };
		const list = found.get(receiptId);
		if (list) list.push(one);
		else found.set(receiptId, [one]);
	}
	return found;
}

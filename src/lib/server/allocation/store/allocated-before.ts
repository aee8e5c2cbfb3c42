import { sql } from 'drizzle-orm';
import { addDays } from '../../../core/day/arithmetic';
import type { AllocatedBefore } from '../../../core/3-matching';
import type { ReceiptFacts } from '../../../core/model/records';
import type { Reader } from '../../platform/db/open';

/** Days to look back. */
const BACK = 60;

/** Payments of these customers that were allocated not long before and are just as much as one in the pile. */
export async function allocatedBefore(
	db: Reader,
	receipts: readonly ReceiptFacts[],
	customerIds: readonly number[]
): Promise<AllocatedBefore[]> {
	const [first] = receipts.map((one) => one.booked).sort();
	if (!first) return [];
	const amounts = [...new Set(receipts.map((one) => one.amount))];
	const rows = await db.all<Omit<AllocatedBefore, 'numbers'> & { numbers: string }>(sql`
		select s.customer_id as customerId, r.booked as booked, r.amount as amount, r.currency as currency,
			(select json_group_array(distinct d.number) from allocation a join item i on i.id = a.item_id
				join document d on d.id = i.document_id where a.act_id = s.act_id) as numbers
		from receipt_state s join receipt r on r.id = s.receipt_id
		where s.customer_id in (select value from json_each(${JSON.stringify(customerIds)}))
			and s.state = 'allocated' and s.booked >= ${addDays(first, -BACK)}
			and r.amount in (select value from json_each(${JSON.stringify(amounts)}))`);
	return rows.map((row) => ({ ...row, numbers: JSON.parse(row.numbers) as string[] }));
}

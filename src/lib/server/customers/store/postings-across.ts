import { sql } from 'drizzle-orm';
import type { Tx } from '../../platform/db/open';
import { namesOf } from '../../act/kinds';

/**
 * How many postings since two accounts were merged lie on items of the one that was merged, or use its money: they were posted to both as
 * one, so that the two cannot be told apart while they stand.
 */
export async function postingsAcross(
	tx: Tx,
	{ mergeId, fromId }: { readonly mergeId: number; readonly fromId: number }
): Promise<number> {
	const items = sql`(select id from item where customer_id = ${fromId})`;
	const receipts = sql`(select receipt_id from act where customer_id = ${fromId} and id < ${mergeId}
		and receipt_id is not null and kind in ${namesOf('allocate-receipt')})`;
	const rows = await tx.all<{ n: number }>(sql`
		select count(distinct act_id) as n from (
			select act_id from standing_allocation where act_id > ${mergeId}
				and (item_id in ${items} or credit_item_id in ${items} or receipt_id in ${receipts})
			union all
			select act_id from standing_difference where act_id > ${mergeId} and item_id in ${items}
			union all
			select act_id from standing_receipt_adjustment where act_id > ${mergeId} and receipt_id in ${receipts}
			union all
			select act_id from standing_returned_payment where act_id > ${mergeId} and receipt_id in ${receipts})`);
	return rows[0]!.n;
}

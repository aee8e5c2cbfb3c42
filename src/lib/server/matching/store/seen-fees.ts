import { sql } from 'drizzle-orm';
import { feePattern, type FeePattern } from '../../../core/money/fee-pattern';
import { minor } from '../../../core/money/minor';
import type { Reader } from '../../platform/db/open';

/** Newest fees that are looked at. */
const FEES_READ = 60;

/**
 * The tariff behind what a payer's bank or processor kept before, learned from what was posted for that name: kept fees with the
 * gross credited, and fees named on items with what the item was settled by. Null where nothing can be learned.
 */
export async function feePatternOf(
	db: Reader,
	by: { readonly payerName: string } | { readonly customerId: number },
	currency: string
): Promise<FeePattern | null> {
	const who = 'payerName' in by ? sql`r.payer_name = ${by.payerName}` : sql`s.customer_id = ${by.customerId}`;
	const rows = await db.all<{ gross: number; fee: number }>(sql`
		select gross, fee from (
			select r.amount + c.amount as gross, c.amount as fee, c.id as n, c.act_id as act_id
			from standing_receipt_adjustment c join receipt r on r.id = c.receipt_id join receipt_state s on s.receipt_id = r.id
			where c.kind in ('processor_fee', 'bank_charge') and r.currency = ${currency} and ${who}
				and s.act_id = c.act_id
			union all
			select (select sum(a.amount) from allocation a where a.act_id = d.act_id and a.item_id = d.item_id) + d.amount,
				d.amount, d.id, d.act_id
			from standing_difference d join receipt r on r.id = d.receipt_id join receipt_state s on s.receipt_id = r.id
			where d.kind in ('processor_fee', 'bank_charge') and r.currency = ${currency} and ${who}
				and s.act_id = d.act_id
		) where gross > fee order by act_id desc, n desc limit ${FEES_READ}`);
	return feePattern(rows.map((row) => ({ gross: minor(row.gross), fee: minor(row.fee) })));
}

import { sql } from 'drizzle-orm';
import type { Reader } from '../../platform/db/open';

/** Money marked to be paid back that is in no file for the bank yet. */
export interface RefundDue {
	readonly id: number;
	readonly date: string;
	readonly receiptId: number;
	readonly code: string;
	readonly customer: string;
	readonly payee: string;
	/** Where the money came from, or null where the bank did not say. */
	readonly account: string | null;
	readonly amount: number;
	readonly currency: string;
	readonly by: string;
}

export async function refundsDue(db: Reader): Promise<RefundDue[]> {
	return db.all<RefundDue>(sql`
		select c.id, c.date, c.receipt_id as receiptId, k.code, k.name as customer,
			coalesce(r.payer_name, k.name) as payee,
			coalesce(r.payer_account, (select p.account from payer_account p where p.customer_id = k.id limit 1)) as account,
			-c.amount as amount, r.currency, a.user_name as "by"
		from standing_receipt_adjustment c join receipt r on r.id = c.receipt_id join customer k on k.id = c.customer_id
		join act a on a.id = c.act_id
		where c.kind = 'refund'
			and not exists (select 1 from refund_in_file f where f.receipt_adjustment_id = c.id)
		order by c.id`);
}

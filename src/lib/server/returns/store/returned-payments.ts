import type { Day } from '../../../core/day/day';
import { sql } from 'drizzle-orm';
import type { Reader } from '../../platform/db/open';

/** A payment that came back and stands so, with what of it the bank's debit entries have not shown yet. */
export interface ReturnedPayment {
	readonly id: number;
	readonly actId: number;
	readonly date: Day;
	readonly receiptId: number;
	readonly customerId: number;
	readonly customer: string;
	readonly code: string;
	readonly payerName: string | null;
	readonly paidOn: Day;
	readonly method: string;
	readonly text: string;
	readonly currency: string;
	readonly amount: number;
	readonly fee: number;
	readonly reason: string;
	readonly note: string;
	readonly chargeId: number | null;
	readonly opened: readonly number[];
	readonly moneyShown: boolean;
	readonly feeShown: boolean;
	readonly letterId: number | null;
	readonly by: string;
	readonly at: string;
}

/** Returned payments that stand, newest first; of one customer or one receipt where asked. */
export async function returnedPayments(
	db: Reader,
	of: { readonly customerIds?: readonly number[]; readonly receiptId?: number; readonly id?: number } = {}
): Promise<ReturnedPayment[]> {
	const rows = await db.all<
		Omit<ReturnedPayment, 'opened' | 'moneyShown' | 'feeShown'> & {
			opened: string;
			moneyShown: number;
			feeShown: number;
		}
	>(sql`
		select p.id, p.act_id as actId, p.date, p.receipt_id as receiptId, p.customer_id as customerId, c.name as customer, c.code,
			r.payer_name as payerName, r.booked as paidOn, r.method, r.text, p.currency, p.amount, p.fee, p.reason, p.note,
			p.charge_id as chargeId, p.opened, n.letter_id as letterId, a.user_name as by, a.at,
			exists (select 1 from standing_bank_return_match m where m.returned_id = p.id and m.part in ('money', 'both')) as moneyShown,
			exists (select 1 from standing_bank_return_match m where m.returned_id = p.id and m.part in ('fee', 'both')) as feeShown
		from standing_returned_payment p join receipt r on r.id = p.receipt_id join customer c on c.id = p.customer_id
		join act a on a.id = p.act_id left join returned_notice n on n.returned_id = p.id
		where ${of.customerIds === undefined ? sql`1` : sql`p.customer_id in (select value from json_each(${JSON.stringify(of.customerIds)}))`}
			and ${of.receiptId === undefined ? sql`1` : sql`p.receipt_id = ${of.receiptId}`}
			and ${of.id === undefined ? sql`1` : sql`p.id = ${of.id}`}
		order by p.id desc`);
	return rows.map((row) => ({
		...row,
		opened: JSON.parse(row.opened) as number[],
		moneyShown: Boolean(row.moneyShown),
		feeShown: Boolean(row.feeShown)
	}));
}

/** For the proof: what of standing returns and their fees no standing match shows, and matches whose return does not stand. */
export async function returnsNotShown(db: Reader): Promise<{ currency: string; amount: number }[]> {
	return db.all<{ currency: string; amount: number }>(sql`
		select p.currency, case when exists (select 1 from standing_returned_payment s where s.id = p.id) then p.amount + p.fee else 0 end
			- coalesce((select sum(t.amount) from bank_return_match t where t.returned_id = p.id), 0) as amount
		from returned_payment p`);
}

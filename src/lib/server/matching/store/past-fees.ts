import { sql } from 'drizzle-orm';
import type { PastFee } from '../../../core/3-matching';
import type { Reader } from '../../platform/db/open';
import { STANDING_PAST } from './standing-past';

/** Newest fees that teach; tariffs change. */
const FEES_READ = 600;

/** What processors kept of earlier payments, newest first, with the gross that it was kept from: whoever pays for others keeps his tariff. */
export async function pastFees(db: Reader): Promise<PastFee[]> {
	return db.all<PastFee>(sql`select payerName, payerAccount, currency, gross, fee from (
		select r.payer_name as payerName, r.payer_account as payerAccount, r.currency as currency,
			(select sum(a.amount) from allocation a where a.act_id = d.act_id and a.item_id = d.item_id) + d.amount as gross,
			d.amount as fee, d.date as date, d.id as id
		from standing_difference d join receipt r on r.id = d.receipt_id
			join receipt_state s on s.receipt_id = r.id and s.act_id = d.act_id
		where d.kind = 'processor_fee'
		union all
		select p.payer_name, p.account, p.currency, p.amount + p.difference_amount, p.difference_amount, p.paid_on, p.id
		from past_payment p where p.difference_kind = 'processor_fee' and ${STANDING_PAST}
		) order by date desc, id desc limit ${FEES_READ}`);
}

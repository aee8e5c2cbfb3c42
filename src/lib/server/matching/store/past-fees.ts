import { sql } from 'drizzle-orm';
import type { PastFee } from '../../../core/3-matching';
import type { Reader } from '../../platform/db/open';

/** Newest fees that teach; tariffs change. */
const FEES_READ = 600;

/** What processors kept of earlier payments, newest first, with the gross that it was kept from: whoever pays for others keeps his tariff. */
export async function pastFees(db: Reader): Promise<PastFee[]> {
	return db.all<PastFee>(sql`
		select r.payer_name as payerName, r.payer_account as payerAccount, r.currency as currency,
			(select sum(a.amount) from allocation a where a.act_id = d.act_id and a.item_id = d.item_id) + d.amount as gross,
			d.amount as fee
		from standing_difference d join receipt r on r.id = d.receipt_id
			join receipt_state s on s.receipt_id = r.id and s.act_id = d.act_id
		where d.kind = 'processor_fee'
		order by d.date desc, d.id desc limit ${FEES_READ}`);
}

import { sql } from 'drizzle-orm';
import type { Db } from '../../platform/db/open';

/** A history of payments that matching learns from. */
export interface HistoryBroughtIn {
	readonly actId: number;
	/** When, as UTC. */
	readonly at: string;
	readonly who: string;
	readonly payments: number;
}

/** The histories that count, the newest first. Payments are counted by their index alone: there may be hundreds of thousands. */
export function histories(db: Db): Promise<HistoryBroughtIn[]> {
	return db.all<HistoryBroughtIn>(sql`
		select a.id as actId, a.at as at, a.user_name as who, p.payments as payments
		from (select act_id, count(*) as payments from past_payment group by act_id) p join act a on a.id = p.act_id
		where not exists (select 1 from forgotten_history h where h.history_act_id = a.id)
		order by a.id desc`);
}

import { sql, type SQL } from 'drizzle-orm';
import { addDays } from '../../../core/day/arithmetic';
import type { Day } from '../../../core/day/day';
import type { Reader } from '../../platform/db/open';

/** What no statement has after so many days is looked for only where somebody asks: each page that counts these reads no more than they. */
export const REPORTED_DAYS = 90;

/**
 * What the bank reported and no statement lists yet; one of several reports of the same payment. Of rows called `r`.
 * @param from the first day; null for all of them
 */
export function waitsForStatement(from: Day | null): SQL {
	// The accounts are named so that the index by account and day is used.
	const since =
		from === null
			? sql``
			: sql`r.bank_account_id in (select id from bank_account) and r.booked >= ${from} and`;
	// With a plus its own index is left alone: nearly all rows have none.
	return sql`${since} +r.same_as_id is null
		and not exists (select 1 from reported_entry_met m where m.reported_id = r.id)`;
}

/** The last day that statements of the account of `r` cover. */
export const COVERED_TO = sql`(select max(s.closing_on) from bank_statement s where s.bank_account_id = r.bank_account_id)`;

/** How many entries the bank reported lately that no statement lists yet, and how many of these statements of later days leave out. */
export async function countReported(
	db: Reader,
	today: Day
): Promise<{ readonly waiting: number; readonly leftOut: number }> {
	return db.get(sql`
		with covered as materialized (
			select bank_account_id as account, max(closing_on) as until from bank_statement group by bank_account_id)
		select count(*) as waiting, coalesce(sum(c.until > r.booked), 0) as "leftOut"
		from reported_entry r left join covered c on c.account = r.bank_account_id
		where ${waitsForStatement(addDays(today, -REPORTED_DAYS))}`);
}

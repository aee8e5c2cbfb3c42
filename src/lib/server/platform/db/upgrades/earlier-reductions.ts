import { sql } from 'drizzle-orm';
import { namesOf } from '../../../act/kinds';
import type { Tx } from '../types';

/**
 * Counts against limits what earlier versions posted and did not count: deductions, fees that were credited, trifles and refunds,
 * credit notes, and money set aside, as far as it stands. Each counts for who did it, on the day on which it was done.
 * What was posted since the first that was counted was counted as it was posted.
 * @returns 0: everything can be told
 */
export async function countEarlierReductions(tx: Tx): Promise<number> {
	const names = (kinds: readonly string[]) =>
		sql.join(
			kinds.map((kind) => sql`${kind}`),
			sql`, `
		);
	await tx.run(sql`
		insert into reduction (act_id, kind, customer_id, base, person_id, role, asked_by_id, day)
		select a.id, took.kind, took.customer_id, sum(took.base), a.user_id, coalesce(u.role, 'clerk'), null,
			case when a.at glob '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]*' then substr(a.at, 1, 10) else a.date end
		from (
			select d.act_id, d.kind, i.customer_id, d.base from standing_difference d join item i on i.id = d.item_id
				where d.kind <> 'settled_before'
					and not (d.kind = 'claim' and exists (select 1 from claim c where c.document_id = i.document_id))
			union all
			select act_id, kind, customer_id, abs(base) from standing_receipt_adjustment where kind <> 'returned'
			union all
			select whole.id, case when whole.kind in (${names(namesOf('decide-claim'))}) then 'claim_allowed'
				else 'credit_' || coalesce(d.credit_note_kind, 'other') end, d.customer_id,
				abs(i.total_base) - coalesce((select abs(sum(b.base)) from difference b where b.item_id = i.id and b.kind = 'settled_before'), 0)
				from document d join item i on i.document_id = d.id join act made on made.id = d.act_id
				join act whole on whole.id = coalesce(made.parent_id, made.id)
				where d.kind = 'credit_note' and whole.kind in (${names(namesOf('issue-by-hand', 'bring-in-documents', 'decide-claim'))})
			union all
			select l.act_id, 'set_aside', null, l.base from journal_line l join act made on made.id = l.act_id
				where made.kind in (${names(namesOf('set-aside'))})
				and l.id = (select min(id) from journal_line first where first.act_id = l.act_id) and l.base > 0
		) took
		join act a on a.id = took.act_id left join user u on u.id = a.user_id
		where not exists (select 1 from act undoing where undoing.undoes_id = a.id)
			and a.id < (select coalesce(min(act_id), ${Number.MAX_SAFE_INTEGER}) from reduction)
		group by a.id, took.kind, took.customer_id having sum(took.base) > 0`);
	return 0;
}

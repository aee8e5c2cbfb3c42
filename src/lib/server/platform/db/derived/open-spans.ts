import { sql, type SQL } from 'drizzle-orm';
import type { Tx } from '../types';

/** What stands in `open_span.to_day` while nothing changed it. */
export const STILL = '9999-12-31';

/**
 * Makes the spans anew of whatever this transaction changed: to be called when its work is done and before it is sealed, while the changes are
 * noted. Every posting writes the state of its items and receipts (`item_state`, `receipt_state`), so that no act can forget it.
 */
export async function refreshOpenSpans(tx: Tx): Promise<void> {
	const { items, receipts, merged } = await tx.get<Record<'items' | 'receipts' | 'merged', number>>(sql`
		select exists (select 1 from unsealed_change where table_name = 'item_state') as items,
			exists (select 1 from unsealed_change where table_name = 'receipt_state') as receipts,
			exists (select 1 from unsealed_change where table_name = 'account_merge') as merged`);
	if (items) await spansOfItems(tx, changed('item_state'));
	// Money that lay on one of the accounts and was moved to another since is seen otherwise, too.
	const ofMerged = sql`select receipt_id from open_span where receipt_id is not null and customer_id in (
		select from_id from account_merge where act_id in (${changed('account_merge')})
		union select into_id from account_merge where act_id in (${changed('account_merge')}))`;
	if (merged) await spansOfReceipts(tx, sql`${changed('receipt_state')} union ${ofMerged}`);
	else if (receipts) await spansOfReceipts(tx, changed('receipt_state'));
}

/** Makes all of them anew, for books that have none. */
export async function fillOpenSpans(tx: Tx): Promise<void> {
	await spansOfItems(tx, sql`select item_id from item_state`);
	await spansOfReceipts(tx, sql`select receipt_id from receipt_state`);
}

const changed = (table: string) =>
	sql`select distinct row_key from unsealed_change where table_name = ${table}`;

/** @param ids a query for the items' ids */
async function spansOfItems(tx: Tx, ids: SQL): Promise<void> {
	await tx.run(sql`delete from open_span where item_id in (${ids})`);
	await tx.run(sql`
		with chosen as (select item_id as id from item_state where item_id in (${ids})),
		moved (id, day, amount, base) as (
			select i.id, coalesce(d.opening_on, d.issued),
				iif(d.kind = 'credit_note', -i.total, i.total), iif(d.kind = 'credit_note', -i.total_base, i.total_base)
			from chosen c join item i on i.id = c.id join document d on d.id = i.document_id
			union all
			select a.item_id, a.date, -a.amount, -a.item_base from chosen c join allocation a on a.item_id = c.id
			union all
			select a.credit_item_id, a.date, a.credit_amount, a.credit_base
			from chosen c join allocation a on a.credit_item_id = c.id
			union all
			select d.item_id, d.date, iif(s.kind = 'credit_note', d.amount, -d.amount), iif(s.kind = 'credit_note', d.base, -d.base)
			from chosen c join difference d on d.item_id = c.id join item_state s on s.item_id = c.id
		), ${RUNNING}
		insert into open_span (item_id, customer_id, currency, kind, issued, due, from_day, to_day, open, base)
		select r.id, s.customer_id, s.currency,
			-- What was paid before it was issued lay on account until then.
			iif(r.day < coalesce(d.opening_on, d.issued), 'on_account', s.kind),
			d.issued, s.due, r.day, r.until, r.open, r.base
		from running r join item_state s on s.item_id = r.id join item i on i.id = r.id join document d on d.id = i.document_id
		where r.open <> 0 or r.base <> 0`);
}

/** @param ids a query for the receipts' ids */
async function spansOfReceipts(tx: Tx, ids: SQL): Promise<void> {
	await tx.run(sql`delete from open_span where receipt_id in (${ids})`);
	// A receipt may have been posted to one account and, once that was taken back, to another: each has spans of its own.
	await tx.run(sql`
		with chosen as (select receipt_id as id from receipt_state where receipt_id in (${ids})),
		posted (receipt, customer_id, day, amount, base) as (
			select l.source_id, l.customer_id, l.date, l.amount, l.base
			from chosen c join journal_line l on l.source_kind = 'receipt' and l.source_id = c.id
			union all
			select j.receipt_id, j.customer_id, j.date, -j.amount, -j.base
			from chosen c join receipt_adjustment j on j.receipt_id = c.id
			union all
			select a.receipt_id, a.credit_customer_id, a.date, a.credit_amount, a.credit_base
			from chosen c join allocation a on a.receipt_id = c.id
		), moved (id, day, amount, base) as (
			select json_array(p.receipt, coalesce(c.merged_into_id, c.id)), p.day, p.amount, p.base
			from posted p join customer c on c.id = p.customer_id
		), ${RUNNING}
		insert into open_span (receipt_id, customer_id, currency, kind, issued, due, from_day, to_day, open, base)
		select r.id ->> 0, r.id ->> 1, t.currency, 'on_account', t.booked, t.booked, r.day, r.until, r.open, r.base
		from running r join receipt t on t.id = r.id ->> 0
		where r.open <> 0 or r.base <> 0`);
}

/** From movements (`moved`) what stood from each day on, until the next. */
const RUNNING = sql.raw(`
	daily as (select id, day, sum(amount) as amount, sum(base) as base from moved group by id, day),
	running as (
		select id, day, lead(day, 1, '${STILL}') over later as until, sum(amount) over later as open, sum(base) over later as base
		from daily window later as (partition by id order by day)
	)`);

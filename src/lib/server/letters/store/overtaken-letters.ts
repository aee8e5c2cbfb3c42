import { accountNow, idsOfAccount } from '../../customers/store/merged-accounts';
import type { Day } from '../../../core/day/day';
import { namesOf } from '../../act/kinds';
import { sql } from 'drizzle-orm';
import type { Reader } from '../../platform/db/open';

/** A letter that told an account of an allocation which was taken off, or moved, after it was sent. */
export interface OvertakenLetter {
	readonly customerId: number;
	readonly currency: string;
	readonly letterId: number;
	readonly kind: 'statement' | 'reminder';
	/** The letter's day. */
	readonly date: Day;
	/** The act that took the allocation off, who did it, and when. */
	readonly undoingId: number;
	readonly by: string;
	readonly at: string;
}

interface Row extends OvertakenLetter {
	readonly letterActId: number;
	readonly receiptId: number | null;
	/** The account that the money was allocated to as a whole. */
	readonly ownerId: number;
}

/**
 * For each account and currency the last statement or reminder that is not so any more, because an allocation that stood when it
 * was sent was taken off since; none once a newer statement was sent, nor where the money lies as it lay then. All accounts,
 * or one.
 */
export async function overtakenLetters(
	db: Reader,
	customerId: number | null
): Promise<readonly OvertakenLetter[]> {
	// What an account that is seen as another was told, that other was told.
	const own =
		customerId === null
			? sql``
			: sql`and customer_id in (select value from json_each(${JSON.stringify(await idsOfAccount(db, customerId))}))`;
	// From what was undone on: there is little of it, and of letters there may be thousands.
	const rows = await db.all<Row>(sql`
		with told as materialized (
			select ${accountNow(sql`customer_id`)} as customer_id, currency,
				max(case when kind = 'statement' then act_id else 0 end) as said
			from letter where kind in ('statement', 'reminder') ${own} group by 1, 2
		), undone as materialized (
			select u.id as u, f.id as f, f.receipt_id, f.customer_id, u.user_name, u.at
			from act u join act f on f.id = u.undoes_id
			where u.undoes_id is not null and u.id > (select min(said) from told)
				and f.kind in ${namesOf('allocate-receipt', 'allocate-credits')}
		), touched as materialized (
			select x.*, ${accountNow(sql`x.customer_id`)} as account, r.currency from undone x join receipt r on r.id = x.receipt_id
			union
			select x.*, ${accountNow(sql`i.customer_id`)} as account, d.currency from undone x
			join allocation a on a.act_id = x.f
			join item i on i.id = a.item_id
			join document d on d.id = i.document_id
		)
		select told.customer_id as customerId, told.currency as currency, l.id as letterId, l.kind as kind,
			l.date as date, l.act_id as letterActId, t.u as undoingId, t.user_name as "by", t.at as at,
			t.receipt_id as receiptId, ${accountNow(sql`t.customer_id`)} as ownerId
		from touched t
		cross join told on told.customer_id = t.account and told.currency = t.currency and t.u > told.said
		cross join letter l on l.customer_id in (
				select told.customer_id union all
				select m.id from customer m where m.merged_into_id = told.customer_id)
			and l.currency = told.currency
			and l.act_id > t.f and l.act_id < t.u and l.kind in ('statement', 'reminder')
		order by l.id desc, t.u desc`);
	const found = new Map<string, OvertakenLetter>();
	for (const { letterActId, receiptId, ownerId, ...row } of rows) {
		const key = `${row.customerId} ${row.currency}`;
		if (found.has(key)) continue;
		if (receiptId !== null && (await liesAsThen(db, receiptId, ownerId, row.customerId, letterActId)))
			continue;
		found.set(key, row);
	}
	return [...found.values()];
}

/** Whether a receipt lies on an account's items, and on its account, as it lay when a letter was sent. */
async function liesAsThen(
	db: Reader,
	receiptId: number,
	ownerId: number,
	customerId: number,
	letterActId: number
): Promise<boolean> {
	const moved = await db.all(sql`
		select a.item_id from allocation a join item i on i.id = a.item_id
		where a.receipt_id = ${receiptId} and ${accountNow(sql`i.customer_id`)} = ${customerId}
		group by a.item_id
		having sum(a.amount) <> sum(case when a.act_id < ${letterActId} then a.amount else 0 end)
		limit 1`);
	if (moved.length) return false;
	const owner = await db.all(sql`
		select 1 from receipt_state where receipt_id = ${receiptId} and state = 'allocated' and customer_id = ${ownerId}`);
	return owner.length > 0;
}

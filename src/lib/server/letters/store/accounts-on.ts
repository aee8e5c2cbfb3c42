import { sql } from 'drizzle-orm';
import { append } from '../../../core/append';
import { groupBy } from '../../../core/group-by';
import type { Credit } from '../../../core/7-letters/write-letter';
import type { Day } from '../../../core/day/day';
import type { OpenItem } from '../../../core/model/records';
import { minor } from '../../../core/money/minor';
import { namesOf } from '../../act/kinds';
import { idsOfAccounts, mergedAccounts } from '../../customers/store/merged-accounts';
import { itemsById } from '../../documents/store/open-items';
import type { Reader } from '../../platform/db/open';

/** What lies on an account, with its currency. */
export interface CreditOn extends Credit {
	readonly currency: string;
}

/** Accounts as they stood at the end of a day, by their ids. */
export interface AccountsOn {
	readonly items: ReadonlyMap<number, readonly OpenItem[]>;
	readonly credits: ReadonlyMap<number, readonly CreditOn[]>;
}

/**
 * What was open and what lay on account at the end of a day, by accounting dates alone: the same sums as the proof makes of the records
 * (`5-journal/proof/ledger-agrees`), so that it comes to the customer's receivables of that day.
 * @param ids of accounts as they are seen now
 */
export async function accountsOn(db: Reader, ids: readonly number[], day: Day): Promise<AccountsOn> {
	const all = JSON.stringify(await idsOfAccounts(db, ids));
	const merged = await mergedAccounts(db);
	const seenAs = (id: number) => merged.get(id) ?? id;
	const open = await db.all<{ id: number; open: number; isIssued: number }>(sql`
		select * from (
			select i.id as id, coalesce(d.opening_on, d.issued) <= ${day} as isIssued,
				case when coalesce(d.opening_on, d.issued) <= ${day} then i.total else 0 end
				- coalesce((select sum(a.amount) from allocation a where a.item_id = i.id and a.date <= ${day}), 0)
				- coalesce((select sum(a.credit_amount) from allocation a where a.credit_item_id = i.id and a.date <= ${day}), 0)
				- coalesce((select sum(d.amount) from difference d where d.item_id = i.id and d.date <= ${day}), 0) as open
			from item i join document d on d.id = i.document_id
			where i.customer_id in (select value from json_each(${all}))
		) where open <> 0`);
	const openOf = new Map(open.map((row) => [row.id, row]));
	const found = (await itemsById(db, [...openOf.keys()])).map((item) => ({
		...item,
		open: minor(openOf.get(item.id)!.open)
	}));
	const items = found.filter((item) => openOf.get(item.id)!.isIssued);
	// What was paid for before it was issued lay on account that day.
	const early = found
		.filter((item) => !openOf.get(item.id)!.isIssued)
		.map((item) => ({
			...{ customerId: item.customerId, currency: item.currency, date: day },
			open: minor(item.kind === 'credit_note' ? item.open : -item.open)
		}));
	const credits = await db.all<{ customerId: number; currency: string; date: Day; open: number }>(sql`
		with own as (select value as id from json_each(${all})), moved as (
			select a.customer_id, a.receipt_id, case when a.kind in ${namesOf('allocate-receipt')} then r.amount else -r.amount end as amount
			from act a join receipt r on r.id = a.receipt_id left join act u on u.id = a.undoes_id
			where a.customer_id in (select id from own) and a.date <= ${day}
				and (a.kind in ${namesOf('allocate-receipt')}
					or (a.kind in ${namesOf('undo-posting')} and u.kind in ${namesOf('allocate-receipt')}))
			union all
			select j.customer_id, j.receipt_id, j.amount from receipt_adjustment j
			where j.customer_id in (select id from own) and j.date <= ${day}
			union all
			select p.credit_customer_id, p.receipt_id, -p.credit_amount from allocation p
			where p.date <= ${day} and p.credit_customer_id in (select id from own)
				and p.receipt_id in (select b.receipt_id from act b where b.customer_id in (select id from own))
		)
		select m.customer_id as customerId, r.currency, r.booked as date, sum(m.amount) as open
		from moved m join receipt r on r.id = m.receipt_id
		group by m.customer_id, m.receipt_id having sum(m.amount) <> 0
		order by r.booked, r.id`);
	return {
		items: groupBy(items, (item) => seenAs(item.customerId)),
		credits: groupBy([...credits.map((row) => ({ ...row, open: minor(row.open) })), ...early], (row) =>
			seenAs(row.customerId)
		)
	};
}

/** What settled part of items by the end of a day, by item, oldest first; what was taken back by then is left out. */
export async function partPayments(
	db: Reader,
	itemIds: readonly number[],
	day: Day
): Promise<ReadonlyMap<number, readonly PartPaid[]>> {
	const ids = JSON.stringify(itemIds);
	const found: (PartPaid & { readonly itemId: number })[] = [];
	const among = sql`(select value from json_each(${ids}))`;
	append(
		found,
		await db.all<PartPaid & { itemId: number }>(sql`
			select a.item_id as itemId, a.date, a.amount, case when a.receipt_id is null then 'credit' else 'payment' end as by
			from allocation a where a.item_id in ${among} and a.date <= ${day} and a.undoes_id is null
				and not exists (select 1 from allocation u where u.undoes_id = a.id and u.date <= ${day})
			union all
			select a.credit_item_id, a.date, a.credit_amount, 'credit' from allocation a
			where a.credit_item_id in ${among} and a.date <= ${day} and a.undoes_id is null
				and not exists (select 1 from allocation u where u.undoes_id = a.id and u.date <= ${day})
			union all
			select d.item_id, d.date, d.amount, 'deduction' from difference d
			where d.item_id in ${among} and d.date <= ${day} and d.undoes_id is null
				and not exists (select 1 from difference u where u.undoes_id = d.id and u.date <= ${day})
			order by 2`)
	);
	return groupBy(found, (row) => row.itemId);
}

interface PartPaid {
	readonly date: Day;
	readonly amount: ReturnType<typeof minor>;
	readonly by: 'payment' | 'credit' | 'deduction';
}

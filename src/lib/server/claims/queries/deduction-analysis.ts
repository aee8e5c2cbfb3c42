import { sql } from 'drizzle-orm';
import { addDays, firstOfMonth } from '../../../core/day/arithmetic';
import type { Day } from '../../../core/day/day';
import { readSetting } from '../../firm/store/settings';
import { defineLook } from '../../act/define-look';

/** What was lost of one kind, for one reason, at one customer, in one month; in base currency. */
export interface LostRow {
	readonly month: string;
	readonly kind: string;
	readonly reason: string | null;
	readonly code: string;
	readonly customer: string;
	readonly n: number;
	readonly base: number;
}

/**
 * What was lost in the last twelve months to discounts, fees, small differences, bad debts and claims that were allowed. Tax
 * kept back is recoverable and not among it; what was taken back is not either.
 */
export const lookAtDeductions = defineLook('reader', async (db, _: null, { today }) => {
	let from: Day = firstOfMonth(today);
	const months: string[] = [from.slice(0, 7)];
	while (months.length < 12) {
		from = firstOfMonth(addDays(from, -1));
		months.unshift(from.slice(0, 7));
	}
	const rows = await db.all<LostRow>(sql`
		with lost as (
			select d.date, d.kind, cl.reason, doc.customer_id, d.base
			from difference d join item i on i.id = d.item_id join document doc on doc.id = i.document_id
			left join claim cl on cl.document_id = doc.id
			where d.kind not in ('claim', 'settled_before', 'withholding_tax') and d.date >= ${from}
			union all
			select c.date, c.kind, null, c.customer_id, c.base from receipt_adjustment c
			where c.kind in ('processor_fee', 'bank_charge') and c.date >= ${from}
			union all
			select a.date, 'allowance', cl.reason, doc.customer_id, a.item_base
			from allocation a join item i on i.id = a.item_id join document doc on doc.id = i.document_id
			join claim cl on cl.document_id = doc.id
			where a.credit_item_id is not null and a.date >= ${from}
		)
		select substr(l.date, 1, 7) as month, l.kind, l.reason, c.code, c.name as customer, count(*) as n, sum(l.base) as base
		from lost l join customer c on c.id = l.customer_id
		group by 1, 2, 3, 4 having sum(l.base) <> 0 order by 1, 2, 3, 4`);
	const firm = await readSetting(db, 'firm');
	return { months, rows, base: firm?.baseCurrency ?? 'GBP' };
});

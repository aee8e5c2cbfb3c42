import { sql } from 'drizzle-orm';
import { groupBy } from '../../../core/group-by';
import {
	THANKS_STEP,
	toThank,
	type SettledItem,
	type ThanksStep
} from '../../../core/7-letters/chasing/to-thank';
import { addDays } from '../../../core/day/arithmetic';
import type { Day } from '../../../core/day/day';
import type { Reader } from '../../platform/db/open';
import { CAME_TO_NOTHING } from './chases';
import { policyOf, readPolicies } from './policies';

/** An account that is thanked, and for what. */
export interface ThanksDue {
	readonly customerId: number;
	readonly currency: string;
	readonly step: ThanksStep;
	readonly items: readonly SettledItem[];
}

/** Steps that were taken longer ago than this are no reason to thank anybody. */
const LONGEST = 365;

interface Row extends Omit<SettledItem, 'isPaid' | 'isThanked'> {
	readonly customerId: number;
	readonly currency: string;
	readonly policy: string | null;
	readonly isLate: number;
	readonly isPaid: number;
	readonly isThanked: number;
}

/** Every account that is thanked today for what it paid after it was chased; nobody where no way of chasing has such a step. */
export async function thanksDue(db: Reader, today: Day, only?: readonly number[]): Promise<ThanksDue[]> {
	const policies = await readPolicies(db);
	if (!policies.some((one) => one.thanks)) return [];
	const nothing = sql.raw(CAME_TO_NOTHING.map((state) => `'${state}'`).join(', '));
	const stands = sql`(d.state is null or d.state not in (${nothing}))`;
	const rows = await db.all<Row>(sql`
		with chased as (
			select s.item_id as id, max(s.step = ${THANKS_STEP}) as isThanked
			from chasing_step s left join delivery d on d.letter_id = s.letter_id
			where s.day >= ${addDays(today, -LONGEST)} and ${stands} group by 1)
		select i.item_id as id, i.customer_id as customerId, i.currency, c.chasing_policy as policy, t.total,
			cast(round(t.total * 1.0 * doc.total_base / doc.total) as integer) as base, chased.isThanked,
			max(a.date) as settledOn, max(a.receipt_id is not null) as isPaid,
			exists (select 1 from item_state l where l.customer_id = i.customer_id and l.currency = i.currency
				and l.open > 0 and l.kind in ('invoice', 'charge') and l.due < ${today}) as isLate
		from chased join item_state i on i.item_id = chased.id join item t on t.id = i.item_id
			join document doc on doc.id = t.document_id join customer c on c.id = i.customer_id
			join standing_allocation a on a.item_id = i.item_id
		where i.open = 0 ${only ? sql`and i.customer_id in (select value from json_each(${JSON.stringify(only)}))` : sql``}
		group by i.item_id order by i.item_id`);
	return [...groupBy(rows, (row) => `${row.customerId} ${row.currency}`).values()].flatMap((own) => {
		const { customerId, currency, policy, isLate } = own[0]!;
		const step = policyOf(policies, policy).thanks;
		if (!step) return [];
		const settled = own.map(({ isPaid, isThanked, ...row }) => ({
			...{ id: row.id, settledOn: row.settledOn, total: row.total, base: row.base },
			...{ isPaid: Boolean(isPaid), isThanked: Boolean(isThanked) }
		}));
		const items = toThank(step, settled, { today, isLate: Boolean(isLate) });
		return items.length > 0 ? [{ customerId, currency, step, items }] : [];
	});
}

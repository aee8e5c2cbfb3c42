import { sql } from 'drizzle-orm';
import { CHART } from '../../../core/5-journal/chart';
import { column } from '../../../core/6-reports/report-column';
import { sumRows } from '../../../core/6-reports/sum-rows';
import { daysBetween } from '../../../core/day/arithmetic';
import type { Day } from '../../../core/day/day';
import type { ReportRow } from '../../../core/model/report';
import { err, ok } from '../../../core/result';
import { standsOn } from '../store/aged-on';
import { askAccount } from '../store/ask-account';
import type { ReportMade, ReportMaker } from './define-report';

const COLUMNS = [
	...[column('account'), column('customer'), column('payer'), column('what'), column('booked', 'day')],
	...[column('age', 'whole'), column('currency'), column('amount', 'money')]
];

interface CreditOn {
	readonly id: string;
	readonly code: string | null;
	readonly customer: string | null;
	readonly payer: string | null;
	readonly what: string;
	readonly booked: Day;
	readonly currency: string;
	readonly amount: number;
}

/** Money that settled nothing by the end of a day: on customers' accounts, or booked to unidentified receipts and not placed by then. */
export const makeUnallocated: ReportMaker = async (asked, { db, today }) => {
	const asOf = asked.day('as-of', today);
	const what = asked.choice('what');
	const customer = await askAccount(asked, db, 'customer');
	if (asked.problems.length > 0) return err(...asked.problems);
	const customerId = customer?.id ?? null;
	const onAccount = await db.all<CreditOn>(sql`
		select 'a' || s.id as id, c.code, c.name as customer, coalesce(r.payer_name, d.number) as payer, s.kind as what,
			coalesce(r.booked, s.from_day) as booked, s.currency, -s.open as amount
		from open_span s join customer c on c.id = s.customer_id left join receipt r on r.id = s.receipt_id
		left join item i on i.id = s.item_id left join document d on d.id = i.document_id
		where s.kind = 'on_account' and s.open <> 0 and ${standsOn({ asOf, customerId, currency: null })}`);
	// Whoever it is of was not known: each posting on that account is of the receipt that its act is about.
	const unidentified = await db.all<CreditOn>(sql`
		select 'u' || r.id as id, null as code, null as customer, r.payer_name as payer, 'unidentified' as what, r.booked,
			r.currency, -sum(l.amount) as amount
		from journal_line l join act a on a.id = l.act_id join receipt r on r.id = a.receipt_id
		where l.account = ${CHART.unidentified.code} and l.date <= ${asOf}
		group by r.id, r.currency having sum(l.amount) <> 0`);
	const rows = [
		...(what === 'unidentified' ? [] : onAccount),
		...(what === 'on-account' || customerId !== null ? [] : unidentified)
	].map((row): ReportRow => ({
		...{ id: row.id, currency: row.currency, ...(row.code === null ? {} : { account: row.code }) },
		cells: [
			...[row.code, row.customer, row.payer, row.what, row.booked, daysBetween(row.booked, asOf)],
			...[row.currency, row.amount]
		]
	}));
	return ok<ReportMade>({
		...{ columns: COLUMNS, rows, sums: sumRows(COLUMNS, rows) },
		order: { by: 'age', down: true }
	});
};

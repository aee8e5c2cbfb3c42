import { sql } from 'drizzle-orm';
import { column } from '../../../core/6-reports/report-column';
import { sumRows } from '../../../core/6-reports/sum-rows';
import { firstOfMonth } from '../../../core/day/arithmetic';
import type { Day } from '../../../core/day/day';
import type { ReportRow } from '../../../core/model/report';
import { err, ok } from '../../../core/result';
import { accountNow } from '../../customers/store/merged-accounts';
import { askAccount } from '../store/ask-account';
import type { ReportMade, ReportMaker } from './define-report';

const COLUMNS = [
	...[column('booked', 'day'), column('payer'), column('account'), column('customer'), column('method')],
	...[column('bank'), column('state'), column('allocated-on', 'day'), column('person'), column('currency')],
	...[column('amount', 'money'), column('allocated', 'money'), column('on-account', 'money')]
];

interface ReceiptRow {
	readonly id: number;
	readonly booked: Day;
	readonly payer: string | null;
	readonly code: string | null;
	readonly customer: string | null;
	readonly method: string;
	readonly bank: string | null;
	readonly state: string;
	readonly allocatedOn: Day | null;
	readonly person: string | null;
	readonly currency: string;
	readonly amount: number;
	readonly allocated: number;
	readonly onAccount: number;
}

/** The money that came in between two days, how it came, who allocated it, and what of it is allocated now. */
export const makeReceipts: ReportMaker = async (asked, { db, today }) => {
	const from = asked.day('from', firstOfMonth(today));
	const to = asked.day('to', today);
	const day = asked.choice('day');
	if (from > to && asked.problems.length === 0)
		asked.refuse('from', 'It begins after it ends. Choose an earlier day, or a later one to end with.');
	const customer = await askAccount(asked, db, 'customer');
	const banks = await db.all<{ value: string; says: string }>(
		sql`select cast(id as text) as value, name as says from bank_account order by id`
	);
	const bank = asked.pickedOf('bank', banks);
	const people = await db.all<{ value: string }>(sql`
		select distinct a.user_name as value from receipt_state s join act a on a.id = s.act_id
		where s.state = 'allocated' order by 1 collate nocase limit 500`);
	const person = asked.pickedOf(
		'person',
		people.map(({ value }) => ({ value, says: value }))
	);
	if (asked.problems.length > 0) return err(...asked.problems);
	const on = day === 'booked' ? sql`r.booked` : sql`a.date`;
	const found = await db.all<ReceiptRow>(sql`
		select r.id, r.booked, r.payer_name as payer, c.code, c.name as customer, r.method, b.name as bank,
			iif(s.unidentified_act_id is not null and s.state in ('waiting', 'held'), 'unidentified', s.state) as state,
			a.date as "allocatedOn", a.user_name as person, r.currency, r.amount,
			coalesce((select sum(p.credit_amount) from allocation p where p.receipt_id = r.id), 0) as allocated,
			s.on_account as "onAccount"
		from receipt_state s join receipt r on r.id = s.receipt_id
		left join act a on a.id = s.act_id and s.state = 'allocated'
		left join customer c on c.id = ${accountNow(sql`s.customer_id`)}
		left join bank_entry e on e.id = r.bank_entry_id
		left join bank_account b on b.id = coalesce(e.bank_account_id, r.paid_into_id)
		where r.amount > 0 and s.state in ('waiting', 'held', 'in_approval', 'allocated')
			and ${on} between ${from} and ${to}
			${customer === null ? sql`` : sql`and c.id = ${customer.id}`}
			${bank === null ? sql`` : sql`and b.id = ${Number(bank)}`}
			${person === null ? sql`` : sql`and a.user_name = ${person}`}`);
	const rows = found.map((row): ReportRow => ({
		...{ id: String(row.id), currency: row.currency, ...(row.code === null ? {} : { account: row.code }) },
		cells: [
			...[row.booked, row.payer, row.code, row.customer, row.method, row.bank, row.state],
			...[row.allocatedOn, row.person, row.currency, row.amount, row.allocated, row.onAccount]
		]
	}));
	return ok<ReportMade>({
		...{ columns: COLUMNS, rows, sums: sumRows(COLUMNS, rows) },
		order: { by: 'booked', down: true }
	});
};

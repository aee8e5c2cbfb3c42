import { sql } from 'drizzle-orm';
import { column } from '../../../core/6-reports/report-column';
import { sumRows } from '../../../core/6-reports/sum-rows';
import type { ReportRow } from '../../../core/model/report';
import { err, ok } from '../../../core/result';
import { askAccount, askTag } from '../store/ask-account';
import { spansOf, standsOn } from '../store/aged-on';
import { reportAccounts } from '../store/report-accounts';
import type { ReportMade, ReportMaker } from './define-report';

const COLUMNS = [
	...[column('account'), column('customer'), column('currency'), column('owed', 'money')],
	...[column('on-account', 'money'), column('balance', 'money'), column('overdue', 'money')],
	...[column('limit', 'money'), column('over', 'money')]
];

interface BalanceOn {
	readonly customerId: number;
	readonly currency: string;
	readonly owed: number;
	readonly onAccount: number;
	readonly overdue: number;
}

/** What each customer owed at the end of a day, what lay on account, and what of it was late or beyond their credit limit. */
export const makeBalances: ReportMaker = async (asked, { db, today }) => {
	const asOf = asked.day('as-of', today);
	const only = asked.choice('only');
	const parent = await askAccount(asked, db, 'parent');
	const tag = await askTag(asked, db);
	if (asked.problems.length > 0) return err(...asked.problems);
	const accounts = await reportAccounts(db, { customer: null, parent: parent?.id ?? null, tag });
	const found = await db.all<BalanceOn>(sql`
		select s.customer_id as "customerId", s.currency,
			sum(iif(s.kind <> 'on_account', s.open, 0)) as owed,
			-sum(iif(s.kind = 'on_account', s.open, 0)) as "onAccount",
			sum(iif(s.kind in ('invoice', 'charge') and s.due < ${asOf}, s.open, 0)) as overdue
		from ${spansOf(null)} where ${standsOn({ asOf, customerId: null, currency: null })} group by 1, 2`);
	const rows = found.flatMap((row): ReportRow[] => {
		const account = accounts.get(row.customerId);
		if (!account) return [];
		const { owed, onAccount, overdue, currency } = row;
		const balance = owed - onAccount;
		// A limit is of the currency in which the account is kept.
		const limit = currency === account.currency ? account.creditLimit : null;
		const over = limit === null ? null : Math.max(0, balance - limit);
		const isShown = {
			...{ all: true, overdue: overdue > 0, 'over-limit': (over ?? 0) > 0, 'in-credit': balance < 0 }
		}[only];
		if (!isShown) return [];
		return [
			{
				...{ id: `${account.id} ${currency}`, currency, account: account.code },
				cells: [account.code, account.name, currency, owed, onAccount, balance, overdue, limit, over]
			}
		];
	});
	const sums = sumRows(COLUMNS, rows).map((sum) => ({
		...sum,
		// Limits of several customers come to nothing that means anything.
		cells: sum.cells.map((cell, n) => (COLUMNS[n]!.key === 'limit' ? null : cell))
	}));
	return ok<ReportMade>({ columns: COLUMNS, rows, sums, order: { by: 'balance', down: true } });
};

import { and, desc, eq, inArray, ne, sql, type SQL } from 'drizzle-orm';
import { CHART } from '../../../core/5-journal/chart';
import { accountLedger } from '../../../core/6-reports/account-ledger';
import { minor, type Minor, ZERO } from '../../../core/money/minor';
import { act, customer, journalLine } from '../../platform/db/schema';
import { idsOfAccount } from '../store/merged-accounts';
import { defineLook } from '../../act/define-look';
import { ledgerSources, type LedgerLine } from '../store/ledger-sources';
import { nameLedgerLine } from './name-ledger-line';

/** So many lines are one page. */
export const LEDGER_PAGE = 100;

export interface LedgerQuery {
	readonly code: string;
	/** The oldest line of the page that was seen, as `day~number`; null for the newest page. */
	readonly before: string | null;
}

/**
 * A page of a customer's ledger, oldest first: each line by what it stands for, with the running balance of its currency and
 * threads both ways; and what the lines before the page come to.
 */
export const lookAtLedger = defineLook('reader', async (db, { code, before }: LedgerQuery) => {
	const owner = await db.select({ id: customer.id }).from(customer).where(eq(customer.code, code)).get();
	if (!owner) return null;
	const own = and(
		inArray(journalLine.customerId, [...(await idsOfAccount(db, owner.id))]),
		eq(journalLine.account, CHART.receivables.code),
		ne(journalLine.amount, ZERO)
	)!;
	const found = await db
		.select({ line: journalLine, act })
		.from(journalLine)
		.innerJoin(act, eq(act.id, journalLine.actId))
		.where(and(own, before === null ? undefined : earlierThan(before)))
		.orderBy(desc(journalLine.date), desc(journalLine.id))
		.limit(LEDGER_PAGE + 1);
	const lines = found
		.slice(0, LEDGER_PAGE)
		.reverse()
		.map((row): LedgerLine => ({ ...row.line, act: row.act }));
	const first = lines[0];
	const mark = first && found.length > LEDGER_PAGE ? `${first.date}~${first.id}` : null;
	const brought = mark
		? await db
				.select({ currency: journalLine.currency, amount: sql<number>`sum(${journalLine.amount})` })
				.from(journalLine)
				.where(and(own, earlierThan(mark)))
				.groupBy(journalLine.currency)
		: [];
	const sources = await ledgerSources(db, lines);
	const opening = new Map(brought.map((row) => [row.currency, minor(row.amount)]));
	const rows = accountLedger(
		lines.map((line) => ({
			...{ id: line.id, date: line.date, amount: minor(line.amount), currency: line.currency },
			...{ actId: line.actId, by: line.act.userName, at: line.act.at },
			...nameLedgerLine(line, sources)
		})),
		opening
	);
	return { rows, brought, earlier: mark };
});

/** Lines before one that is given as `day~number`. */
function earlierThan(mark: string): SQL {
	const [date = '', id = ''] = mark.split('~');
	return sql`(${journalLine.date}, ${journalLine.id}) < (${date}, ${Number(id) || 0})`;
}

export type LedgerRow = NonNullable<Awaited<ReturnType<typeof lookAtLedger>>>['rows'][number] & {
	readonly balance: Minor;
};

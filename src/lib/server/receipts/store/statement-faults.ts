import { asc, eq, sql } from 'drizzle-orm';
import {
	continuityFaults,
	type ContinuityFault,
	type Fresh,
	type FreshQuestion
} from '../../../core/1-bank-files/statement-continuity';
import { isReport } from '../../../core/1-bank-files/read-statement';
import { groupBy } from '../../../core/group-by';
import type { Reader } from '../../platform/db/open';
import { bankAccount, bankStatement, statementAcceptance } from '../../platform/db/schema';

/** A statement that does not go on from the one before, with its account. */
export type StatementFault = ContinuityFault & {
	readonly accountId: number;
	readonly account: string;
	readonly currency: string;
};

/** All statements that do not go on where the last sound one of their account ended. */
export async function statementFaults(db: Reader): Promise<StatementFault[]> {
	const accounts = await db.select().from(bankAccount).orderBy(asc(bankAccount.id));
	const rows = await db
		.select({ row: bankStatement, acceptedBy: statementAcceptance.actId })
		.from(bankStatement)
		.leftJoin(statementAcceptance, eq(statementAcceptance.statementId, bankStatement.id));
	const ofAccount = groupBy(rows, ({ row }) => row.bankAccountId);
	const faults: StatementFault[] = [];
	for (const { id: accountId, name: account, currency, opening } of accounts) {
		// What was booked from a bank's reports has no balances, and is none of its statements.
		const own = (ofAccount.get(accountId) ?? []).filter(({ row }) => !row.format || !isReport(row.format));
		const spans = own.map(({ row, acceptedBy }) => ({
			...row,
			accepted: acceptedBy !== null
		}));
		const judging = continuityFaults(spans, opening);
		let step = judging.next();
		while (!step.done) step = judging.next(await freshOf(db, step.value));
		for (const fault of step.value) faults.push({ ...fault, accountId, account, currency });
	}
	return faults;
}

/** What the entries of a statement come to that none of some others lists. */
async function freshOf(db: Reader, { statementId, besides }: FreshQuestion): Promise<Fresh> {
	return db.get<Fresh>(sql`
		select coalesce(sum(e.amount), 0) as sum, count(*) as count
		from statement_entry l join bank_entry e on e.id = l.entry_id
		where l.statement_id = ${statementId} and not exists (
			select 1 from statement_entry other where other.entry_id = l.entry_id
			and other.statement_id in (select value from json_each(${JSON.stringify(besides)})))`);
}

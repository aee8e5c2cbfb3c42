import { asc, sql } from 'drizzle-orm';
import {
	byDays,
	continuityFaults,
	type ContinuityFault,
	type StatementSpan
} from '../../../core/1-bank-files/statement-continuity';
import { groupBy } from '../../../core/group-by';
import type { Minor } from '../../../core/money/minor';
import type { Reader } from '../../platform/db/open';
import { bankAccount, bankStatement } from '../../platform/db/schema';

/** A statement that does not go on from the one before, with its account. */
export type StatementFault = ContinuityFault & {
	readonly accountId: number;
	readonly account: string;
	readonly currency: string;
};

/** All statements that do not go on where the last one of their account ended. */
export async function statementFaults(db: Reader): Promise<StatementFault[]> {
	const accounts = await db.select().from(bankAccount).orderBy(asc(bankAccount.id));
	const rows = groupBy(await db.select().from(bankStatement), (row) => row.bankAccountId);
	const faults: StatementFault[] = [];
	for (const { id: accountId, name: account, currency, opening } of accounts) {
		const spans = (rows.get(accountId) ?? []).map((row): StatementSpan => ({
			...{ id: row.id, reference: row.reference, openingOn: row.openingOn, closingOn: row.closingOn },
			...{ opening: row.opening as Minor | null, closing: row.closing as Minor | null },
			...{ fresh: 0, freshCount: 0 }
		}));
		spans.sort(byDays);
		// What each brings that none before it does is only counted where they do not simply go on.
		if (goOn(spans, opening)) continue;
		const fresh = await freshOf(db, spans);
		const counted = spans.map((span) => ({ ...span, ...fresh.get(span.id) }));
		for (const fault of continuityFaults(counted, opening))
			faults.push({ ...fault, accountId, account, currency });
	}
	return faults;
}

/** Whether each begins with the balance with which the one before ended, as nearly all do. */
function goOn(spans: readonly StatementSpan[], agreed: Minor | null): boolean {
	let balance = agreed;
	for (const { opening, closing } of spans) {
		if (opening === null || closing === null) continue;
		if (balance !== null && opening !== balance) return false;
		balance = closing;
	}
	return true;
}

/** What the entries come to that each statement is the first to list, in the order given. */
async function freshOf(
	db: Reader,
	spans: readonly StatementSpan[]
): Promise<Map<number, Pick<StatementSpan, 'fresh' | 'freshCount'>>> {
	const order = JSON.stringify(spans.map(({ id }) => id));
	const rows = await db.all<{ id: number; fresh: number; n: number }>(sql`
		with ordered as (select value as id, key as place from json_each(${order})),
		firsts as (select l.entry_id, min(o.place) as place from statement_entry l
			join ordered o on o.id = l.statement_id group by l.entry_id)
		select o.id, sum(e.amount) as fresh, count(*) as n from firsts f
		join ordered o on o.place = f.place join bank_entry e on e.id = f.entry_id group by o.id`);
	return new Map(rows.map(({ id, fresh, n }) => [id, { fresh, freshCount: n }]));
}

import { sql } from 'drizzle-orm';
import { pairEntries, type EntryLooks } from '../../../core/1-bank-files/pair-entries';
import { FIRST_FORMAT, type ReadStatement } from '../../../core/1-bank-files/read-statement';
import type { EntryDetail, StatementEntry } from '../../../core/model/bank';
import type { Tx } from '../../platform/db/open';

type Row = Omit<EntryLooks, 'details'> & { readonly id: number; readonly details: string };

/**
 * Which of a statement's entries a file of another format brought before: the id of the entry in the books, by the place of that in the
 * statement. What an earlier statement lists, which this one goes on from, is another payment however alike.
 * @param asked `open`: the entries that are still to be found, with their places; `before`: the statements that this one goes on from;
 * `taken`: entries of the books that others of the same file are
 */
export async function entriesOfOtherFormats(
	tx: Tx,
	accountId: number,
	{ format, balances }: ReadStatement,
	{
		open,
		before,
		taken
	}: {
		readonly open: readonly (StatementEntry & { readonly place: number })[];
		readonly before: ReadonlySet<number>;
		readonly taken: ReadonlySet<number>;
	}
): Promise<Map<number, number>> {
	if (open.length === 0) return new Map();
	const days = open.map((entry) => entry.booked).sort();
	const wholeDays = balances.opening !== null && balances.closing !== null;
	const earlier = JSON.stringify([...before]);
	const rows = await tx.all<Row>(sql`
		select e.id, e.booked, e.amount, e.entry_reference as "entryReference",
			e.bank_reference as "bankReference", e.text, e.details
		from bank_entry e
		where e.bank_account_id = ${accountId} and e.booked between ${days[0]} and ${days.at(-1)}
			and exists (
				select 1 from statement_entry l join bank_statement s on s.id = l.statement_id
				where l.entry_id = e.id and coalesce(s.format, ${FIRST_FORMAT}) <> ${format}
					and s.id not in (select value from json_each(${earlier})))
			and not exists (
				select 1 from statement_entry l join bank_statement s on s.id = l.statement_id
				where l.entry_id = e.id and coalesce(s.format, ${FIRST_FORMAT}) = ${format})
		order by e.id`);
	const known = rows
		.filter((row) => !taken.has(row.id))
		.map((row) => ({ ...row, details: JSON.parse(row.details) as EntryDetail[] }));
	return pairEntries(open, known, wholeDays);
}

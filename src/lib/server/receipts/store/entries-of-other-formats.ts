import { sql } from 'drizzle-orm';
import { doubtfulEntries } from '../../../core/1-bank-files/doubtful-entries';
import { entryWords } from '../../../core/1-bank-files/entry-words';
import type { MaybeSame } from '../../../core/model/entry-doubt';
import { pairEntries, type EntryLooks } from '../../../core/1-bank-files/pair-entries';
import { FIRST_FORMAT, type ReadStatement } from '../../../core/1-bank-files/read-statement';
import type { EntryDetail, StatementEntry } from '../../../core/model/bank';
import type { Tx } from '../../platform/db/open';

/** Of more entries alike nobody could choose. */
const MOST_OTHERS = 20;

type Row = Omit<EntryLooks, 'details'> & {
	readonly id: number;
	readonly details: string;
	readonly file: string;
};

/** What of a statement's entries another format brought before. */
export interface FoundElsewhere {
	/** The id of the entry in the books, by the place of that in the statement. */
	readonly same: ReadonlyMap<number, number>;
	/** Those of the books that an entry may be, by its place, where nothing tells it. */
	readonly doubtful: ReadonlyMap<number, readonly MaybeSame[]>;
}

/**
 * Which of a statement's entries a file of another format brought before, and which it may have. What an earlier statement lists, which this one goes on from, is another payment however alike.
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
): Promise<FoundElsewhere> {
	if (open.length === 0) return { same: new Map(), doubtful: new Map() };
	const days = open.map((entry) => entry.booked).sort();
	const wholeDays = balances.opening !== null && balances.closing !== null;
	const earlier = JSON.stringify([...before]);
	const rows = await tx.all<Row>(sql`
		select e.id, e.booked, e.amount, e.entry_reference as "entryReference",
			e.bank_reference as "bankReference", e.text, e.details,
			(select f.name from statement_entry l join bank_statement s on s.id = l.statement_id
				join bank_file f on f.id = s.file_id where l.entry_id = e.id order by s.id limit 1) as file
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
	const same = pairEntries(open, known, wholeDays);
	const paired = new Set(same.values());
	const doubtful = doubtfulEntries(
		open.filter(({ place }) => !same.has(place)),
		known.filter(({ id }) => !paired.has(id))
	);
	return {
		same,
		doubtful: new Map(
			[...doubtful].map(([place, others]) => [
				place,
				others
					.slice(0, MOST_OTHERS)
					.map((other) => ({ id: other.id, words: entryWords(other), file: other.file }))
			])
		)
	};
}

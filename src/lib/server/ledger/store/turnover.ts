import { sql } from 'drizzle-orm';
import { DomainError } from '../../act/domain-error';
import type { Tx } from '../../platform/db/open';

/**
 * The most that books count: less than 2^53 (some 9.007·10^15), so that no sum of any of their amounts can leave the safe integers.
 * A firm with ten billion pounds a year would need four thousand years for it.
 */
const MOST_TURNOVER = 9_000_000_000_000_000;

/** What the counter begins with in books that are older than it. */
const BEFORE = {
	journal: sql`(select coalesce(sum(max(abs(amount), abs(base))), 0) from journal_line)`,
	bank: sql`(select coalesce(sum(abs(amount)), 0) from bank_entry)`
} as const;

/**
 * Counts what comes through the journal or the bank; to be called before it is written.
 * @param amounts in minor units of any sign
 * @throws DomainError where it would be more than books can count
 */
export async function countTurnover(
	tx: Tx,
	name: keyof typeof BEFORE,
	amounts: Iterable<number>
): Promise<void> {
	let more = 0;
	for (const amount of amounts) more += Math.abs(amount);
	if (more === 0) return;
	if (more > MOST_TURNOVER) throw new DomainError({ code: 'books-full' });
	const add = async () =>
		tx.all(sql`
			update turnover set sum = sum + ${more}
			where name = ${name} and sum + ${more} <= ${MOST_TURNOVER} returning name`);
	if ((await add()).length > 0) return;
	await tx.run(sql`
		insert into turnover (name, sum) values (${name}, min(${BEFORE[name]}, ${MOST_TURNOVER}))
		on conflict do nothing`);
	if ((await add()).length === 0) throw new DomainError({ code: 'books-full' });
}

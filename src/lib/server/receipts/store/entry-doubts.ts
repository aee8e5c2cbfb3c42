import { sql, type SQL } from 'drizzle-orm';
import type { SourceDoubt } from '../../../core/model/records';
import { APPLICATION } from '../../act/person';
import { readSetting } from '../../firm/store/settings';
import type { Reader } from '../../platform/db/open';
import { statementFaults } from './statement-faults';

/**
 * Entries whose source is doubted: those that only statements list which do not go on from the one before, and, where the firm wants a
 * second person, those of files brought in by hand that nobody has confirmed.
 */
export async function entryDoubts(db: Reader): Promise<Map<number, SourceDoubt>> {
	const doubts = new Map<number, SourceDoubt>();
	for (const { id: file, name, who } of await unconfirmedFiles(db))
		for (const entryId of await entriesOnlyIn(
			db,
			sql`(select id from bank_statement where file_id = ${file})`
		))
			doubts.set(entryId, { code: 'file-unconfirmed', file: name, who });
	for (const { statementId, reference } of await statementFaults(db))
		for (const entryId of await entriesOnlyIn(db, sql`(${statementId})`))
			doubts.set(entryId, { code: 'statement-doubted', reference });
	return doubts;
}

/** Files that somebody brought in by hand and nobody else has confirmed, where the firm wants that; the newest first. */
export async function unconfirmedFiles(
	db: Reader
): Promise<{ readonly id: number; readonly name: string; readonly who: string }[]> {
	const set = await readSetting(db, 'bankFiles');
	if (set?.from !== 'confirmed') return [];
	return db.all(sql`
		select f.id, f.name, a.user_name as who from bank_file f join act a on a.id = f.act_id
		where f.id > ${set.since} and a.user_id <> ${APPLICATION.id} and not exists (
			select 1 from bank_file_confirmation c where c.file_id = f.id)
		order by f.id desc`);
}

/** Entries that no statement lists but some. */
async function entriesOnlyIn(db: Reader, statements: SQL): Promise<number[]> {
	const rows = await db.all<{ entryId: number }>(sql`
		select l.entry_id as "entryId" from statement_entry l where l.statement_id in ${statements} and not exists (
			select 1 from statement_entry other
			where other.entry_id = l.entry_id and other.statement_id not in ${statements})`);
	return rows.map(({ entryId }) => entryId);
}

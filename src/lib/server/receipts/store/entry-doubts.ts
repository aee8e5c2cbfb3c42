import { eq, sql } from 'drizzle-orm';
import type { SourceDoubt } from '../../../core/model/records';
import { APPLICATION } from '../../act/person';
import { readSetting } from '../../firm/store/settings';
import { inList } from '../../platform/db/in-list';
import type { Reader } from '../../platform/db/open';
import { bankStatement, reportedEntry, reportedEntryMet } from '../../platform/db/schema';
import { statementFaults } from './statement-faults';

/**
 * Entries whose source is doubted: statements that do not go on from the one before, and, where the firm wants a second person, those of
 * files brought in by hand that nobody has confirmed. An entry that any other statement lists as well is not doubted,
 * unless what it is made of is told by a report in such a file.
 */
export async function entryDoubts(db: Reader): Promise<Map<number, SourceDoubt>> {
	const doubts = new Map<number, SourceDoubt>();
	for (const { id, name: file, who } of await unconfirmedStatements(db))
		doubts.set(id, { code: 'file-unconfirmed', file, who });
	for (const { statementId, reference } of await statementFaults(db))
		doubts.set(statementId, { code: 'statement-doubted', reference });
	const told = await toldByUnconfirmed(db);
	if (doubts.size === 0) return told;
	const doubted = sql`(select value from json_each(${JSON.stringify([...doubts.keys()])}))`;
	const rows = await db.all<{ entryId: number; statementId: number }>(sql`
		select l.entry_id as "entryId", min(l.statement_id) as "statementId" from statement_entry l
		where l.statement_id in ${doubted} and not exists (
			select 1 from statement_entry other
			where other.entry_id = l.entry_id and other.statement_id not in ${doubted})
		group by l.entry_id`);
	return new Map([
		...told,
		...rows.map(({ entryId, statementId }) => [entryId, doubts.get(statementId)!] as const)
	]);
}

/** Entries of which a report tells what they are made of, or who paid, in a file that waits for a second person. */
async function toldByUnconfirmed(db: Reader): Promise<Map<number, SourceDoubt>> {
	const files = new Map((await unconfirmedFiles(db)).map((file) => [file.id, file]));
	if (files.size === 0) return new Map();
	const rows = await db
		.select({ entryId: reportedEntryMet.entryId, fileId: reportedEntry.fileId })
		.from(reportedEntry)
		.innerJoin(reportedEntryMet, eq(reportedEntryMet.reportedId, reportedEntry.id))
		.where(inList(reportedEntry.fileId, [...files.keys()]));
	return new Map(
		rows.flatMap(({ entryId, fileId }) => {
			const { name: file, who } = files.get(fileId)!;
			return entryId === null ? [] : [[entryId, { code: 'file-unconfirmed', file, who }] as const];
		})
	);
}

/** The statements of files that wait for a second person. */
async function unconfirmedStatements(
	db: Reader
): Promise<{ readonly id: number; readonly name: string; readonly who: string }[]> {
	const files = new Map((await unconfirmedFiles(db)).map((file) => [file.id, file]));
	if (files.size === 0) return [];
	const rows = await db
		.select({ id: bankStatement.id, fileId: bankStatement.fileId })
		.from(bankStatement)
		.where(inList(bankStatement.fileId, [...files.keys()]));
	return rows.map(({ id, fileId }) => ({ ...files.get(fileId)!, id }));
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

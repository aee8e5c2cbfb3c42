import { count, desc, eq, inArray } from 'drizzle-orm';
import { defineLook } from '../../act/define-look';
import { APPLICATION } from '../../act/person';
import { readSetting } from '../../firm/store/settings';
import { alias } from 'drizzle-orm/sqlite-core';
import { act, bankFile, bankFileConfirmation, bankStatement, reportedEntry } from '../../platform/db/schema';
import { groupBy } from '../../../core/group-by';
import { unconfirmedFiles } from '../store/entry-doubts';
import { statementFaults } from '../store/statement-faults';

const FILES_SHOWN = 200;

/** The bank files of the books, newest first: who brought each in, whether a second person confirmed it, and what does not fit. */
export const lookAtBankFiles = defineLook('reader', async (db, _: null, { who }) => {
	const second = alias(act, 'second');
	const files = await db
		.select({
			...{ id: bankFile.id, name: bankFile.name, bytes: bankFile.bytes, entries: bankFile.entriesNew },
			...{ at: act.at, who: act.userName, userId: act.userId },
			...{ confirmedBy: second.userName, confirmedAt: second.at }
		})
		.from(bankFile)
		.innerJoin(act, eq(act.id, bankFile.actId))
		.leftJoin(bankFileConfirmation, eq(bankFileConfirmation.fileId, bankFile.id))
		.leftJoin(second, eq(second.id, bankFileConfirmation.actId))
		.orderBy(desc(bankFile.id))
		.limit(FILES_SHOWN);
	const statements = groupBy(
		await db
			.select({ id: bankStatement.id, fileId: bankStatement.fileId, reference: bankStatement.reference })
			.from(bankStatement)
			.where(
				inArray(
					bankStatement.fileId,
					files.map((file) => file.id)
				)
			),
		(row) => row.fileId
	);
	const reported = new Map(
		(
			await db
				.select({ fileId: reportedEntry.fileId, count: count() })
				.from(reportedEntry)
				.where(
					inArray(
						reportedEntry.fileId,
						files.map((file) => file.id)
					)
				)
				.groupBy(reportedEntry.fileId)
		).map((row) => [row.fileId, row.count])
	);
	const faults = new Map((await statementFaults(db)).map((fault) => [fault.statementId, fault]));
	const from = (await readSetting(db, 'bankFiles'))?.from ?? 'anybody';
	const waiting = new Set((await unconfirmedFiles(db)).map((file) => file.id));
	return {
		from,
		files: files.map(({ userId, ...file }) => {
			const byHand = userId !== APPLICATION.id;
			return {
				...file,
				byHand,
				/** Entries of the bank's reports in it, which are no money of the books by themselves. */
				reported: reported.get(file.id) ?? 0,
				statements: (statements.get(file.id) ?? []).map(({ id, reference }) => ({
					...{ id, reference, fault: faults.get(id) ?? null }
				})),
				/** Whether a second person has to confirm it, and whether who asks may be that. */
				waits: waiting.has(file.id),
				mayConfirm: who.role !== 'reader' && userId !== who.id,
				mayAccept: who.role === 'supervisor' && userId !== who.id
			};
		})
	};
});

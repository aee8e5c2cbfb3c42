import { and, between, eq, isNull, notExists, sql } from 'drizzle-orm';
import { MOST_DAYS_APART, pairReports } from '../../../core/1-bank-files/pair-reports';
import { addDays } from '../../../core/day/arithmetic';
import type { Day } from '../../../core/day/day';
import { groupBy } from '../../../core/group-by';
import type { StatementEntry } from '../../../core/model/bank';
import { detailsFromReport } from '../../../core/2-receipts/details-from-report';
import { DomainError } from '../../act/domain-error';
import { inList } from '../../platform/db/in-list';
import { insertRows } from '../../platform/db/insert-rows';
import type { Reader, Tx } from '../../platform/db/open';
import { reportedEntry, reportedEntryMet } from '../../platform/db/schema';
import { entryOfRow } from './entry-rows';

export type ReportedRow = typeof reportedEntry.$inferSelect;

/** The days around some, within which a report's entry and a statement's may be the same. */
export function daysAround(days: readonly Day[]): readonly [Day, Day] {
	const sorted = [...days].sort();
	return [addDays(sorted[0]!, -MOST_DAYS_APART), addDays(sorted.at(-1)!, MOST_DAYS_APART)];
}

/** What reports told of an account's days that no entry of the books is yet. */
export async function unmetReports(
	db: Reader,
	accountId: number,
	[from, to]: readonly [Day, Day]
): Promise<ReportedRow[]> {
	return db
		.select()
		.from(reportedEntry)
		.where(
			and(
				eq(reportedEntry.bankAccountId, accountId),
				between(reportedEntry.booked, from, to),
				notExists(metRows(db))
			)
		)
		.orderBy(reportedEntry.id);
}

/** Reported entries that somebody saw wait, as they still do; refused where one was met meanwhile, or only tells another again. */
export async function takeReported(tx: Tx, ids: ReadonlySet<number>): Promise<ReportedRow[]> {
	const rows = await tx
		.select()
		.from(reportedEntry)
		.where(and(inList(reportedEntry.id, [...ids]), isNull(reportedEntry.sameAsId), notExists(metRows(tx))))
		.orderBy(reportedEntry.id);
	if (rows.length < ids.size) throw new DomainError({ code: 'reported-met' });
	return rows;
}

/** What reports of other formats told of the same payments. */
export async function toldAgain(tx: Tx, ids: ReadonlySet<number>): Promise<ReportedRow[]> {
	return tx
		.select()
		.from(reportedEntry)
		.where(and(inList(reportedEntry.sameAsId, [...ids]), notExists(metRows(tx))))
		.orderBy(reportedEntry.id);
}

function metRows(db: Reader) {
	return db
		.select({ one: sql`1` })
		.from(reportedEntryMet)
		.where(eq(reportedEntryMet.reportedId, reportedEntry.id));
}

/** What reports told beforehand of entries that a statement brings now. */
export interface ToldBefore {
	/** The entries, with the details that a report has and the statement has not. */
	readonly entries: readonly StatementEntry[];
	/** The reported entries that each is. */
	readonly reportedIds: readonly (readonly number[])[];
}

/**
 * Finds which of a statement's new entries reports told before, and fills in what these tell of them.
 * @param taken reported entries that others of the same file are
 */
export async function toldBefore(
	db: Reader,
	accountId: number,
	entries: readonly StatementEntry[],
	taken: ReadonlySet<number>
): Promise<ToldBefore> {
	if (entries.length === 0) return { entries, reportedIds: [] };
	const unmet = await unmetReports(db, accountId, daysAround(entries.map(({ booked }) => booked)));
	const reported = unmet.filter(({ id }) => !taken.has(id));
	const filled = [...entries];
	const reportedIds = entries.map((): number[] => []);
	const looks = entries.map((entry, id) => ({ ...entry, id }));
	for (const rows of groupBy(reported, ({ format }) => format).values()) {
		const told = new Map(rows.map((row) => [row.id, entryOfRow(row)]));
		for (const [place, id] of pairReports(
			looks,
			[...told].map(([key, entry]) => ({ ...entry, id: key }))
		)) {
			reportedIds[place]!.push(id);
			const details = detailsFromReport(filled[place]!, told.get(id)!);
			if (details) filled[place] = { ...filled[place]!, details };
		}
	}
	return { entries: filled, reportedIds };
}

/** Writes which entries of the books reported ones are; null for one that the bank never booked. */
export async function meetReports(
	tx: Tx,
	actId: number,
	met: readonly { readonly reportedId: number; readonly entryId: number | null }[]
): Promise<void> {
	await insertRows(
		tx,
		reportedEntryMet,
		met.map((one) => ({ ...one, actId }))
	);
}

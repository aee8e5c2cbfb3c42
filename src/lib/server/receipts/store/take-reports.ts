import { and, between, eq, notExists, sql } from 'drizzle-orm';
import { append } from '../../../core/append';
import { pairReports } from '../../../core/1-bank-files/pair-reports';
import type { ReadStatement, ReportFormat } from '../../../core/1-bank-files/read-statement';
import { detailsFromReport } from '../../../core/2-receipts/details-from-report';
import { groupBy } from '../../../core/group-by';
import type { StatementEntry } from '../../../core/model/bank';
import type { ActContext } from '../../act/define-act';
import { chunks } from '../../platform/db/chunks';
import { inList } from '../../platform/db/in-list';
import { insertRows } from '../../platform/db/insert-rows';
import type { Tx } from '../../platform/db/open';
import { takeIds } from '../../platform/db/take-ids';
import { bankEntry, reportedEntry, reportedEntryMet } from '../../platform/db/schema';
import { countAlike } from './count-alike';
import { divideByReport } from './divide-by-report';
import { entryColumns, entryOfRow } from './entry-rows';
import { daysAround, meetReports, unmetReports, type ReportedRow } from './reported-entries';

/** A report of one of the firm's accounts. */
export type ReportRead = Omit<ReadStatement, 'format'> & {
	readonly format: ReportFormat;
	readonly accountId: number;
};

/** What came of reports: how many of their entries are new, how many of those statements list already, and how many receipts they divided. */
export interface ReportsTaken {
	readonly fresh: number;
	readonly known: number;
	readonly met: number;
	readonly divided: number;
}

/**
 * Keeps what a bank's reports told. What a statement lists already is known for the same, and where the report tells of which payments its sum is
 * made, a receipt that still waits is divided into them. What no statement lists yet waits for it, and is no money of the books.
 */
export async function takeReports(
	ctx: ActContext,
	actId: number,
	fileId: number,
	reports: readonly ReportRead[]
): Promise<ReportsTaken> {
	const { tx } = ctx;
	let known = 0;
	const rows: ReportedRow[] = [];
	const met: { readonly reportedId: number; readonly entryId: number }[] = [];
	let divided = 0;
	for (const [, of] of groupBy(reports, ({ accountId, format }) => `${accountId} ${format}`)) {
		const { accountId, format } = of[0]!;
		const fresh = await freshEntries(tx, of);
		known += of.reduce((sum, { entries }) => sum + entries.length, 0) - fresh.length;
		if (fresh.length === 0) continue;
		const firstId = await takeIds(tx, reportedEntry, fresh.length);
		const entries = new Map(fresh.map(({ entry }, i) => [firstId + i, entry]));
		const looks = [...entries].map(([id, entry]) => ({ ...entry, id }));
		const days = daysAround(looks.map(({ booked }) => booked));

		const books = new Map(
			(await entriesNotReported(tx, accountId, format, days)).map((one) => [one.id, one])
		);
		const here = new Set<number>();
		for (const [entryId, reportedId] of pairReports([...books.values()], looks)) {
			met.push({ reportedId, entryId });
			here.add(reportedId);
			const details = detailsFromReport(books.get(entryId)!, entries.get(reportedId)!);
			if (details && (await divideByReport(ctx, entryId, details))) divided++;
		}
		// Of those that wait for a statement, one may be what a report of another format told before.
		const others = (await unmetReports(tx, accountId, days)).filter(
			(row) => row.format !== format && row.sameAsId === null
		);
		const left = looks.filter(({ id }) => !here.has(id));
		const same = pairReports(
			others.map((row) => ({ ...entryOfRow(row), id: row.id })),
			left
		);
		const sameAs = new Map([...same].map(([other, id]) => [id, other]));
		append(
			rows,
			fresh.map(({ entry, fingerprint, reference }, i) => ({
				...{ id: firstId + i, fileId, bankAccountId: accountId, format, reference, fingerprint },
				...(entryColumns(entry) as Required<ReturnType<typeof entryColumns>>),
				sameAsId: sameAs.get(firstId + i) ?? null
			})) as ReportedRow[]
		);
	}
	await insertRows(tx, reportedEntry, rows);
	await meetReports(tx, actId, met);
	return { fresh: rows.length, known, met: met.length, divided };
}

/** What of some reports was told by none before: a bank repeats in the next what it had in the last. */
async function freshEntries(tx: Tx, reports: readonly ReportRead[]) {
	const { accountId, format } = reports[0]!;
	const told = new Map<string, { readonly entry: StatementEntry; readonly reference: string }>();
	for (const { entries, header } of reports)
		for (const [place, fingerprint] of countAlike(entries).entries())
			if (!told.has(fingerprint))
				told.set(fingerprint, { entry: entries[place]!, reference: header.reference });
	for (const part of chunks([...told.keys()], 20_000)) {
		const known = await tx
			.select({ fingerprint: reportedEntry.fingerprint })
			.from(reportedEntry)
			.where(
				and(
					eq(reportedEntry.bankAccountId, accountId),
					eq(reportedEntry.format, format),
					inList(reportedEntry.fingerprint, part)
				)
			);
		for (const { fingerprint } of known) told.delete(fingerprint);
	}
	return [...told].map(([fingerprint, one]) => ({ ...one, fingerprint }));
}

/** Entries of the books that no report of a format told of yet. */
async function entriesNotReported(
	tx: Tx,
	accountId: number,
	format: ReportFormat,
	[from, to]: ReturnType<typeof daysAround>
): Promise<(StatementEntry & { readonly id: number })[]> {
	const rows = await tx
		.select()
		.from(bankEntry)
		.where(
			and(
				eq(bankEntry.bankAccountId, accountId),
				between(bankEntry.booked, from, to),
				notExists(
					tx
						.select({ one: sql`1` })
						.from(reportedEntryMet)
						.innerJoin(reportedEntry, eq(reportedEntry.id, reportedEntryMet.reportedId))
						.where(and(eq(reportedEntryMet.entryId, bankEntry.id), eq(reportedEntry.format, format)))
				)
			)
		)
		.orderBy(bankEntry.id);
	return rows.map((row) => ({ ...entryOfRow(row), id: row.id }));
}

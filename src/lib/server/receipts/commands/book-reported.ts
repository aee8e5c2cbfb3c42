import { and, between, eq } from 'drizzle-orm';
import { z } from 'zod';
import { NO_BALANCES } from '../../../core/1-bank-files/read-statement';
import { append } from '../../../core/append';
import { groupBy } from '../../../core/group-by';
import type { StatementEntry } from '../../../core/model/bank';
import { detailsFromReport } from '../../../core/2-receipts/details-from-report';
import { receiptsOfEntry } from '../../../core/2-receipts/receipts-of-entry';
import { numbered } from '../../allocation/store/number-posting';
import { defineAct } from '../../act/define-act';
import { idField } from '../../act/fields';
import { countTurnover } from '../../ledger/store/turnover';
import { insertRows } from '../../platform/db/insert-rows';
import type { Tx } from '../../platform/db/open';
import { takeId } from '../../platform/db/take-ids';
import { bankEntry, bankStatement, receipt, receiptState, statementEntry } from '../../platform/db/schema';
import { contentHash } from '../store/count-alike';
import { entryColumns, entryOfRow } from '../store/entry-rows';
import { waitingState } from '../store/receipt-states';
import { meetReports, takeReported, toldAgain, type ReportedRow } from '../store/reported-entries';

export const bookReportedInput = z.object({
	reported: z.array(idField).min(1, 'Tick an entry first.').max(5_000)
});

/**
 * Books entries of a bank's reports without a statement, for a bank that sends none, or not soon enough: from now on they are receipts like
 * any others. A statement that comes all the same has the same entries, and brings them no second time.
 */
export const bookReported = defineAct({
	kind: 'book-reported',
	role: 'clerk',
	input: bookReportedInput,
	run: async (ctx, { reported }): Promise<{ actId: number; count: number }> => {
		const { tx } = ctx;
		const ids = new Set(reported);
		const rows = await takeReported(tx, ids);
		const actId = await ctx.record({ summary: { count: rows.length }, facts: { reported: [...ids] } });
		const same = await toldAgain(tx, ids);
		const sameOf = groupBy(same, ({ sameAsId }) => sameAsId!);
		const met: { reportedId: number; entryId: number }[] = [];
		for (const of of groupBy(rows, ({ fileId, bankAccountId, reference }) =>
			JSON.stringify([fileId, bankAccountId, reference])
		).values())
			append(met, await bookReport(tx, actId, of, sameOf));
		const entryOf = new Map(met.map(({ reportedId, entryId }) => [reportedId, entryId]));
		append(
			met,
			same.map(({ id, sameAsId }) => ({ reportedId: id, entryId: entryOf.get(sameAsId!)! }))
		);
		await meetReports(tx, actId, met);
		return { actId, count: rows.length };
	}
});

/** Books what one report told, as a statement without balances; returns which entry of the books each is. */
async function bookReport(
	tx: Tx,
	actId: number,
	rows: readonly ReportedRow[],
	sameOf: ReadonlyMap<number, readonly ReportedRow[]>
) {
	const { fileId, bankAccountId, format, reference } = rows[0]!;
	const statementId = await takeId(tx, bankStatement);
	await tx.insert(bankStatement).values({
		...{ id: statementId, fileId, bankAccountId, format, reference, sequence: null },
		...{ ...NO_BALANCES, balanceChecked: false, notBooked: 0 }
	});
	const prints = await freeFingerprints(tx, bankAccountId, rows);
	const told = rows.map((row) => filledIn(entryOfRow(row), sameOf.get(row.id) ?? []));
	const entries = await numbered(
		tx,
		bankEntry,
		told.map((entry, i) => ({ ...entryColumns(entry), bankAccountId, fingerprint: prints[i]! }))
	);
	await countTurnover(
		tx,
		'bank',
		entries.map(({ amount }) => amount)
	);
	await insertRows(tx, bankEntry, entries);
	await insertRows(
		tx,
		statementEntry,
		entries.map(({ id }, place) => ({ statementId, place, entryId: id, fingerprint: null }))
	);
	const receipts = await numbered(
		tx,
		receipt,
		entries.flatMap((entry, i) =>
			receiptsOfEntry(told[i]!).map((draft) => ({
				...draft,
				...{ bankEntryId: entry.id, booked: entry.booked, currency: entry.currency }
			}))
		)
	);
	await insertRows(tx, receipt, receipts);
	await insertRows(
		tx,
		receiptState,
		receipts.map(({ id, booked }) => waitingState(id, booked, actId))
	);
	return rows.map(({ id }, i) => ({ reportedId: id, entryId: entries[i]!.id }));
}

/** An entry with what reports of other formats tell of it. */
function filledIn(entry: StatementEntry, same: readonly ReportedRow[]): StatementEntry {
	return same.reduce((now, row) => {
		const details = detailsFromReport(now, entryOfRow(row));
		return details ? { ...now, details } : now;
	}, entry);
}

/** A fingerprint for each that no entry of the account has: what is there already is another payment, however alike. */
async function freeFingerprints(tx: Tx, accountId: number, rows: readonly ReportedRow[]): Promise<string[]> {
	const days = rows.map(({ booked }) => booked).sort();
	const known = await tx
		.select({ fingerprint: bankEntry.fingerprint })
		.from(bankEntry)
		// The day is a part of what is hashed: only entries of these days can have one of them.
		.where(and(eq(bankEntry.bankAccountId, accountId), between(bankEntry.booked, days[0]!, days.at(-1)!)));
	const taken = new Set(known.map((one) => one.fingerprint));
	const next = new Map<string, number>();
	return rows.map((row) => {
		const content = contentHash(entryOfRow(row));
		let n = next.get(content) ?? 0;
		while (taken.has(`${content}:${n}`)) n++;
		next.set(content, n + 1);
		return `${content}:${n}`;
	});
}

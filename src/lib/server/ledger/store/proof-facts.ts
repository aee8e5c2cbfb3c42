import { asc, eq, inArray, sql } from 'drizzle-orm';
import { CHART } from '../../../core/5-journal/chart';
import type { ProofFacts } from '../../../core/5-journal/proof/facts';
import type { Reader } from '../../platform/db/open';
import { everMerged } from '../../customers/store/merged-accounts';
import { returnsNotShown } from '../../returns/store/returned-payments';
import {
	act,
	allocation,
	bankAccount,
	bankEntry,
	bankStatement,
	receiptAdjustment,
	difference,
	document,
	item,
	itemState,
	journalLine,
	receipt,
	receiptState,
	statementEntry
} from '../../platform/db/schema';
import { STILL } from '../../platform/db/derived/open-spans';
import { kindOf, namesOf } from '../../act/kinds';

/** Reads all that the proof needs. Accounts that were ever seen as one are held against their records together. */
export async function proofFacts(db: Reader): Promise<ProofFacts> {
	const postings = await db
		.select({
			id: act.id,
			kind: act.kind,
			receiptId: act.receiptId,
			customerId: act.customerId,
			date: act.date,
			undoesId: act.undoesId
		})
		.from(act)
		.where(inArray(act.kind, namesOf('allocate-receipt', 'undo-posting')))
		.orderBy(asc(act.id));
	const isAllocation = (row: (typeof postings)[number]) => kindOf(row) === 'allocate-receipt';
	const merged = await everMerged(db);
	const accountOf = <Id extends number | null>(id: Id): Id => (merged.get(id ?? 0) as Id | undefined) ?? id;
	const together = <Row extends { readonly customerId: number | null }>(rows: readonly Row[]): Row[] =>
		merged.size === 0
			? (rows as Row[])
			: rows.map((row) => ({ ...row, customerId: accountOf(row.customerId) }));
	const placed = new Set(postings.filter(isAllocation).map((row) => row.id));
	return {
		lines: together(await db.select().from(journalLine)),
		items: together(
			await db
				.select({
					id: item.id,
					documentId: item.documentId,
					number: document.number,
					customerId: document.customerId,
					currency: document.currency,
					credit: sql<boolean>`${document.kind} = 'credit_note'`.mapWith(Boolean),
					issued: sql<string>`coalesce(${document.openingOn}, ${document.issued})`,
					total: item.total,
					totalBase: item.totalBase,
					stateOpen: itemState.open,
					stateOpenBase: itemState.openBase
				})
				.from(item)
				.innerJoin(document, eq(document.id, item.documentId))
				.innerJoin(itemState, eq(itemState.itemId, item.id))
		),
		allocations: (await db.select().from(allocation)).map((row) =>
			merged.size === 0 ? row : { ...row, creditCustomerId: accountOf(row.creditCustomerId) }
		),
		differences: await db.select().from(difference),
		receiptAdjustments: together(await db.select().from(receiptAdjustment)),
		receipts: together(
			await db
				.select({
					id: receipt.id,
					bankEntryId: receipt.bankEntryId,
					customerId: receiptState.customerId,
					state: receiptState.state,
					amount: receipt.amount,
					currency: receipt.currency,
					onAccount: receiptState.onAccount,
					onItsWay:
						sql<boolean>`${receipt.bankEntryId} is null and not ${receipt.isPettyCash} and ${receiptState.state} = 'allocated'
					and not exists (select 1 from standing_bank_match m where m.recorded_id = ${receipt.id})`.mapWith(Boolean),
					unidentified:
						sql<boolean>`${receiptState.unidentifiedActId} is not null and ${receiptState.state} in ('waiting', 'held')`.mapWith(
							Boolean
						)
				})
				.from(receipt)
				.innerJoin(receiptState, eq(receiptState.receiptId, receipt.id))
		),
		receiptPostings: postings
			.filter((row) => isAllocation(row) || placed.has(row.undoesId!))
			.map((row) => ({
				receiptId: row.receiptId!,
				customerId: accountOf(row.customerId!),
				date: row.date,
				sign: isAllocation(row) ? 1 : -1
			})),
		spans: together(await spanChanges(db)),
		entries: await db
			.select({
				id: bankEntry.id,
				accountId: bankEntry.bankAccountId,
				amount: bankEntry.amount,
				currency: bankEntry.currency
			})
			.from(bankEntry),
		statements: await db
			.select({
				accountId: bankStatement.bankAccountId,
				reference: bankStatement.reference,
				opening: bankStatement.opening,
				closing: bankStatement.closing,
				entries: sql<number>`coalesce(sum(${bankEntry.amount}), 0)`
			})
			.from(bankStatement)
			.leftJoin(statementEntry, eq(statementEntry.statementId, bankStatement.id))
			.leftJoin(bankEntry, eq(bankEntry.id, statementEntry.entryId))
			.groupBy(bankStatement.id),
		bankAccounts: await db
			.select({
				id: bankAccount.id,
				name: bankAccount.name,
				ledger: bankAccount.ledger,
				currency: bankAccount.currency
			})
			.from(bankAccount),
		returned: await returnsNotShown(db),
		receivables: CHART.receivables.code,
		back: CHART.returned.code,
		way: CHART.onItsWay.code,
		unidentified: CHART.unidentified.code
	};
}

/** What begins less what ends on each day, by customer and currency. */
const spanChanges = (db: Reader) =>
	db.all<ProofFacts['spans'][number]>(sql`
		select customer_id as "customerId", currency, day as date, sum(open) as amount, sum(base) as base from (
			select customer_id, currency, from_day as day, open, base from open_span
			union all
			select customer_id, currency, to_day, -open, -base from open_span where to_day <> ${STILL}
		) group by customer_id, currency, day`);

import { and, asc, desc, eq, inArray, lt, sql, isNull } from 'drizzle-orm';
import { CHART } from '../../../core/5-journal/chart';
import {
	act,
	bankAccount,
	bankEntry,
	bankStatement,
	customer,
	journalLine,
	ledgerAccount,
	receipt,
	receiptState
} from '../../platform/db/schema';
import type { Db } from '../../platform/db/open';
import { kindOf } from '../../act/kinds';
import { saidOf } from '../../act/said';
import { whatUndoingDoes } from '../../allocation/queries/what-undoing-does';
import { isUndoable } from '../../act/undoable';
import { defineLook } from '../../act/define-look';

export const JOURNAL_PAGE = 60;

/** Acts with their journal lines, newest first; one account or one act where asked. */
export const lookAtJournal = defineLook(
	'reader',
	async (db, query: { before: number | null; account: string; actId: number | null }) => {
		const within = query.actId === null ? null : await actWithParts(db, query.actId);
		const ids = await db
			.selectDistinct({ id: journalLine.actId })
			.from(journalLine)
			.where(
				and(
					query.before ? lt(journalLine.actId, query.before) : undefined,
					query.account ? eq(journalLine.account, query.account) : undefined,
					within ? inArray(journalLine.actId, within) : undefined
				)
			)
			.orderBy(desc(journalLine.actId))
			.limit(JOURNAL_PAGE);
		const wanted = ids.map((row) => row.id);
		if (wanted.length === 0) return { entries: [], next: null };
		const acts = await db.select().from(act).where(inArray(act.id, wanted)).orderBy(desc(act.id));
		const lines = await db
			.select({
				line: journalLine,
				account: ledgerAccount.name,
				customer: customer.name,
				code: customer.code
			})
			.from(journalLine)
			.innerJoin(ledgerAccount, eq(ledgerAccount.code, journalLine.account))
			.leftJoin(customer, eq(customer.id, journalLine.customerId))
			.where(inArray(journalLine.actId, wanted))
			.orderBy(asc(journalLine.id));
		return {
			entries: acts.map((row) => ({
				...{ id: row.id, kind: kindOf(row), date: row.date, at: row.at, userName: row.userName },
				undoesId: row.undoesId,
				said: saidOf(row),
				lines: lines
					.filter(({ line }) => line.actId === row.id)
					.map(({ line, account, customer: name, code }) => ({
						...line,
						name: account,
						customer: name,
						code
					}))
			})),
			next: wanted.length === JOURNAL_PAGE ? wanted.at(-1)! : null
		};
	}
);

/** An act and everything that is a part of it, however deep. */
async function actWithParts(db: Db, actId: number): Promise<number[]> {
	const rows = await db.all<{ id: number }>(sql`
		with recursive within(id) as (
			select ${actId} union select a.id from act a join within w on a.parent_id = w.id
		) select id from within`);
	return rows.map((row) => row.id);
}

/** What may follow an act that is looked at by itself: put right while its allocation stands, or allocated again after it was taken back. */
export const whatMayFollow = defineLook('reader', async (db, actId: number) => {
	const one = await db.select().from(act).where(eq(act.id, actId)).get();
	const within = await actWithParts(db, actId);
	const standing = await db
		.select({ receiptId: receiptState.receiptId, state: receiptState.state, actId: receiptState.actId })
		.from(receiptState)
		.where(inArray(receiptState.actId, within))
		.all();
	const [alone] = standing.length === 1 ? standing : [];
	const undone =
		one === undefined ||
		(await db.select({ id: act.id }).from(act).where(eq(act.undoesId, one.id)).get()) !== undefined;
	const first =
		one && kindOf(one) === 'undo-posting'
			? await db.select().from(act).where(eq(act.id, one.undoesId!)).get()
			: undefined;
	const waits =
		first?.receiptId != null
			? await db
					.select({ state: receiptState.state })
					.from(receiptState)
					.where(eq(receiptState.receiptId, first.receiptId))
					.get()
			: undefined;
	return {
		...{ id: actId, kind: one && kindOf(one), said: one && saidOf(one) },
		/** The act by which the money stands allocated, where it is one receipt's alone. */
		putRight: alone?.state === 'allocated' ? { actId: alone.actId, receiptId: alone.receiptId } : null,
		/** Where it can be undone as a whole. */
		undo: one && !undone && isUndoable(kindOf(one)) && kindOf(one) !== 'undo-posting' ? one.id : null,
		undoing: one ? await whatUndoingDoes(db, within) : null,
		asBefore:
			(first && kindOf(first) === 'allocate-credits') ||
			(first &&
				kindOf(first) === 'allocate-receipt' &&
				(waits?.state === 'waiting' || waits?.state === 'held'))
	};
});

/** Balances of the ledger accounts, and each bank account beside its last statement and what still waits. */
export const lookAtBalances = defineLook('reader', async (db, _: null) => {
	const balances = await db
		.select({
			code: ledgerAccount.code,
			name: ledgerAccount.name,
			currency: journalLine.currency,
			amount: sql<number>`sum(${journalLine.amount})`,
			base: sql<number>`sum(${journalLine.base})`,
			lines: sql<number>`count(*)`
		})
		.from(journalLine)
		.innerJoin(ledgerAccount, eq(ledgerAccount.code, journalLine.account))
		.groupBy(ledgerAccount.code, journalLine.currency)
		.orderBy(asc(ledgerAccount.code));
	const accounts = await db.select().from(bankAccount).orderBy(asc(bankAccount.id));
	const banks = await Promise.all(
		accounts.map(async (account) => {
			const last = await db
				.select()
				.from(bankStatement)
				.where(eq(bankStatement.bankAccountId, account.id))
				.orderBy(desc(bankStatement.closingOn), desc(bankStatement.id))
				.limit(1)
				.get();
			const first = await db
				.select()
				.from(bankStatement)
				.where(eq(bankStatement.bankAccountId, account.id))
				.orderBy(asc(bankStatement.openingOn), asc(bankStatement.id))
				.limit(1)
				.get();
			const waiting = await db
				.select({ sum: sql<number>`coalesce(sum(${receipt.amount}), 0)`, n: sql<number>`count(*)` })
				.from(receiptState)
				.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
				.innerJoin(bankEntry, eq(bankEntry.id, receipt.bankEntryId))
				.where(
					and(
						eq(bankEntry.bankAccountId, account.id),
						// What waits for a supervisor is not booked either.
						inArray(receiptState.state, ['waiting', 'held', 'in_approval']),
						isNull(receiptState.unidentifiedActId)
					)
				)
				.get();
			const ledger = balances.find((row) => row.code === account.ledger)?.amount ?? 0;
			return {
				...account,
				ledgerBalance: ledger,
				opening: first?.opening ?? 0,
				closing: last?.closing ?? null,
				closingOn: last?.closingOn ?? null,
				waiting: waiting?.sum ?? 0,
				waitingCount: waiting?.n ?? 0
			};
		})
	);
	const control = balances.filter((row) => row.code === CHART.receivables.code);
	return { balances, banks, control };
});

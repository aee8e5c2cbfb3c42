import { and, desc, eq, inArray, ne, sql, type SQL } from 'drizzle-orm';
import { CHART } from '../../core/5-journal/chart';
import { accountLedger } from '../../core/6-reports/account-ledger';
import type { ActKind } from '../../core/model/act-facts';
import { minor, type Minor, ZERO } from '../../core/money/minor';
import { kindOf } from '../act/kinds';
import type { Reader } from '../db/open';
import {
	act,
	allocation,
	receiptAdjustment,
	customer,
	difference,
	document,
	item,
	journalLine,
	receipt,
	receiptState
} from '../db/schema';
import { standingAllocation } from '../db/schema/standing';
import { groupBy } from '../repo/group-by';
import { defineLook } from './define-look';

/** So many lines are one page. */
export const LEDGER_PAGE = 100;

/** What a ledger line settled, or was settled by. */
export interface Thread {
	/** A document's number; empty for a receipt, which is known by its day. */
	readonly label: string;
	readonly date: string | null;
	readonly amount: number;
	readonly itemId: number | null;
	readonly actId: number | null;
}

export interface LedgerQuery {
	readonly code: string;
	/** The oldest line of the page that was seen, as `day~number`; null for the newest page. */
	readonly before: string | null;
}

type Line = typeof journalLine.$inferSelect & { readonly act: typeof act.$inferSelect };
/** What a line is called, and what it leads to. */
interface Named {
	/** A kind of document, deduction, adjustment or act, or `moved` for value from or to another account. */
	readonly kind: string;
	readonly label: string;
	readonly text: string;
	readonly receiptId: number | null;
	readonly itemId: number | null;
	/** An allocation that was undone since. */
	readonly undone: boolean;
	readonly onAccount: number;
	readonly threads: readonly Thread[];
}

/**
 * A page of a customer's ledger, oldest first: each line by what it stands for, with the running balance of its currency and
 * threads both ways; and what the lines before the page come to.
 */
export const lookAtLedger = defineLook('reader', async (db, { code, before }: LedgerQuery) => {
	const owner = await db.select({ id: customer.id }).from(customer).where(eq(customer.code, code)).get();
	if (!owner) return null;
	const own = and(
		eq(journalLine.customerId, owner.id),
		eq(journalLine.account, CHART.receivables.code),
		ne(journalLine.amount, ZERO)
	)!;
	const found = await db
		.select({ line: journalLine, act })
		.from(journalLine)
		.innerJoin(act, eq(act.id, journalLine.actId))
		.where(and(own, before === null ? undefined : earlierThan(before)))
		.orderBy(desc(journalLine.date), desc(journalLine.id))
		.limit(LEDGER_PAGE + 1);
	const lines = found
		.slice(0, LEDGER_PAGE)
		.reverse()
		.map((row): Line => ({ ...row.line, act: row.act }));
	const first = lines[0];
	const mark = first && found.length > LEDGER_PAGE ? `${first.date}~${first.id}` : null;
	const brought = mark
		? await db
				.select({ currency: journalLine.currency, amount: sql<number>`sum(${journalLine.amount})` })
				.from(journalLine)
				.where(and(own, earlierThan(mark)))
				.groupBy(journalLine.currency)
		: [];
	const name = await namerOf(db, lines);
	const opening = new Map(brought.map((row) => [row.currency, minor(row.amount)]));
	const rows = accountLedger(
		lines.map((line) => ({
			...{ id: line.id, date: line.date, amount: minor(line.amount), currency: line.currency },
			...{ actId: line.actId, by: line.act.userName, at: line.act.at },
			...name(line)
		})),
		opening
	);
	return { rows, brought, earlier: mark };
});

/** Lines before one that is given as `day~number`. */
function earlierThan(mark: string): SQL {
	const [date = '', id = ''] = mark.split('~');
	return sql`(${journalLine.date}, ${journalLine.id}) < (${date}, ${Number(id) || 0})`;
}

/** Reads what the lines of a page stand for, and names each by it. */
async function namerOf(db: Reader, lines: readonly Line[]): Promise<(line: Line) => Named> {
	const idsOf = (kind: Line['sourceKind']) =>
		lines.flatMap((line) => (line.sourceKind === kind && line.sourceId !== null ? [line.sourceId] : []));
	const documents = byId(
		await db
			.select()
			.from(document)
			.where(inArray(document.id, idsOf('document')))
	);
	const gaps = byId(
		await db
			.select()
			.from(difference)
			.where(inArray(difference.id, idsOf('deduction')))
	);
	const changes = byId(
		await db
			.select()
			.from(receiptAdjustment)
			.where(inArray(receiptAdjustment.id, idsOf('receipt-adjustment')))
	);
	const moves = byId(
		await db
			.select()
			.from(allocation)
			.where(inArray(allocation.id, idsOf('allocation')))
	);
	const items = await db
		.select({ id: item.id, documentId: item.documentId })
		.from(item)
		.where(inArray(item.documentId, [...documents.keys()]));
	const itemsOfDocument = groupBy(items, (row) => row.documentId);
	const itemIds = items.map((row) => row.id);
	const standing = (which: SQL | undefined) => db.select().from(standingAllocation).where(which);
	const settling = await standing(inArray(standingAllocation.itemId, itemIds));
	const settled = await standing(inArray(standingAllocation.creditItemId, itemIds));
	const paid = await standing(
		and(
			inArray(
				standingAllocation.actId,
				lines.flatMap((line) => (line.sourceKind === 'receipt' ? [line.actId] : []))
			),
			sql`${standingAllocation.receiptId} is not null`
		)
	);
	const bySettled = groupBy(settling, (part) => part.itemId);
	const byCredit = groupBy(settled, (part) => part.creditItemId);
	const byAct = groupBy(paid, (part) => part.actId);
	const receipts = byId(
		await db
			.select({ id: receipt.id, payerName: receipt.payerName, booked: receipt.booked, state: receiptState })
			.from(receipt)
			.innerJoin(receiptState, eq(receiptState.receiptId, receipt.id))
			.where(
				inArray(receipt.id, [
					...idsOf('receipt'),
					...settling.flatMap((part) => part.receiptId ?? []),
					...[...changes.values()].map((change) => change.receiptId)
				])
			)
	);
	const numbers = await numbersOf(db, [
		...[...gaps.values(), ...moves.values(), ...paid, ...settled].map((row) => row.itemId),
		...settling.flatMap((part) => part.creditItemId ?? [])
	]);
	const toItem = ({ itemId, amount }: { itemId: number; amount: number }): Thread => ({
		...{ label: numbers.get(itemId) ?? '', date: null, amount, itemId, actId: null }
	});
	const fromCredit = (part: typeof standingAllocation.$inferSelect): Thread =>
		part.receiptId === null
			? toItem({ itemId: part.creditItemId!, amount: part.amount })
			: {
					...{ label: '', date: receipts.get(part.receiptId)?.booked ?? part.date },
					...{ amount: part.amount, itemId: null, actId: part.actId }
				};
	const plain = { label: '', text: '', receiptId: null, itemId: null, undone: false, onAccount: 0 };
	return (line) => {
		const id = line.sourceId ?? 0;
		const kind: ActKind = kindOf(line.act);
		switch (line.sourceKind) {
			case 'document': {
				const one = documents.get(id)!;
				const own = (itemsOfDocument.get(one.id) ?? []).map((row) => row.id);
				const threads = own.flatMap((itemId) => [
					...(bySettled.get(itemId) ?? []).map(fromCredit),
					...(byCredit.get(itemId) ?? []).map(toItem)
				]);
				const { number: label, text } = one;
				return { ...plain, kind: one.kind, label, text, itemId: own[0] ?? null, threads };
			}
			case 'receipt': {
				const one = receipts.get(id);
				const stands = one?.state.actId === line.actId;
				return {
					...{ ...plain, kind, label: one?.payerName ?? 'Receipt', receiptId: id },
					undone: kind === 'allocate-receipt' && !stands,
					onAccount: stands ? (one?.state.onAccount ?? 0) : 0,
					threads: (byAct.get(line.actId) ?? []).map(toItem)
				};
			}
			case 'deduction': {
				const one = gaps.get(id)!;
				return { ...plain, kind: one.kind, threads: [toItem(one)] };
			}
			case 'receipt-adjustment': {
				const one = changes.get(id)!;
				const undone = one.kind === 'returned' && one.undoesId !== null;
				const label = receipts.get(one.receiptId)?.payerName ?? '';
				return { ...plain, kind: undone ? 'undo-return' : one.kind, label, threads: [] };
			}
			case 'allocation':
				return { ...plain, kind: 'moved', threads: [toItem(moves.get(id)!)] };
			default:
				return { ...plain, kind, threads: [] };
		}
	};
}

/** What items are called: the document's number, and which part of it where it has several. */
async function numbersOf(db: Reader, ids: readonly number[]): Promise<Map<number, string>> {
	const rows = await db
		.select({ id: item.id, number: document.number, part: item.part, parts: item.parts })
		.from(item)
		.innerJoin(document, eq(document.id, item.documentId))
		.where(inArray(item.id, [...new Set(ids)]));
	return new Map(
		rows.map(({ id, number, part, parts }) => [id, parts > 1 ? `${number} (${part} of ${parts})` : number])
	);
}

function byId<T extends { readonly id: number }>(rows: readonly T[]): Map<number, T> {
	return new Map(rows.map((row) => [row.id, row]));
}

export type LedgerRow = NonNullable<Awaited<ReturnType<typeof lookAtLedger>>>['rows'][number] & {
	readonly balance: Minor;
};

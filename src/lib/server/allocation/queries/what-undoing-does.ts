import { asc, eq, inArray, isNull, and } from 'drizzle-orm';
import { itemLabel } from '../../../core/4-allocation/item-label';
import { CHART } from '../../../core/5-journal/chart';
import type { Day } from '../../../core/day/day';
import type { ActKind } from '../../../core/model/act-facts';
import { kindOf } from '../../act/kinds';
import { firstOpenDay } from '../../periods/store/check-period';
import type { Db } from '../../platform/db/open';
import {
	act,
	bankAccount,
	document,
	item,
	journalLine,
	ledgerAccount,
	receipt,
	standingAllocation
} from '../../platform/db/schema';
import { UNDOABLE_POSTINGS } from '../../act/undoable';

/** What undoing a posting, or all postings of a decision, does to the books. */
export interface Undoing {
	readonly kind: ActKind;
	/** How many postings of a decision are undone together. */
	readonly parts: number;
	/** The items that are open again, the first few, and how many in all. */
	readonly opens: readonly string[];
	readonly opensCount: number;
	/** Money that waits in the pile again: sums by currency. Signed; negative for money that went out. */
	readonly waits: readonly { readonly amount: number; readonly currency: string }[];
	/** Ledger accounts that the money comes off. */
	readonly accounts: readonly string[];
	/** The accounting day, where it is another than that of the act: the act's own is locked. */
	readonly date: Day | null;
}

const MOST_NAMED = 6;

/** What undoing an act does, before anybody does it. @param ids the act, and everything that is a part of it */
export async function whatUndoingDoes(db: Db, ids: readonly number[]): Promise<Undoing | null> {
	const [first] = await db.select().from(act).where(eq(act.id, ids[0]!));
	if (!first) return null;
	const acts = await db
		.select()
		.from(act)
		.where(inArray(act.id, [...ids]))
		.orderBy(asc(act.id));
	const undone = new Set(
		(
			await db
				.select({ id: act.undoesId })
				.from(act)
				.where(inArray(act.undoesId, [...ids]))
		).map((row) => row.id)
	);
	const postings = acts.filter((row) => UNDOABLE_POSTINGS.includes(kindOf(row)) && !undone.has(row.id));
	const actIds = postings.map((row) => row.id);
	const items = await db
		.selectDistinct({ id: item.id, number: document.number, part: item.part, parts: item.parts })
		.from(standingAllocation)
		.innerJoin(item, eq(item.id, standingAllocation.itemId))
		.innerJoin(document, eq(document.id, item.documentId))
		.where(inArray(standingAllocation.actId, actIds))
		.orderBy(asc(item.id));
	const money = await db
		.select({ amount: receipt.amount, currency: receipt.currency })
		.from(receipt)
		.where(
			inArray(
				receipt.id,
				postings.flatMap((row) => (kindOf(row) === 'allocate-credits' ? [] : (row.receiptId ?? [])))
			)
		);
	const waits = new Map<string, number>();
	for (const { amount, currency } of money) waits.set(currency, (waits.get(currency) ?? 0) + amount);
	const accounts = await db
		.selectDistinct({ code: ledgerAccount.code, name: ledgerAccount.name })
		.from(journalLine)
		.innerJoin(ledgerAccount, eq(ledgerAccount.code, journalLine.account))
		.leftJoin(bankAccount, eq(bankAccount.ledger, journalLine.account))
		.where(and(inArray(journalLine.actId, actIds), isNull(bankAccount.id)));
	const open = await firstOpenDay(db);
	return {
		...{ kind: kindOf(first), parts: postings.length },
		opens: items.slice(0, MOST_NAMED).map(itemLabel),
		opensCount: items.length,
		waits: [...waits].map(([currency, amount]) => ({ amount, currency })),
		accounts: accounts.flatMap(({ code, name }) => (code === CHART.receivables.code ? [] : name)),
		date: open && first.date < open ? open : null
	};
}

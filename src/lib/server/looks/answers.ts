import { asc, desc, eq, inArray } from 'drizzle-orm';
import type { Answer } from '../../core/3-matching/answer';
import { answerReceipts } from '../../core/3-matching/answer-receipts';
import type { MatchBooks } from '../../core/3-matching/world';
import type { Day } from '../../core/day/day';
import type { ReceiptFacts } from '../../core/model/records';
import { minor, type Minor } from '../../core/money/minor';
import type { PlaceInput } from '../place-input';
import { act, receipt, receiptState } from '../db/schema';
import type { Db } from '../db/open';
import { matchingBooks } from '../repo/matching-books';

export interface Waiting extends ReceiptFacts {
	readonly version: number;
	readonly heldBecause: string | null;
	/** The act that booked it to unidentified receipts, where it lies there meanwhile. */
	readonly unidentifiedActId: number | null;
	readonly bankEntryId: number | null;
	/** What was laid when it was held, or null. */
	readonly heldOrder: PlaceInput | null;
	readonly charges: Minor;
	/** What a processor is known to have kept: the payer is credited with it as well. */
	readonly fee: Minor;
	readonly parentId: number | null;
	readonly method: string;
	/** The bank's reason where the entry is a return. */
	readonly returnReason: string | null;
}

export interface Pile {
	readonly receipts: readonly Waiting[];
	readonly answers: ReadonlyMap<number, Answer>;
	readonly books: MatchBooks;
}

/** The newest act of the books that a pile was answered for. */
const cache = new WeakMap<Db, { actId: number; pile: Promise<Pile> }>();

/** All receipts that wait, answered together; computed anew only when something was done since. */
export async function answeredPile(db: Db): Promise<Pile> {
	const last = await db.select({ id: act.id }).from(act).orderBy(desc(act.id)).limit(1).get();
	const actId = last?.id ?? 0;
	const known = cache.get(db);
	if (known?.actId === actId) return known.pile;
	const pile = answerPile(db);
	cache.set(db, { actId, pile });
	pile.catch(() => cache.delete(db));
	return pile;
}

async function answerPile(db: Db): Promise<Pile> {
	const rows = await db
		.select({ row: receipt, state: receiptState })
		.from(receiptState)
		.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
		.where(inArray(receiptState.state, ['waiting', 'held']))
		.orderBy(asc(receiptState.booked), asc(receipt.id));
	const receipts = rows.map(({ row, state }) => ({
		id: row.id,
		booked: row.booked as Day,
		amount: row.amount as Minor,
		currency: row.currency,
		payerName: row.payerName,
		payerAccount: row.payerAccount,
		text: row.text,
		structuredReference: row.structuredReference,
		endToEndId: row.endToEndId,
		knownCustomerId: row.knownCustomerId,
		version: state.version,
		heldBecause: state.heldBecause,
		unidentifiedActId: state.unidentifiedActId,
		heldOrder: state.heldOrder === null ? null : (JSON.parse(state.heldOrder) as PlaceInput),
		bankEntryId: row.bankEntryId,
		charges: row.charges as Minor,
		fee: row.fee as Minor,
		parentId: row.parentId,
		method: row.method,
		returnReason: row.returnReason
	}));
	const books = await matchingBooks(db, receipts);
	const gross = receipts.map((row) => ({ ...row, amount: minor(row.amount + row.fee) }));
	const answers = new Map(answerReceipts(gross, books).map((answer) => [answer.receiptId, answer]));
	return { receipts, answers, books };
}

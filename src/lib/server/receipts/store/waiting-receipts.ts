import { and, asc, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { ReceiptFacts } from '../../../core/model/records';
import type { Minor } from '../../../core/money/minor';
import { entryDoubts } from './entry-doubts';
import { allocationInput, type AllocationInput } from '../../allocation/allocation-input';
import { inList } from '../../platform/db/in-list';
import type { Reader } from '../../platform/db/open';
import { bankEntry, receipt, receiptState } from '../../platform/db/schema';

/** A receipt that waits, and what the desk shows of it beside the answer. */
export interface Waiting extends ReceiptFacts {
	readonly version: number;
	readonly heldBecause: string | null;
	/** Who looks into it; null for nobody in particular. */
	readonly heldFor: string | null;
	/** The firm's account at which the bank shows it; null for money recorded by hand. */
	readonly bankAccountId: number | null;
	/** The bank's code for the kind of entry. */
	readonly code: string | null;
	/** The act that booked it to unidentified receipts, where it lies there meanwhile. */
	readonly unidentifiedActId: number | null;
	readonly bankEntryId: number | null;
	/** What was laid when it was held, or null. */
	readonly heldOrder: AllocationInput | null;
	readonly charges: Minor;
	/** What a processor is known to have kept: the payer is credited with it as well. */
	readonly fee: Minor;
	readonly parentId: number | null;
	readonly method: string;
	/** The bank's reason where the entry is a return. */
	readonly returnReason: string | null;
}

/** How many receipts wait to be dealt with: what is booked as unidentified is dealt with for the day. */
export async function countWaiting(db: Reader): Promise<number> {
	const row = await db
		.select({ n: sql<number>`count(*)` })
		.from(receiptState)
		.where(and(inArray(receiptState.state, ['waiting', 'held']), isNull(receiptState.unidentifiedActId)))
		.get();
	return row?.n ?? 0;
}

/** All that wait, or those of some, with what is known of each, the oldest first. */
export async function waitingReceipts(db: Reader, ids?: readonly number[]): Promise<Waiting[]> {
	const rows = await db
		.select({
			row: receipt,
			state: receiptState,
			bankAccountId: bankEntry.bankAccountId,
			code: bankEntry.code
		})
		.from(receiptState)
		.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
		.leftJoin(bankEntry, eq(bankEntry.id, receipt.bankEntryId))
		.where(and(inArray(receiptState.state, ['waiting', 'held']), ids && inList(receiptState.receiptId, ids)))
		.orderBy(asc(receiptState.booked), asc(receipt.id));
	const doubts = await entryDoubts(db);
	return rows.map(({ row, state, bankAccountId, code }) => ({
		id: row.id,
		booked: row.booked,
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
		heldFor: state.heldFor,
		...{ bankAccountId, code },
		unidentifiedActId: state.unidentifiedActId,
		heldOrder: heldOrderOf(state.heldOrder),
		bankEntryId: row.bankEntryId,
		charges: row.charges as Minor,
		fee: row.fee as Minor,
		parentId: row.parentId,
		method: row.method,
		returnReason: row.returnReason,
		doubt: row.bankEntryId === null ? null : (doubts.get(row.bankEntryId) ?? null)
	}));
}

/** What was laid when it was held; what cannot be read is not there. */
function heldOrderOf(stored: string | null): AllocationInput | null {
	const read = stored === null ? null : allocationInput.safeParse(jsonOf(stored));
	return read?.success ? read.data : null;
}

function jsonOf(text: string): unknown {
	try {
		return JSON.parse(text);
	} catch {
		return null;
	}
}

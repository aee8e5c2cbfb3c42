import { getTableName, sql, type SQL, type Table } from 'drizzle-orm';
import { sqliteView, type SQLiteColumn } from 'drizzle-orm/sqlite-core';
import { bankMatch } from './by-hand';
import { allocation, difference, receiptAdjustment } from './receipts';
import { bankReturnMatch, returnedPayment } from './returns';

/*
 * What stands: rows that undo nothing and were not undone. Whoever asks what is so now reads these, so that no query forgets
 * the half of it; the tables themselves are for the journal, the record and the proof.
 */

/** That a row neither undoes another one of its table nor was undone by one. */
function isNotUndone(table: Table & Record<'id' | 'undoesId', SQLiteColumn>): SQL {
	const name = sql.raw(getTableName(table));
	return sql`${table.undoesId} is null and not exists (select 1 from ${name} u where u.undoes_id = ${table.id})`;
}

export const standingAllocation = sqliteView('standing_allocation').as((query) =>
	query.select().from(allocation).where(isNotUndone(allocation))
);

export const standingDifference = sqliteView('standing_difference').as((query) =>
	query.select().from(difference).where(isNotUndone(difference))
);

export const standingReceiptAdjustment = sqliteView('standing_receipt_adjustment').as((query) =>
	query.select().from(receiptAdjustment).where(isNotUndone(receiptAdjustment))
);

export const standingBankMatch = sqliteView('standing_bank_match').as((query) =>
	query.select().from(bankMatch).where(isNotUndone(bankMatch))
);

export const standingBankReturnMatch = sqliteView('standing_bank_return_match').as((query) =>
	query.select().from(bankReturnMatch).where(isNotUndone(bankReturnMatch))
);

/** A return is undone by the act that points at its own. */
export const standingReturnedPayment = sqliteView('standing_returned_payment').as((query) =>
	query
		.select()
		.from(returnedPayment)
		.where(sql`not exists (select 1 from act u where u.undoes_id = ${returnedPayment.actId})`)
);

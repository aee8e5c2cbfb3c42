import { sql } from 'drizzle-orm';
import { sqliteView } from 'drizzle-orm/sqlite-core';
import { bankMatch } from './by-hand';
import { allocation, difference, receiptAdjustment } from './receipts';
import { bankReturnMatch, returnedPayment } from './returns';

/*
 * What stands: rows that undo nothing and were not undone. Whoever asks what is so now reads these, so that no query forgets
 * the half of it; the tables themselves are for the journal, the record and the proof.
 */

export const standingAllocation = sqliteView('standing_allocation').as((query) =>
	query
		.select()
		.from(allocation)
		.where(
			sql`${allocation.undoesId} is null and not exists (select 1 from allocation u where u.undoes_id = ${allocation.id})`
		)
);

export const standingDifference = sqliteView('standing_difference').as((query) =>
	query
		.select()
		.from(difference)
		.where(
			sql`${difference.undoesId} is null and not exists (select 1 from difference u where u.undoes_id = ${difference.id})`
		)
);

export const standingReceiptAdjustment = sqliteView('standing_receipt_adjustment').as((query) =>
	query
		.select()
		.from(receiptAdjustment)
		.where(
			sql`${receiptAdjustment.undoesId} is null and not exists (select 1 from receipt_adjustment u where u.undoes_id = ${receiptAdjustment.id})`
		)
);

export const standingBankMatch = sqliteView('standing_bank_match').as((query) =>
	query
		.select()
		.from(bankMatch)
		.where(
			sql`${bankMatch.undoesId} is null and not exists (select 1 from bank_match u where u.undoes_id = ${bankMatch.id})`
		)
);

export const standingBankReturnMatch = sqliteView('standing_bank_return_match').as((query) =>
	query
		.select()
		.from(bankReturnMatch)
		.where(
			sql`${bankReturnMatch.undoesId} is null and not exists (select 1 from bank_return_match u where u.undoes_id = ${bankReturnMatch.id})`
		)
);

/** A return is undone by the act that points at its own. */
export const standingReturnedPayment = sqliteView('standing_returned_payment').as((query) =>
	query
		.select()
		.from(returnedPayment)
		.where(sql`not exists (select 1 from act u where u.undoes_id = ${returnedPayment.actId})`)
);

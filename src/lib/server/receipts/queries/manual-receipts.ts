import { asc, desc, eq, isNull, inArray, and } from 'drizzle-orm';
import type { ReceiptState } from '../../../core/2-receipts/receipt-life';
import { addDays } from '../../../core/day/arithmetic';
import { paidIntoOf } from '../store/paid-into';
import { waysToPay } from './ways-to-pay';
import {
	bankAccount,
	customer,
	manualReceipt,
	payingInSlip,
	receipt,
	receiptState,
	slipReceipt,
	standingBankMatch
} from '../../platform/db/schema';
import type { Db } from '../../platform/db/open';
import { onItsWay } from '../store/on-its-way';
import { readSetting } from '../../firm/store/settings';
import { defineLook } from '../../act/define-look';

/** After so many days without being seen at the bank, recorded money is pointed out. */
const LATE_DAYS = 5;
const SLIPS = 12;
/** So many of those that were recorded last are listed, to be voided where one was a mistake. */
const LATELY = 30;

/** Payments recorded by hand: typed and not posted, dated for later, waiting for a slip, and on their way. */
export const lookAtManualReceipts = defineLook('reader', async (db, _: null, { today }) => {
	const drafts = await db
		.select({ draft: manualReceipt, name: customer.name, code: customer.code })
		.from(manualReceipt)
		.innerJoin(customer, eq(customer.id, manualReceipt.customerId))
		.orderBy(asc(manualReceipt.date), asc(manualReceipt.id));
	const rows = drafts.map(({ draft, name, code }) => ({
		...draft,
		...{ name, code, paidInto: paidIntoOf(draft) }
	}));
	const loose = await db
		.select({
			id: receipt.id,
			booked: receipt.booked,
			method: receipt.method,
			reference: receipt.text,
			name: receipt.payerName,
			amount: receipt.amount,
			currency: receipt.currency,
			paidIntoId: receipt.paidIntoId
		})
		.from(receipt)
		.innerJoin(receiptState, eq(receiptState.receiptId, receipt.id))
		.leftJoin(slipReceipt, eq(slipReceipt.receiptId, receipt.id))
		.where(
			and(
				isNull(receipt.bankEntryId),
				inArray(receipt.method, ['cheque', 'cash']),
				eq(receipt.isPettyCash, false),
				eq(receiptState.state, 'allocated'),
				isNull(slipReceipt.slipId)
			)
		)
		.orderBy(asc(receipt.id));
	const way = await onItsWay(db);
	const open = new Set(way.filter((one) => one.kind === 'receipt').map((one) => one.id));
	return {
		...(await waysToPay(db)),
		due: rows.filter((row) => row.date <= today),
		dated: rows.filter((row) => row.date > today),
		loose: loose.filter((row) => open.has(row.id)),
		slips: await db.select().from(payingInSlip).orderBy(desc(payingInSlip.id)).limit(SLIPS),
		way,
		lately: await recordedLately(db),
		lateSince: addDays(today, -LATE_DAYS)
	};
});

/** What was recorded by hand last, the newest first, each with where its money is. */
async function recordedLately(db: Db) {
	const rows = await db
		.select({
			...{ id: receipt.id, name: receipt.payerName, booked: receipt.booked, method: receipt.method },
			isPettyCash: receipt.isPettyCash,
			...{ reference: receipt.text, amount: receipt.amount, currency: receipt.currency },
			...{ state: receiptState.state, version: receiptState.version },
			...{ actId: receiptState.actId, lastActId: receiptState.lastActId },
			slipId: slipReceipt.slipId,
			matchId: standingBankMatch.id
		})
		.from(receipt)
		.innerJoin(receiptState, eq(receiptState.receiptId, receipt.id))
		.leftJoin(slipReceipt, eq(slipReceipt.receiptId, receipt.id))
		.leftJoin(standingBankMatch, eq(standingBankMatch.recordedId, receipt.id))
		.where(isNull(receipt.bankEntryId))
		.orderBy(desc(receipt.id))
		.limit(LATELY);
	return rows.map(({ slipId, matchId, ...row }) => ({ ...row, where: whereItIs(row, slipId, matchId) }));
}

function whereItIs(
	{ state, isPettyCash }: { readonly state: ReceiptState; readonly isPettyCash: boolean },
	slipId: number | null,
	matchId: number | null
): 'voided' | 'pile' | 'bank' | 'slip' | 'petty cash' | 'way' {
	if (state === 'voided') return 'voided';
	if (state !== 'allocated') return 'pile';
	if (matchId !== null) return 'bank';
	if (slipId !== null) return 'slip';
	return isPettyCash ? 'petty cash' : 'way';
}

/** One paying-in slip with its payments, for printing. */
export const lookAtSlip = defineLook('reader', async (db, id: number) => {
	const slip = await db
		.select({ slip: payingInSlip, bank: bankAccount })
		.from(payingInSlip)
		.innerJoin(bankAccount, eq(bankAccount.id, payingInSlip.bankAccountId))
		.where(eq(payingInSlip.id, id))
		.get();
	if (!slip) return null;
	const rows = await db
		.select({
			id: receipt.id,
			name: receipt.payerName,
			method: receipt.method,
			reference: receipt.text,
			amount: receipt.amount,
			currency: receipt.currency
		})
		.from(slipReceipt)
		.innerJoin(receipt, eq(receipt.id, slipReceipt.receiptId))
		.where(eq(slipReceipt.slipId, id))
		.orderBy(asc(receipt.id));
	return { ...slip, rows, firm: await readSetting(db, 'firm') };
});

import { and, asc, desc, eq, gt } from 'drizzle-orm';
import { age } from '../../../core/6-reports/age';
import type { Letter, LetterKind } from '../../../core/7-letters/letter';
import { recipientsOf, type Recipients } from '../../../core/7-letters/recipients-of';
import { writeLetter } from '../../../core/7-letters/write-letter';
import type { Day } from '../../../core/day/day';
import type { OpenItem } from '../../../core/model/records';
import { sumOf } from '../../../core/money/add';
import { minor, type Minor, ZERO } from '../../../core/money/minor';
import type { Result } from '../../../core/result';
import { err } from '../../../core/result';
import type { Reader } from '../../platform/db/open';
import { anchorCode } from '../../platform/anchors/anchor-code';
import { anchor, customer, manualReceipt, receipt, receiptState } from '../../platform/db/schema';
import { payIntoFor } from '../../firm/store/firm-bank';
import { openItemsOf } from '../../documents/store/open-items';
import { overtakenLetters } from './overtaken-letters';
import { returnedPayments } from '../../returns/store/returned-payments';
import { readSetting } from '../../firm/store/settings';

export interface LetterFor extends Recipients {
	readonly letter: Letter;
}

/** The letter that an account would get today, as data, and where it would go. */
export async function letterFor(
	db: Reader,
	kind: LetterKind,
	customerId: number,
	currency: string,
	today: Day,
	returnedId: number | null = null
): Promise<Result<LetterFor>> {
	const owner = await db.select().from(customer).where(eq(customer.id, customerId)).get();
	const firm = await readSetting(db, 'firm');
	if (!owner || !firm) return err({ code: 'not-found', what: 'customer' });
	const credits = await db
		.select({ reference: receipt.payerName, date: receipt.booked, open: receiptState.onAccount })
		.from(receiptState)
		.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
		.where(
			and(
				eq(receiptState.customerId, customerId),
				gt(receiptState.onAccount, ZERO),
				eq(receipt.currency, currency)
			)
		)
		.orderBy(asc(receipt.booked), asc(receipt.id));
	const dated = await db
		.select()
		.from(manualReceipt)
		.where(
			and(
				eq(manualReceipt.customerId, customerId),
				eq(manualReceipt.currency, currency),
				gt(manualReceipt.date, today)
			)
		)
		.orderBy(asc(manualReceipt.date), asc(manualReceipt.id));
	const items = await openItemsOf(db, [customerId]);
	const returned = returnedId === null ? null : await returnedInLetter(db, returnedId, items);
	if (kind === 'returned' && returned === null)
		return err({ code: 'not-found', what: 'returned payment whose notice waits' });
	const [overtaken] =
		kind === 'statement'
			? (await overtakenLetters(db, customerId)).filter((one) => one.currency === currency)
			: [];
	const record = kind === 'statement' ? await newestRecord(db) : null;
	const written = writeLetter(kind, {
		items,
		...(overtaken ? { corrects: { kind: overtaken.kind, date: overtaken.date } } : {}),
		...(returned ? { returned } : {}),
		credits: credits.map((row) => ({
			reference: 'Your payment',
			date: row.date,
			open: row.open as Minor
		})),
		date: today,
		currency,
		customer: {
			id: owner.id,
			code: owner.code,
			name: owner.name,
			address: owner.statementAddress ?? owner.address
		},
		firm: {
			name: firm.name,
			address: firm.address,
			email: firm.email,
			phone: firm.phone,
			registration: firm.registration,
			logo: firm.logo
		},
		quote: `account ${owner.code}`,
		account: await payIntoFor(db, currency),
		...(record ? { record } : {}),
		age: (rows) => age(rows, today),
		dated: dated.map((row) => ({
			date: row.date,
			reference: `${row.method} ${row.reference}`.trim(),
			amount: row.amount as Minor
		}))
	});
	if (!written.ok) return written;
	return {
		ok: true,
		value: {
			letter: written.value,
			...recipientsOf(owner, kind)
		}
	};
}

/** The newest anchor, as a statement names it; null where there is none yet. */
async function newestRecord(db: Reader): Promise<{ readonly day: Day; readonly code: string } | null> {
	const last = await db.select().from(anchor).orderBy(desc(anchor.id)).limit(1).get();
	return last ? { day: last.day, code: anchorCode(last) } : null;
}

/** A returned payment as its notice tells of it; null where it does not stand or its notice was sent. */
async function returnedInLetter(db: Reader, id: number, items: readonly OpenItem[]) {
	const [back] = await returnedPayments(db, { id });
	if (!back || back.letterId !== null) return null;
	const charge = items.filter((item) => item.documentId === back.chargeId);
	return {
		payment: {
			...{ id, amount: minor(back.amount), reason: back.reason, method: back.method },
			...{ paidOn: back.paidOn, on: back.date },
			charge: sumOf(charge, (item) => item.open)
		},
		itemIds: [...back.opened, ...charge.map((item) => item.id)]
	};
}

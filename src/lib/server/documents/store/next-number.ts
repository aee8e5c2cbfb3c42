import { and, desc, eq, isNull, ne, or } from 'drizzle-orm';
import { followingNumber } from '../../../core/1-open-items/following-number';
import type { DocumentIncome, DocumentKind } from '../../../core/model/records';
import type { Reader } from '../../platform/db/open';
import { document } from '../../platform/db/schema';

/** Numbers that a firm's first documents have, before it has any of a kind. */
const FIRST = { invoice: 'INV-1001', credit_note: 'CN-1001', charge: 'CH-1001' } as const;

/** Interest has a series of its own. */
const FIRST_OF_INTEREST = { invoice: 'INT-1001', credit_note: 'INC-1001', charge: 'INT-1001' } as const;

/** The next free number of a kind: the one after that of the newest document, past those that are taken. */
export async function nextNumber(
	db: Reader,
	kind: Exclude<DocumentKind, 'claim'>,
	income: DocumentIncome | null = null
): Promise<string> {
	const ofInterest = income === 'interest';
	const own = ofInterest
		? eq(document.income, 'interest')
		: or(isNull(document.income), ne(document.income, 'interest'));
	const last = await db
		.select({ number: document.number })
		.from(document)
		.where(and(eq(document.kind, kind), own))
		.orderBy(desc(document.id))
		.limit(1)
		.get();
	let number: string = last
		? followingNumber(last.number)
		: ofInterest
			? FIRST_OF_INTEREST[kind]
			: FIRST[kind];
	while (await isTaken(db, kind, number)) number = followingNumber(number);
	return number;
}

async function isTaken(db: Reader, kind: DocumentKind, number: string): Promise<boolean> {
	const same = and(eq(document.kind, kind), eq(document.number, number));
	return (await db.select({ id: document.id }).from(document).where(same).get()) !== undefined;
}

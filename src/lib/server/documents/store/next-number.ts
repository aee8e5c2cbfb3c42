import { and, desc, eq } from 'drizzle-orm';
import { followingNumber } from '../../../core/1-open-items/following-number';
import type { DocumentKind } from '../../../core/model/records';
import type { Reader } from '../../platform/db/open';
import { document } from '../../platform/db/schema';

/** Numbers that a firm's first documents have, before it has any of a kind. */
const FIRST = { invoice: 'INV-1001', credit_note: 'CN-1001', charge: 'CH-1001' } as const;

/** The next free number of a kind: the one after that of the newest document, past those that are taken. */
export async function nextNumber(db: Reader, kind: Exclude<DocumentKind, 'claim'>): Promise<string> {
	const last = await db
		.select({ number: document.number })
		.from(document)
		.where(eq(document.kind, kind))
		.orderBy(desc(document.id))
		.limit(1)
		.get();
	let number: string = last ? followingNumber(last.number) : FIRST[kind];
	while (await isTaken(db, kind, number)) number = followingNumber(number);
	return number;
}

async function isTaken(db: Reader, kind: DocumentKind, number: string): Promise<boolean> {
	const same = and(eq(document.kind, kind), eq(document.number, number));
	return (await db.select({ id: document.id }).from(document).where(same).get()) !== undefined;
}

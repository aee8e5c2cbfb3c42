import { and, desc, eq, sql } from 'drizzle-orm';
import { sumOf } from '../../../core/money/add';
import { minor } from '../../../core/money/minor';
import type { Reader } from '../../platform/db/open';
import { customer, document, documentLine, item, receipt, receiptState } from '../../platform/db/schema';
import { openItemsOf } from '../store/open-items';
import { nextNumber } from '../store/next-number';
import { attachedPdf } from '../store/attached-paper';
import { paperFor } from '../store/paper-for';
import { defineLook } from '../../act/define-look';

/** What a new document begins with: the customer's terms, the next free number of each kind, the rate of tax of its last invoice. */
export const lookAtNewDocument = defineLook('clerk', async (db, customerId: number | null) => {
	const owner = customerId
		? await db
				.select({
					id: customer.id,
					code: customer.code,
					name: customer.name,
					currency: customer.currency,
					address: customer.address,
					termsDays: customer.termsDays,
					termsFrom: customer.termsFrom,
					termsParts: customer.termsParts,
					discountBasisPoints: customer.discountBasisPoints,
					discountDays: customer.discountDays,
					creditLimit: customer.creditLimit
				})
				.from(customer)
				.where(eq(customer.id, customerId))
				.get()
		: undefined;
	const numbers = {
		invoice: await nextNumber(db, 'invoice'),
		credit_note: await nextNumber(db, 'credit_note'),
		charge: await nextNumber(db, 'charge')
	};
	const usual = owner
		? await db
				.select({ taxBasisPoints: documentLine.taxBasisPoints })
				.from(documentLine)
				.innerJoin(document, eq(document.id, documentLine.documentId))
				.where(and(eq(document.customerId, owner.id), eq(document.kind, 'invoice')))
				.orderBy(desc(documentLine.id))
				.limit(1)
				.get()
		: undefined;
	const limit =
		owner && owner.creditLimit !== null
			? { most: owner.creditLimit, owed: await owedBy(db, owner.id, owner.currency) }
			: null;
	return { customer: owner ?? null, numbers, limit, taxBasisPoints: usual?.taxBasisPoints ?? 2000 };
});

/** What a customer owes in a currency, less what of their money lies on account. */
async function owedBy(db: Reader, customerId: number, currency: string): Promise<number> {
	const items = (await openItemsOf(db, [customerId])).filter((item) => item.currency === currency);
	const credits = await db
		.select({ onAccount: sql<number>`coalesce(sum(${receiptState.onAccount}), 0)` })
		.from(receiptState)
		.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
		.where(and(eq(receiptState.customerId, customerId), eq(receipt.currency, currency)))
		.all();
	return (
		sumOf(items, ({ kind, open }) => minor(kind === 'credit_note' ? -open : open)) - credits[0]!.onAccount
	);
}

/** A document by its id with its first item, for going to it. */
export const lookAtFirstItem = defineLook('reader', async (db, documentId: number) => {
	const row = await db
		.select({ itemId: item.id })
		.from(item)
		.where(eq(item.documentId, documentId))
		.orderBy(item.id)
		.limit(1)
		.get();
	return row?.itemId ?? null;
});

/** A document as its paper; null where there is none. */
export const lookAtPaper = defineLook('reader', (db, documentId: number) => paperFor(db, documentId));

/** The PDF that was attached to a document; null where none is. */
export const lookAtAttachedPdf = defineLook('reader', (db, documentId: number) =>
	attachedPdf(db, documentId)
);

import { asc, eq } from 'drizzle-orm';
import { howToPay } from '../../../core/7-letters/how-to-pay';
import type { Paper } from '../../../core/7-letters/paper';
import { sumOf } from '../../../core/money/add';
import { type Minor } from '../../../core/money/minor';
import { proportion } from '../../../core/money/proportion';
import type { Reader } from '../../platform/db/open';
import { customer, document, documentLine, item } from '../../platform/db/schema';
import { payIntoFor } from '../../firm/store/firm-bank';
import { groupBy } from '../../../core/group-by';
import { letterLanguageFor } from '../../../words/letters';
import { readSetting } from '../../firm/store/settings';

/** A document as its paper, from what is posted; null where there is none, and for claims, which are no paper. */
export async function paperFor(db: Reader, documentId: number): Promise<Paper | null> {
	const found = await db
		.select({
			document,
			code: customer.code,
			name: customer.name,
			address: customer.address,
			language: customer.language
		})
		.from(document)
		.innerJoin(customer, eq(customer.id, document.customerId))
		.where(eq(document.id, documentId))
		.get();
	const firm = await readSetting(db, 'firm');
	if (!found || !firm || found.document.kind === 'claim') return null;
	const { document: head, code, name, address, language } = found;
	const rows = await db
		.select()
		.from(documentLine)
		.where(eq(documentLine.documentId, documentId))
		.orderBy(asc(documentLine.id));
	const parts = await db
		.select({ due: item.due, total: item.total })
		.from(item)
		.where(eq(item.documentId, documentId))
		.orderBy(asc(item.part));
	const lines = rows.map((row) => ({ ...row, net: row.net, tax: row.tax }));
	const byRate = [...groupBy(lines, (line) => line.taxBasisPoints)].sort(([a], [b]) => b - a);
	return {
		...{ kind: head.kind as Paper['kind'], number: head.number, issued: head.issued },
		language: letterLanguageFor(language),
		customer: { code, name, address },
		firm,
		...{ currency: head.currency, purchaseOrder: head.purchaseOrder, orderReference: head.orderReference },
		lines: lines.map(({ text, net, taxBasisPoints, tax }) => ({ text, net, taxBasisPoints, tax })),
		taxes: byRate.map(([taxBasisPoints, own]) => ({
			taxBasisPoints,
			net: sumOf(own, (line) => line.net),
			tax: sumOf(own, (line) => line.tax)
		})),
		net: sumOf(lines, (line) => line.net),
		tax: sumOf(lines, (line) => line.tax),
		total: head.total as Minor,
		instalments: parts.map((part) => ({ due: part.due, amount: part.total })),
		discount:
			head.discountBasisPoints && head.discountUntil
				? {
						basisPoints: head.discountBasisPoints,
						until: head.discountUntil,
						saves: proportion(head.total, head.discountBasisPoints, 10_000)
					}
				: null,
		pay: howToPay({
			...{ account: await payIntoFor(db, head.currency), name: firm.name, currency: head.currency },
			...{ reference: head.paymentReference ?? head.number, amount: head.total as Minor },
			link: (await readSetting(db, 'letters'))?.payLink ?? null
		})
	};
}

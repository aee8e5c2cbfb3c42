import { camtXml, type XmlEntry } from '../src/demo/camt-xml';
import { STERLING } from '../src/demo/firm';
import { addDays } from '../src/lib/core/day/arithmetic';
import { minor } from '../src/lib/core/money/minor';
import { postCertain } from '../src/lib/server/allocation/commands/post-certain';
import { issueDocuments, type NewDocument } from '../src/lib/server/documents/commands/issue-documents';
import type { Books } from '../src/lib/server/platform/db/open';
import { importBankFile } from '../src/lib/server/receipts/commands/import-bank-file';
import { waitingReceipts } from '../src/lib/server/receipts/store/waiting-receipts';
import { readBankFile } from '../src/lib/server/receipts/store/read-bank-file';
import { at, must } from './books';

/** Payments that are posted together. */
const TOGETHER = 500;
const DAYS = 700;

/**
 * Gives books a past: invoices of the last two years, each paid in full by its number, spread over their customers, in the bank's
 * files and in the record. What is open stays as it is.
 */
export async function givePast(books: Books, customers: number, payments: number): Promise<void> {
	for (let from = 0; from < payments; from += TOGETHER) {
		const batch = Array.from({ length: Math.min(TOGETHER, payments - from) }, (_, i) => {
			const n = from + i;
			return {
				n,
				amount: 10_000 + ((n * 7919) % 90_000),
				paid: addDays(at.today, Math.floor((n * DAYS) / payments) - DAYS - 30)
			};
		});
		await must(
			books,
			issueDocuments,
			batch.map(({ n, amount, paid }): NewDocument => ({
				...{ kind: 'invoice', number: `AP-${500_000 + n}`, customerId: (n % customers) + 1, currency: 'GBP' },
				issued: addDays(paid, -40),
				lines: [{ text: 'clay', net: minor(amount), taxBasisPoints: 0, tax: minor(0) }],
				instalments: [{ due: addDays(paid, -10), amount: minor(amount) }],
				...{ purchaseOrder: null, orderReference: null, paymentReference: null, text: 'clay' },
				...{ discountBasisPoints: null, discountUntil: null }
			}))
		);
		const entries = batch.map(({ n, amount, paid }): XmlEntry => ({
			...{ amount, booked: paid, reference: `P${n}` },
			details: [
				{
					amount,
					name: `PAYER ${n % customers}`,
					account: `ACC${(n % customers) + 1}`,
					text: `AP-${500_000 + n}`
				}
			]
		}));
		const statement = {
			...{
				reference: `P${from}`,
				sequence: 1 + from / TOGETHER,
				account: STERLING,
				currency: 'GBP',
				opening: 0,
				entries
			},
			...{ openingOn: addDays(batch[0]!.paid, -1), closingOn: batch.at(-1)!.paid }
		};
		const read = await readBankFile(`past-${from}.xml`, [
			Buffer.from([...camtXml([statement], 'P')].join(''))
		]);
		if (!read.ok) throw new Error(JSON.stringify(read.problems));
		await must(books, importBankFile, read.value);
		const receipts = (await waitingReceipts(books.db)).map(({ id, version }) => ({ id, version }));
		const { posted } = await must(books, postCertain, { receipts });
		if (posted < batch.length)
			throw new Error(`only ${posted} of ${batch.length} payments of the past were certain`);
	}
}

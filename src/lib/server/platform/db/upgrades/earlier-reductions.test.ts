import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { expect, it } from 'vitest';
import { makeBooks } from '../../../../../demo/make-books';
import type { DocumentRow } from '../../../../core/1-open-items/document-row';
import { minor } from '../../../../core/money/minor';
import { bringInDocuments } from '../../../documents/commands/bring-in-documents';
import { issueByHand } from '../../../documents/commands/issue-by-hand';
import { CLERK, done, SUPERVISOR, testBooks, TODAY } from '../../../testing';
import { openBooks, type Books } from '../open';
import type { Reader } from '../types';
import { countEarlierReductions } from './earlier-reductions';

/** What stands, by whom it counts for and when; credit notes alone, or without them. */
const counted = (db: Reader, credits: boolean) =>
	db.all(sql`
		select kind, customer_id as customer, person_id as person, day, sum(base) as base from reduction
		where (kind like 'credit_%') = ${credits ? 1 : 0}
		group by 1, 2, 3, 4 having sum(base) <> 0 order by 1, 2, 3, 4`);

/** Takes away what was counted, and has it counted as for books of an earlier version. */
async function countsTheSame(books: Books, credits: boolean): Promise<void> {
	const today = await counted(books.db, credits);
	expect(today.length).toBeGreaterThan(0);
	await books.write(async (tx) => {
		await tx.run(sql`drop trigger reduction_no_delete`);
		await tx.run(sql`delete from reduction`);
		expect(await countEarlierReductions(tx)).toBe(0);
		expect(await counted(tx, credits)).toEqual(today);
		// Once it is counted it is not counted again.
		await countEarlierReductions(tx);
		expect(await counted(tx, credits)).toEqual(today);
	});
}

it('what earlier versions posted counts as what is posted today: the demo’s year comes out the same', async () => {
	const file = join(mkdtempSync(join(tmpdir(), 'odd-penny-')), 'books.db');
	const books = await openBooks(`file:${file}`, { migrations: 'drizzle' });
	await makeBooks(books);
	await countsTheSame(books, false);
	await books.close();
}, 120_000);

it('so do credit notes by hand and by table, with what of them was left', async () => {
	const books = await testBooks();
	const row: DocumentRow = {
		...{ line: 2, number: 'T-2', kind: 'credit_note', customerCode: 'H1', issued: TODAY, due: TODAY },
		...{ currency: 'GBP', total: minor(900), open: minor(600), purchaseOrder: null },
		...{ paymentReference: null, text: '', lines: [], instalments: [] }
	};
	await done(books, bringInDocuments, [row], CLERK);
	const byHand = {
		...{
			kind: 'credit_note' as const,
			creditNoteKind: 'price' as const,
			customerId: 2,
			number: 'CN-1',
			issued: TODAY
		},
		lines: [{ text: 'credit', net: 5_000, taxBasisPoints: 2_000 }],
		shares: [{ basisPoints: 10_000, days: 0 }],
		...{ discount: null, purchaseOrder: null, orderReference: null, paymentReference: null }
	};
	await done(books, issueByHand, byHand, SUPERVISOR);
	await countsTheSame(books, true);
	await books.close();
});

import { eq } from 'drizzle-orm';
import fc from 'fast-check';
import { beforeEach, describe, expect, it } from 'vitest';

import type { Books } from '../../platform/db/open';
import { itemState, receiptState } from '../../platform/db/schema';

import { proveBooks } from '../../ledger/queries/proof';
import { bankXml, bringIn, CLERK, credit, done, invoices, newDocument, testBooks } from '../../testing';

import { allocateReceipt } from './allocate-receipt';

import { undoPosting } from './undo-posting';

let books: Books & { file: string };
beforeEach(async () => {
	books = await testBooks();
});
const proves = async () => expect((await proveBooks(books.db)).breaches).toEqual([]);
const open = async () =>
	(await books.db.select().from(itemState).orderBy(itemState.itemId)).map((row) => row.open);

describe('any order of acts', () => {
	it('proves after every step; undoing all gives the account back as it was', async () => {
		await invoices(books, ...[1, 2, 3, 4, 5, 6].map((n) => newDocument(`AK-${n}`, 1, n * 100)));
		await bringIn(books, bankXml([1, 2, 3, 4].map((n) => credit(n * 170, `p${n}`))));
		const steps = fc.array(
			fc.record({
				receipt: fc.integer({ min: 1, max: 4 }),
				items: fc.uniqueArray(fc.integer({ min: 1, max: 6 }), { maxLength: 4 }),
				undo: fc.boolean()
			}),
			{ maxLength: 8 }
		);
		await fc.assert(
			fc.asyncProperty(steps, async (script) => {
				for (const { receipt, items, undo } of script) {
					const state = (await books.db
						.select()
						.from(receiptState)
						.where(eq(receiptState.receiptId, receipt))
						.get())!;
					if (undo && state.actId) await done(books, undoPosting, { actId: state.actId }, CLERK);
					else if (!undo && !state.actId) {
						let left = receipt * 170;
						const rows = await books.db.select().from(itemState);
						const lines = items.flatMap((itemId) => {
							const now = rows.find((row) => row.itemId === itemId)!;
							const cash = Math.min(left, now.open);
							left -= cash;
							return cash > 0 ? [{ itemId, version: now.version, cash, differences: [] }] : [];
						});
						await done(
							books,
							allocateReceipt,
							{ receiptId: receipt, receiptVersion: state.version, customerId: 1, lines },
							CLERK
						);
					}
					await proves();
				}
				for (const state of await books.db.select().from(receiptState))
					if (state.actId) await done(books, undoPosting, { actId: state.actId }, CLERK);
				expect(await open()).toEqual([100, 200, 300, 400, 500, 600]);
				await proves();
			}),
			{ numRuns: 12 }
		);
	});
});

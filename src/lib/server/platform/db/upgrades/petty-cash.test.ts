import { sql } from 'drizzle-orm';
import { expect, it } from 'vitest';
import { methodsOf } from '../../../firm/store/methods';
import { writeSetting } from '../../../firm/store/settings';
import { proveBooks } from '../../../ledger/queries/proof';
import { keepManualReceipts } from '../../../receipts/commands/manual-receipts';
import { postManualReceipts } from '../../../receipts/commands/post-manual-receipts';
import { lookAtManualReceipts } from '../../../receipts/queries/manual-receipts';
import { CLERK, done, newDocument, testBooks, TODAY } from '../../../testing';
import { pettyCashIsAPlace } from './petty-cash';
import { withRowsOpen } from './with-rows-open';

it('money of before that stayed in petty cash stays there, told as a place', async () => {
	const books = await testBooks(newDocument('AK-1', 1, 1000));
	const row = (amount: number) => ({
		...{ id: null, customerId: 1, date: TODAY, method: 'cash', reference: 'tin', amount },
		...{ currency: 'GBP', pays: 'oldest', paidInto: 'petty cash' as const }
	});
	const { ids } = await done(books, keepManualReceipts, { rows: [row(300), row(50)] }, CLERK);
	await done(books, postManualReceipts, { ids: ids.slice(0, 1) }, CLERK);
	const seen = async () => {
		const { due, way, lately } = await lookAtManualReceipts(books.db, null, { who: CLERK, today: TODAY });
		return {
			due: due.map((one) => [one.method, one.paidInto]),
			way: way.length,
			lately: lately.map((one) => one.where)
		};
	};
	const today = { due: [['cash', 'petty cash']], way: 0, lately: ['petty cash'] };
	expect(await seen()).toEqual(today);
	// As books of before have it.
	await books.write(async (tx) => {
		await withRowsOpen(tx, 'receipt', () =>
			tx.run(sql`update receipt set method = 'petty cash', is_petty_cash = 0`)
		);
		await tx.run(sql`update manual_receipt set method = 'petty cash', is_petty_cash = 0`);
		await writeSetting(tx, 'methods', ['cheque', 'petty cash', 'card']);
	});
	expect(await seen()).toEqual({ due: [['petty cash', null]], way: 1, lately: ['way'] });
	expect(await books.write(pettyCashIsAPlace)).toBe(0);
	expect(await seen()).toEqual(today);
	expect(await methodsOf(books.db)).toEqual(['cheque', 'card', 'cash']);
	// The seals tell that rows were changed outside of an upgrade; all that is about money agrees.
	expect((await proveBooks(books.db)).breaches.filter((one) => one.rule !== 8)).toEqual([]);
	await books.close();
});

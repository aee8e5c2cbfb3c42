import { eq } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { journalLine } from '../../platform/db/schema';
import { as, bankXml, bringIn, CLERK, credit, done, SUPERVISOR, TODAY } from '../../testing';
import { lookAtRefundFile } from '../../refunds/queries/refunds';
import { refundsDue } from '../../refunds/store/refunds-due';
import { makeRefundFile } from '../../refunds/commands/make-refund-file';
import { perform } from '../../act/perform';
import { setAside } from '../../receipts/commands/set-aside';
import { deskBooks } from '../testing-desk';

const own = deskBooks();
const { proves, order, placed, codes, back } = own;

describe('refunds', () => {
	it('go into one file for the bank, once; the bank’s debit clears them', async () => {
		await placed(await order(2, [[1, 1000]], { surplus: [{ kind: 'refund', amount: 500 }] }));
		const [due] = await refundsDue(own.books.db);
		expect(due).toMatchObject({ customer: 'Hazel Hill Pottery', account: 'ACCH1', amount: 500 });
		const input = { bankAccountId: 1, refunds: [{ id: due!.id, account: 'ACCH1' }] };
		const clerk = await perform(own.books, makeRefundFile, input, as(CLERK));
		expect(clerk.ok ? [] : clerk.problems.map((one) => one.code)).toEqual(['not-allowed']);
		const made = await done(own.books, makeRefundFile, input, SUPERVISOR);
		const fileId = 'fileId' in made ? made.fileId : 0;
		const file = await lookAtRefundFile(own.books.db, fileId, { who: CLERK, today: TODAY });
		expect(file!.xml).toContain('<InstdAmt Ccy="GBP">5.00</InstdAmt>');
		expect(await refundsDue(own.books.db)).toEqual([]);
		const again = await perform(own.books, makeRefundFile, input, as(SUPERVISOR));
		expect(again.ok ? [] : again.problems.map((one) => one.code)).toEqual(['draft-gone']);
		await bringIn(
			own.books,
			bankXml([credit(-500, 'REFUNDS', { reference: 'R1' })], { reference: 'S8', opening: 11_785 }),
			'r.xml'
		);
		await done(own.books, setAside, { receiptId: 5, receiptVersion: 1, account: '2160' }, CLERK);
		const lines = await own.books.db.select().from(journalLine).where(eq(journalLine.account, '2160'));
		expect(lines.reduce((sum, line) => sum + line.amount, 0)).toBe(0);
		await proves();
	});
	it('whose posting is taken back are not paid; one that is in a file cannot be taken back', async () => {
		const actId = await placed(await order(2, [[1, 1000]], { surplus: [{ kind: 'refund', amount: 500 }] }));
		await back(actId);
		expect(await refundsDue(own.books.db)).toEqual([]);
		await proves();
		const twice = await placed(await order(2, [[1, 1000]], { surplus: [{ kind: 'refund', amount: 500 }] }));
		const [due] = await refundsDue(own.books.db);
		await done(
			own.books,
			makeRefundFile,
			{ bankAccountId: 1, refunds: [{ id: due!.id, account: 'ACCH1' }] },
			SUPERVISOR
		);
		expect(codes((await back(twice)) as never)).toEqual(['credit-in-use']);
	});
});

import { readHistory } from '../../../core/1-open-items/testing-all-rows';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { parseTable } from '../../../tables/parse-table';
import { perform } from '../../act/perform';
import { lookAtAccount } from '../../customers/queries/account';
import type { Books } from '../../platform/db/open';
import { answeredPile } from '../../services/answers/answers';
import {
	as,
	bankXml,
	bringIn,
	CLERK,
	codesOf,
	credit,
	done,
	invoices,
	newDocument,
	proves,
	READER,
	testBooks,
	TODAY
} from '../../testing';
import { histories } from '../queries/histories';
import { bringInHistory, previewHistory } from './bring-in-history';
import { forgetPayer } from './forget-payer';
import { takeBackHistory } from './take-back-history';

let books: Books;
beforeEach(async () => {
	books = await testBooks();
	await invoices(books, newDocument('AK-40200', 1, 20_007), newDocument('AK-40201', 2, 5_000));
	await bringIn(
		books,
		bankXml([
			credit(20_007, 'thank you', { reference: 'P1', account: 'CLUB1', name: 'MERE CLUB' }),
			credit(4_100, 'AK-39000', { reference: 'P2', name: 'SOMEBODY' }),
			credit(12_345, '', { reference: 'P3', name: 'Hazel Hill Pottery' })
		])
	);
});
afterEach(async () => {
	await proves(books);
	await books.close();
});

const HEAD =
	'customer_code,date,amount,currency,payer_name,payer_account,invoice_numbers,difference_kind,difference_amount';
function rows(...lines: string[]) {
	const table = parseTable([HEAD, ...lines].join('\n'), []);
	const read = table.ok ? readHistory(table.value) : table;
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	return read.value;
}
const CLUB = [
	'H1,2026-07-01,90.00,GBP,Mere Club,CLUB1,AK-39001|AK-39002,,',
	'H1,2026-08-01,91.50,GBP,Mere Club,CLUB1,AK-39003,,'
];
const answer = async (receiptId: number) => (await answeredPile(books.db)).answers.get(receiptId)!;
const account = async (code: string) => (await lookAtAccount(books.db, code, { who: CLERK, today: TODAY }))!;
const learned = async () =>
	(await account('H1')).learned.map(({ trait, key, times }) => `${trait} ${key} ${times}`);
const teach = (...lines: string[]) => done(books, bringInHistory, rows(...lines), CLERK);

describe('payments of the books before', () => {
	it('teach who pays for whom, as allocations here do', async () => {
		expect((await answer(1)).reasons[0]).toMatchObject({ code: 'payer-unknown' });
		expect(await teach(...CLUB)).toMatchObject({ added: 2, skipped: 0 });
		expect(await learned()).toEqual(['account CLUB1 2', 'name MERE CLUB 2']);
		expect(await answer(1)).toMatchObject({ customerId: 1, band: 'certain' });
		expect((await answer(1)).reasons[0]).toMatchObject({ code: 'account-taught', times: 2 });
	});

	it('teach nothing of a payer who paid for several', async () => {
		await teach(...CLUB, 'W2,2026-08-02,10.00,GBP,Mere Club,CLUB1,,,');
		expect(await learned()).toEqual([]);
		expect((await answer(1)).band).not.toBe('certain');
	});

	it('say which documents are settled, as long as these books do not have them', async () => {
		const named = async () => (await answer(2)).reasons.map((one) => one.code);
		const before = await named();
		await teach('W2,2026-08-01,41.00,GBP,,,AK-39000,,');
		expect(before).not.toContain('number-settled');
		expect(await named()).toContain('number-settled');
		await invoices(books, newDocument('AK-39000', 2, 4_100));
		expect(await named()).not.toContain('number-settled');
		expect((await answer(2)).lines.map((line) => line.cash)).toEqual([4_100]);
	});

	it('tell of a payment that may have come twice', async () => {
		await teach('H1,2026-10-15,123.45,GBP,,,AK-39004,,');
		expect((await answer(3)).reasons).toContainEqual({
			...{ code: 'same-sum-before', booked: '2026-10-15', numbers: ['AK-39004'] }
		});
	});

	it('teach what is kept of payments', async () => {
		await teach(
			...[1, 2, 3].map((n) => `W2,2026-0${n}-01,94.00,GBP,,,,bank charge,6.00`),
			'H1,2026-01-02,80.00,GBP,,,,Withholding tax,20.00'
		);
		expect((await account('W2')).habits).toMatchObject({
			charges: [{ amount: 600, currency: 'GBP', times: 3 }]
		});
	});

	it('teach once, however often they are brought in; two alike are two', async () => {
		await teach(...CLUB);
		expect(await teach(...CLUB)).toEqual({ added: 0, skipped: 2 });
		expect(await teach(CLUB[0]!, CLUB[0]!)).toMatchObject({ added: 1, skipped: 1 });
		expect(await learned()).toEqual(['account CLUB1 3', 'name MERE CLUB 3']);
	});

	it('are taken back with all that they taught, and may come again', async () => {
		const { actId } = (await teach(...CLUB)) as { actId: number };
		expect(await histories(books.db)).toMatchObject([{ actId, payments: 2, who: 'Wren' }]);
		await done(books, takeBackHistory, { actId: String(actId) }, CLERK);
		expect([await histories(books.db), await learned()]).toEqual([[], []]);
		expect((await answer(1)).reasons[0]).toMatchObject({ code: 'payer-unknown' });
		const again = await perform(books, takeBackHistory, { actId: String(actId) }, as(CLERK));
		expect(codesOf(again)).toEqual(['already-undone']);
		expect(await teach(...CLUB)).toMatchObject({ added: 2 });
		expect((await answer(1)).band).toBe('certain');
	});

	it('are forgotten of one payer, until a later history says so anew', async () => {
		await teach(...CLUB);
		await done(books, forgetPayer, { customerId: 1, kind: 'account', text: 'CLUB1' }, CLERK);
		expect(await learned()).toEqual(['name MERE CLUB 2']);
		await teach('H1,2026-09-01,7.00,GBP,Mere Club,CLUB1,,,');
		expect(await learned()).toEqual(['name MERE CLUB 3', 'account CLUB1 1']);
	});

	it('are refused as a whole where one is nobody’s, and are not for a reader to bring', async () => {
		const refused = await perform(
			books,
			bringInHistory,
			rows(CLUB[0]!, 'X9,2026-07-01,1.00,GBP,,,,,'),
			as(CLERK)
		);
		expect(refused).toMatchObject({ ok: false, problems: [{ code: 'code-unknown', text: 'X9', line: 3 }] });
		expect(codesOf(await perform(books, bringInHistory, rows(...CLUB), as(READER)))).toEqual(['not-allowed']);
		expect(await histories(books.db)).toEqual([]);
	});

	it('are shown before anything is done', async () => {
		const shown = await previewHistory(books.db, rows(...CLUB));
		expect(shown[0]).toMatchObject({ label: 'H1', fate: 'new', line: 2 });
		expect(shown[0]!.text).toBe('£90.00 on 1 Jul 2026 from Mere Club for AK-39001, AK-39002');
	});
});

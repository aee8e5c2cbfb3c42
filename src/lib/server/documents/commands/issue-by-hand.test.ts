import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { layOutPaper } from '../../../words/letters';
import type { Books } from '../../platform/db/open';
import { lookAtNewDocument } from '../queries/new-document';
import { openItemsOf } from '../store/open-items';
import { paperFor } from '../store/paper-for';
import { typeset } from '../../platform/pdf/typeset';
import { as, CLERK, invoices, newDocument, proves, READER, testBooks, TODAY } from '../../testing';
import { issueByHand, type documentInput } from './issue-by-hand';
import { perform } from '../../act/perform';
import type { z } from 'zod';

let books: Books;
beforeEach(async () => (books = await testBooks()));
afterEach(() => books.close());

type Input = z.input<typeof documentInput>;
const input = (over: Partial<Input> = {}): Input => ({
	...{ kind: 'invoice', customerId: 1, number: 'AK-9', issued: '2026-10-30' },
	lines: [
		{ text: 'clay', net: 10_000, taxBasisPoints: 2000 },
		{ text: 'book', net: 1_250, taxBasisPoints: 0 }
	],
	shares: [{ basisPoints: 10_000, days: 30 }],
	discount: null,
	...{ purchaseOrder: 'PO1', orderReference: '', paymentReference: null },
	...over
});
const issue = (over: Partial<Input> = {}, key?: string) =>
	perform(books, issueByHand, input(over), as(CLERK, key));

describe('a document by hand', () => {
	it('stands on the account in its instalments, and the books prove', async () => {
		const shares = [
			{ basisPoints: 1000, days: 0 },
			{ basisPoints: 9000, days: 30 }
		];
		expect(await issue({ shares, discount: { basisPoints: 200, days: 10 } })).toMatchObject({ ok: true });
		const items = await openItemsOf(books.db, [1]);
		expect(items.map((one) => [one.number, one.part, one.due, one.open, one.discountUntil])).toEqual([
			['AK-9', 1, '2026-10-30', 1_325, '2026-11-09'],
			['AK-9', 2, '2026-11-29', 11_925, '2026-11-09']
		]);
		await proves(books);
	});
	it('is due after the end of its month where that was shown', async () => {
		await issue({ issued: '2026-10-05', termsFrom: 'month_end' });
		expect((await openItemsOf(books.db, [1])).map(({ due }) => due)).toEqual(['2026-11-30']);
	});
	it('its paper says the same, the same byte for byte', async () => {
		await issue({ discount: { basisPoints: 200, days: 10 } });
		const paper = (await paperFor(books.db, 1))!;
		expect(paper).toMatchObject({ net: 11_250, tax: 2_000, total: 13_250 });
		expect(paper.taxes.map((one) => [one.taxBasisPoints, one.net, one.tax])).toEqual([
			[2000, 10_000, 2_000],
			[0, 1_250, 0]
		]);
		const sheet = layOutPaper(paper);
		expect([sheet.title, ...sheet.blocks.slice(1)]).toEqual([
			'Invoice AK-9',
			{ kind: 'text', text: 'Due on 29 Nov 2026.' },
			{ kind: 'text', text: 'If you pay by 9 Nov 2026, you may deduct 2%: £2.65.' },
			expect.objectContaining({
				kind: 'pay',
				lines: [
					{ name: 'Bank', value: 'Mere' },
					{ name: 'IBAN', value: 'GB00 ZZAM 1' },
					{ name: 'Please quote', value: 'AK-9' }
				]
			}),
			{ kind: 'text', text: 'Ashlock Kiln & Clay Ltd' }
		]);
		const [one, two] = [typeset(sheet), typeset(sheet)];
		expect(one.subarray(0, 5).toString()).toBe('%PDF-');
		expect(one.equals(two)).toBe(true);
	});
	it('sent twice it is issued once', async () => {
		const first = await issue({}, 'k');
		expect(first).toMatchObject({ ok: true, value: { code: 'H1' } });
		expect(await issue({}, 'k')).toEqual(first);
		expect(await openItemsOf(books.db, [1])).toHaveLength(1);
	});
	it.each<[string, Partial<Input>, string]>([
		['a number that is taken', { number: 'AK-1' }, 'number-taken'],
		['a customer that is none', { customerId: 99 }, 'not-found'],
		['a document of nothing', { lines: [{ text: 'x', net: -5, taxBasisPoints: 0 }] }, 'field']
	])('%s is refused', async (_, over, code) => {
		await invoices(books, newDocument('AK-1', 1, 100));
		expect(await issue(over)).toMatchObject({ ok: false, problems: [{ code }] });
		expect(await openItemsOf(books.db, [1])).toHaveLength(1);
	});
	it('a reader may not', async () => {
		expect(await perform(books, issueByHand, input(), as(READER))).toMatchObject({
			ok: false,
			problems: [{ code: 'not-allowed' }]
		});
	});
	it('begins with the next number, the customer’s terms and the rate it had last', async () => {
		await invoices(books, newDocument('AK-0099', 1, 100));
		const viewer = { who: CLERK, today: TODAY };
		expect(await lookAtNewDocument(books.db, 1, viewer)).toMatchObject({
			customer: { code: 'H1', termsDays: 30 },
			numbers: { invoice: 'AK-0100', credit_note: 'CN-1001' },
			taxBasisPoints: 0
		});
	});
});

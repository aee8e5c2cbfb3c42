import { afterEach, describe, expect, it } from 'vitest';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { undoActs } from '../../allocation/commands/undo-acts';
import type { Act } from '../../act/define-act';
import { perform } from '../../act/perform';
import { addCustomers } from '../../customers/commands/add-customers';
import { issueDocuments } from '../../documents/commands/issue-documents';
import { forgetHabit } from '../../matching/commands/forget-habit';
import { forgetPayer } from '../../matching/commands/forget-payer';
import { RESTS_ON } from '../../matching/store/rests-on';
import type { Books } from '../../platform/db/open';
import { SEALED_TABLES } from '../../platform/db/seal/sealed-tables';
import { keepAdvice } from '../../receipts/commands/keep-advice';
import { keepManualReceipts } from '../../receipts/commands/manual-receipts';
import { postManualReceipts } from '../../receipts/commands/post-manual-receipts';
import {
	as,
	asAnswered,
	bankXml,
	bringIn,
	credit,
	newCustomer,
	newDocument,
	SUPERVISOR,
	testBooks
} from '../../testing';
import type { XmlEntry } from '../../../../demo/camt-xml';
import type { ActKind } from '../../../core/model/act-facts';
import { patched, PileMaker } from './pile-maker';
import { plain, someDocuments } from './testing-piles';

let books: Books | null = null;
afterEach(async () => {
	await books?.close();
	books = null;
});

/** Payments of customer 1 that name the oldest invoice, each in part. */
const paysOldestFirst = [1_100, 1_200, 1_300, 1_400].map((sum, i) =>
	credit(sum, 'AK-401', { reference: `P${i}` })
);

describe('answers that are kept', () => {
	/** Brings money in, does one thing after another, and says of the last one whether it changed what was answered. */
	async function changedBy(
		entries: readonly XmlEntry[],
		...steps: readonly ((at: Books) => Promise<unknown>)[]
	) {
		books = await someDocuments();
		await bringIn(books, bankXml(entries));
		const maker = new PileMaker();
		let pile = patched(null, await maker.make(books.db, null));
		let before = pile;
		for (const one of steps) {
			before = pile;
			await one(books);
			pile = patched(pile, await maker.make(books.db, pile.actId));
			expect(plain(pile)).toEqual(plain(patched(null, await new PileMaker().make(books.db, null))));
		}
		const stays = pile.receipts.filter(({ id }) => before.answers.has(id));
		return stays.some(({ id }) => pile.answers.get(id) !== before.answers.get(id));
	}
	const does =
		<K extends ActKind, G, I, O>(kind: Act<K, G, I, O>, input: G | ((at: Books) => Promise<G>)) =>
		async (at: Books) => {
			const given = typeof input === 'function' ? await (input as (at: Books) => Promise<G>)(at) : input;
			const done = await perform(at, kind, given, as(SUPERVISOR));
			expect(done).toMatchObject({ ok: true });
		};
	const allocates = (receiptId: number, customerId = 1) =>
		does(allocateReceipt, async (at) => ({ ...(await asAnswered(at, receiptId)), customerId }));
	const undoesLast = does(undoActs, async (at) => {
		const [last] = await at.db.all<{ id: number }>(
			`select max(id) as id from act where kind = 'allocate-receipt'`
		);
		return { actIds: [last!.id] };
	});
	const keepsFee = (
		receiptId: number,
		customerId: number,
		[itemId, cash, fee]: readonly [number, number, number]
	) =>
		does(allocateReceipt, {
			...{ receiptId, receiptVersion: 1, customerId },
			lines: [{ itemId, version: 1, cash, differences: [{ kind: 'processor_fee' as const, amount: fee }] }]
		});
	const cardlink = { account: null, name: 'CARDLINK PAYMENTS' };
	const strangers = { account: null, name: 'MRS TREVENA' };
	const kestrel = { account: 'ACC77', name: 'KESTREL HOLDINGS' };
	const [first, second] = [{ reference: 'A' }, { reference: 'B' }];
	const byHand = {
		...{ id: null, customerId: 2, date: '2026-10-29', method: 'cheque' },
		reference: '100412'
	};

	it.each<[string, XmlEntry[], ((at: Books) => Promise<unknown>)[]]>([
		[
			'the same sum allocated before',
			[credit(4_800, 'AK-402', first), credit(4_800, 'thanks', { ...second, booked: '2026-10-29' })],
			[allocates(1)]
		],
		[
			'what an allocation taught of a payer',
			[credit(4_800, 'AK-402', { ...first, ...kestrel }), credit(5_000, 'x', { ...second, ...kestrel })],
			[allocates(1)]
		],
		[
			'that it was undone',
			[credit(4_800, 'AK-402', { ...first, ...kestrel }), credit(5_000, 'x', { ...second, ...kestrel })],
			[allocates(1), undoesLast]
		],
		[
			'that it was forgotten',
			[credit(4_800, 'AK-402', { ...first, ...kestrel }), credit(5_000, 'x', { ...second, ...kestrel })],
			[allocates(1), does(forgetPayer, { customerId: 1, kind: 'account', text: 'ACC77' })]
		],
		[
			'a document that words named before it came',
			[credit(900, 'AK-90', { ...first, ...strangers })],
			[does(issueDocuments, [newDocument('AK-90', 2, 900)])]
		],
		[
			'an order that is open again',
			[credit(620, 'AK-403', first), credit(620, 'PO-7', { ...second, ...strangers })],
			[allocates(1), undoesLast]
		],
		[
			'an advice',
			[credit(4_800, 'x', { ...first, ...strangers })],
			[does(keepAdvice, { customerId: 1, date: '2026-10-29', source: 'AK-402 48.00' })]
		],
		[
			'money recorded by hand',
			[credit(777, 'x', { ...first, ...strangers })],
			[
				does(keepManualReceipts, { rows: [{ ...byHand, amount: 777, currency: 'GBP', pays: 'oldest' }] }),
				does(postManualReceipts, { ids: [1] })
			]
		],
		[
			'money on account',
			[credit(1_800, 'on account', first), credit(3_000, 'AK-402', { ...second, booked: '2026-10-29' })],
			[allocates(1)]
		],
		[
			'money that is on account no longer',
			[credit(1_800, 'on account', first), credit(3_000, 'AK-402', { ...second, booked: '2026-10-29' })],
			[allocates(1), undoesLast]
		],
		[
			'how somebody pays',
			[...paysOldestFirst, credit(500, 'thanks', { reference: 'Z' })],
			[...paysOldestFirst.map((_, i) => allocates(i + 1))]
		],
		[
			'how somebody does not pay after all',
			[...paysOldestFirst, credit(500, 'thanks', { reference: 'Z' })],
			[...paysOldestFirst.map((_, i) => allocates(i + 1)), undoesLast]
		],
		[
			'that it was forgotten how somebody pays',
			[...paysOldestFirst, credit(500, 'thanks', { reference: 'Z' })],
			[
				...paysOldestFirst.map((_, i) => allocates(i + 1)),
				does(forgetHabit, { customerId: 1, lesson: 'fillsOldest' })
			]
		],
		[
			'what a processor kept',
			[
				credit(4_704, 'AK-402', { ...first, ...cardlink }),
				credit(9_800, 'AK-401', { ...second, ...cardlink }),
				credit(608, 'AK-405', { reference: 'D', ...cardlink }),
				credit(6_905, 'AK-404', { reference: 'C', ...cardlink })
			],
			[keepsFee(1, 1, [2, 4_704, 96]), keepsFee(2, 1, [1, 9_800, 200]), keepsFee(3, 2, [6, 608, 12])]
		],
		[
			'a customer of the same name',
			[credit(4_800, 'x', { ...first, account: null, name: 'HAZEL HILL POTTERY' })],
			[does(addCustomers, [newCustomer('N1', 'Hazel Hill Pottery', { payerAccounts: [] })])]
		]
	])('are made anew for %s', async (_, entries, steps) =>
		expect(await changedBy(entries, ...steps)).toBe(true)
	);

	it('are answered anew for one receipt where an act touches one', async () => {
		books = await testBooks(newDocument('AK-401', 1, 1_000), newDocument('AK-402', 2, 2_000));
		await bringIn(
			books,
			bankXml([
				credit(1_000, 'AK-401', { reference: 'A' }),
				credit(2_000, 'AK-402', { reference: 'B', account: 'ACCW2', name: 'Holm' })
			])
		);
		const maker = new PileMaker();
		const first = await maker.make(books.db, null);
		expect([first.since, first.receipts.length, first.answered.length]).toEqual([null, 2, 2]);
		expect((await perform(books, allocateReceipt, await asAnswered(books, 1), as(SUPERVISOR))).ok).toBe(true);
		const next = await maker.make(books.db, first.actId);
		expect(next).toMatchObject({ since: first.actId, gone: [1], receipts: [], answered: [] });
		// Who knows an older one gets it whole.
		expect((await maker.make(books.db, first.actId)).since).toBe(null);
	});

	it('know of every table whether they rest on it', () => {
		const sealed = Object.entries(SEALED_TABLES).filter(([, how]) => typeof how === 'string');
		expect(Object.keys(RESTS_ON).sort()).toEqual(sealed.map(([name]) => name).sort());
	});

	it('look for names among those of all customers', async () => {
		books = await testBooks();
		const tarn = ['Tarn Works', 'Tarn Works zpo'].map((name, i) =>
			newCustomer(`T${i}`, name, { payerAccounts: [] })
		);
		await perform(books, addCustomers, tarn, as(SUPERVISOR));
		await bringIn(books, bankXml([credit(5_000, 'on account', { name: 'TARN WORKS', account: null })]));
		const { answers } = patched(null, await new PileMaker().make(books.db, null));
		expect([...answers.values()].map((one) => [one.band, one.customerId])).toEqual([['likely', 4]]);
	});
});

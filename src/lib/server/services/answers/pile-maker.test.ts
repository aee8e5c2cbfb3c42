import fc from 'fast-check';
import { afterEach, describe, expect, it } from 'vitest';
import { LESSONS } from '../../../core/3-matching';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { undoActs } from '../../allocation/commands/undo-acts';
import { attempt, step } from '../../allocation/testing-steps';
import type { Act } from '../../act/define-act';
import { perform } from '../../act/perform';
import { addCustomers } from '../../customers/commands/add-customers';
import { issueDocuments } from '../../documents/commands/issue-documents';
import { forgetHabit } from '../../matching/commands/forget-habit';
import { forgetPayer } from '../../matching/commands/forget-payer';
import { RESTS_ON } from '../../matching/store/rests-on';
import type { Books } from '../../platform/db/open';
import { SEALED_TABLES } from '../../platform/db/seal/sealed-tables';
import { holdReceipt } from '../../receipts/commands/hold-receipt';
import { keepAdvice } from '../../receipts/commands/keep-advice';
import { keepManualReceipts } from '../../receipts/commands/manual-receipts';
import { matchBankEntry } from '../../receipts/commands/match-bank-entry';
import { postManualReceipts } from '../../receipts/commands/post-manual-receipts';
import { onItsWay } from '../../receipts/store/on-its-way';
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
import { type AnsweredReceipts, patched, PileMaker } from './pile-maker';

let books: Books | null = null;
afterEach(async () => {
	await books?.close();
	books = null;
});

/** Payers whom names, accounts, lessons, tariffs and words tell, and some whom nothing tells. */
const PAYERS: readonly NonNullable<Parameters<typeof credit>[2]>[] = [
	{},
	{ account: 'ACCW2', name: 'Holm' },
	{ account: null, name: 'CARDLINK PAYMENTS' },
	{ account: 'ACC77', name: 'KESTREL HOLDINGS' },
	{ account: null, name: 'TARN WORKS' },
	{ account: null, name: null }
];
const TEXTS = ['AK-402', 'inv AK-401 AK-404', 'payment', 'PO-7', 'for Tarn Works', 'AK-90 AK-91', 'thanks'];
const SUMS = [4_800, 4_754, 620, 7_046, 10_000, 6_920, 12_345, 300, 620, 4_680];

const act = fc.record({
	what: fc.constantFrom('as-answered', 'as-answered', 'step', 'step', 'step', 'other'),
	step,
	other: fc.constantFrom(
		...['file', 'advice', 'by-hand', 'match', 'hold', 'invoice', 'customer', 'forget-payer', 'forget-habit']
	),
	pick: fc.nat(1_000)
});
type RandomAct = typeof act extends fc.Arbitrary<infer T> ? T : never;

/** Payments of customer 1 that name the oldest invoice, each in part. */
const paysOldestFirst = [1_100, 1_200, 1_300, 1_400].map((sum, i) =>
	credit(sum, 'AK-401', { reference: `P${i}` })
);

/** Does something that answers may rest on. @returns whether it was allowed */
async function doSomething(
	at: Books,
	{ what, step: one, other, pick }: RandomAct,
	n: number
): Promise<boolean> {
	const run = async <K extends ActKind, G, I, O>(kind: Act<K, G, I, O>, input: G) =>
		(await perform(at, kind, input, as(SUPERVISOR))).ok;
	if (what === 'step') return attempt(at, one);
	const { receipts } = patched(null, await new PileMaker().make(at.db, null));
	const receipt = receipts[pick % Math.max(1, receipts.length)];
	if (what === 'as-answered') {
		if (!receipt) return false;
		const order = await asAnswered(at, receipt.id);
		return run(allocateReceipt, { ...order, customerId: order.customerId ?? 1 });
	}
	const sum = SUMS[pick % SUMS.length]!;
	const customerId = 1 + (pick % 2);
	switch (other) {
		case 'file': {
			const over = { ...PAYERS[pick % PAYERS.length]!, reference: `F${n}` };
			const [{ closing } = { closing: 0 }] = await at.db.all<{ closing: number }>(
				`select closing from bank_statement order by id desc limit 1`
			);
			const xml = bankXml([credit(sum, TEXTS[pick % TEXTS.length]!, over)], {
				reference: `S${n}`,
				opening: closing
			});
			return (await bringIn(at, xml, `f${n}.xml`)).ok;
		}
		case 'advice':
			return run(keepAdvice, { customerId, date: '2026-10-29', source: `AK-402 ${sum / 100}` });
		case 'by-hand': {
			const row = {
				...{ id: null, customerId, date: '2026-10-29', method: 'cheque', reference: `1004${n}` },
				...{ amount: sum, currency: 'GBP', pays: 'oldest' as const }
			};
			const kept = await perform(at, keepManualReceipts, { rows: [row] }, as(SUPERVISOR));
			return kept.ok && run(postManualReceipts, { ids: kept.value.ids });
		}
		case 'match': {
			const [recorded] = await onItsWay(at.db);
			const entry = receipts.find((row) => row.amount === recorded?.amount) ?? receipt;
			if (!recorded || !entry) return false;
			const { kind, id } = recorded;
			return run(matchBankEntry, { receiptId: entry.id, receiptVersion: entry.version, to: { kind, id } });
		}
		case 'hold':
			if (!receipt) return false;
			return run(holdReceipt, {
				...{ receiptId: receipt.id, receiptVersion: receipt.version },
				...{ because: receipt.heldBecause ? '' : 'asked the customer', order: null }
			});
		case 'invoice': {
			const over = { purchaseOrder: pick % 2 ? 'PO-7' : null };
			return run(issueDocuments, [newDocument(`AK-9${pick % 4}`, customerId, sum, over)]);
		}
		case 'customer': {
			const name = pick % 2 ? `Tarn Works ${n}` : 'Kestrel Holdings';
			return run(addCustomers, [newCustomer(`N${n}`, name, { payerAccounts: [] })]);
		}
		case 'forget-payer':
			return run(forgetPayer, { customerId, kind: 'account', text: 'ACC77' });
		default:
			return run(forgetHabit, { customerId, lesson: LESSONS[pick % LESSONS.length]! });
	}
}

const someDocuments = () =>
	testBooks(
		newDocument('AK-401', 1, 10_000),
		newDocument('AK-402', 1, 4_800),
		newDocument('AK-403', 1, 620, { purchaseOrder: 'PO-7' }),
		newDocument('AC-401', 1, 1_250, { kind: 'credit_note' }),
		newDocument('AK-404', 2, 7_046),
		newDocument('AK-405', 2, 620),
		newDocument('AC-402', 2, 300, { kind: 'credit_note' })
	);

async function someBooks(): Promise<Books> {
	const at = await someDocuments();
	const entries = SUMS.map((sum, i) =>
		credit(sum, TEXTS[i % TEXTS.length]!, { ...PAYERS[i % PAYERS.length]!, reference: `B${i}` })
	);
	await bringIn(at, bankXml(entries));
	return at;
}

describe('answers that are kept', () => {
	it('are those that would be given anew, after every act of any history', async () => {
		let ran = 0;
		let kept = 0;
		let fewer = 0;
		await fc.assert(
			fc.asyncProperty(fc.array(act, { minLength: 5, maxLength: 16 }), async (acts) => {
				books = await someBooks();
				const maker = new PileMaker();
				let pile: AnsweredReceipts | null = null;
				for (const [n, one] of acts.entries()) {
					const patch = await maker.make(books.db, pile?.actId ?? null);
					pile = patched(pile, structuredClone(patch));
					const anew = patched(null, await new PileMaker().make(books.db, null));
					expect(plain(pile)).toEqual(plain(anew));
					kept++;
					if (patch.since !== null && patch.answered.length < pile.receipts.length) fewer++;
					if (await doSomething(books, one, n)) ran++;
				}
				await books.close();
				books = null;
			}),
			// A history is long to make shorter again and again.
			{ numRuns: 25, endOnFailure: true }
		);
		// Most was allowed, and most was answered by what was known.
		expect(ran).toBeGreaterThan(kept / 3);
		expect(fewer).toBeGreaterThan(kept / 3);
	}, 300_000);

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

function plain({ receipts, answers, shown, failures }: AnsweredReceipts) {
	return {
		failures,
		rows: receipts.map((row) => ({ row, answer: answers.get(row.id), shown: shown.get(row.id) })),
		size: [answers.size, shown.size]
	};
}

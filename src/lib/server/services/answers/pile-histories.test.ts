import fc from 'fast-check';
import { afterEach, expect, it } from 'vitest';
import { LESSONS } from '../../../core/3-matching';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { attempt, step } from '../../allocation/testing-steps';
import type { Act } from '../../act/define-act';
import { perform } from '../../act/perform';
import { addCustomers } from '../../customers/commands/add-customers';
import { issueDocuments } from '../../documents/commands/issue-documents';
import { forgetHabit } from '../../matching/commands/forget-habit';
import { forgetPayer } from '../../matching/commands/forget-payer';
import type { Books } from '../../platform/db/open';
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
	SUPERVISOR
} from '../../testing';
import type { ActKind } from '../../../core/model/act-facts';
import { type AnsweredReceipts, patched, PileMaker } from './pile-maker';
import { plain, someDocuments } from './testing-piles';

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

async function someBooks(): Promise<Books> {
	const at = await someDocuments();
	const entries = SUMS.map((sum, i) =>
		credit(sum, TEXTS[i % TEXTS.length]!, { ...PAYERS[i % PAYERS.length]!, reference: `B${i}` })
	);
	await bringIn(at, bankXml(entries));
	return at;
}

it('answers that are kept are those that would be given anew, after every act of any history', async () => {
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

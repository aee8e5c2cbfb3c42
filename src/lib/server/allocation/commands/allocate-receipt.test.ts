import { NO_LIMITS_OF_ONE } from '../../../core/4-allocation/over-limits';
import { eq, gt } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it, test } from 'vitest';
import { day } from '../../../core/day/day';
import { minor } from '../../../core/money/minor';
import type { Books } from '../../platform/db/open';
import {
	act,
	claim,
	customer,
	document,
	itemState,
	journalLine,
	receiptState
} from '../../platform/db/schema';
import { lookAtApprovals } from '../../approvals/queries/approvals';
import { whereReceiptIs } from '../../receipts/queries/where-receipt-is';
import { answerApproval } from '../../approvals/commands/answer-approval';
import { lookAtLedger } from '../../customers/queries/account-ledger';
import { answeredPile } from '../../services/answers/answers';
import { lookAtDesk } from '../queries/desk';
import { lookAtOddPennies } from '../../claims/queries/odd-pennies';
import { lookAtPile } from '../../receipts/queries/pile';
import { proveBooks } from '../../ledger/queries/proof';
import { writeSetting } from '../../firm/store/settings';
import {
	as,
	bankXml,
	bringIn,
	CLERK,
	credit,
	done,
	invoices,
	newDocument,
	SUPERVISOR,
	testBooks,
	TODAY
} from '../../testing';
import { lookAtRefundFile } from '../../refunds/queries/refunds';
import { refundsDue } from '../../refunds/store/refunds-due';
import { addRates } from '../../firm/commands/add-rates';
import { makeRefundFile } from '../../refunds/commands/make-refund-file';
import { perform } from '../../act/perform';
import type { AllocationInput } from '../allocation-input';
import { allocateReceipt } from './allocate-receipt';
import { feePatternOf } from '../../matching/store/seen-fees';
import { setAside } from '../../receipts/commands/set-aside';
import { joinParts, splitReceipt } from '../../receipts/commands/split-receipt';
import { undoPosting } from './undo-posting';

let books: Books;
beforeEach(async () => {
	books = await testBooks();
	// 1: AK-1 10.00, 2: AK-2 20.00, 3: credit note AC-1 7.00, all of H1; 4: AK-3 3.00 of W2; 5: AE-1 100.00 EUR of E3.
	await done(books, addRates, [{ currency: 'EUR', day: day('2026-09-01'), millionths: 860_000 }], CLERK);
	await invoices(
		books,
		newDocument('AK-1', 1, 1000),
		newDocument('AK-2', 1, 2000),
		newDocument('AC-1', 1, 700, { kind: 'credit_note' }),
		newDocument('AK-3', 2, 300),
		newDocument('AE-1', 3, 10_000, { currency: 'EUR' })
	);
	await bringIn(
		books,
		bankXml([credit(900, 'one'), credit(1500, 'two'), credit(985, 'three'), credit(8400, 'four')])
	);
});
afterEach(() => books.close());

const proves = async () => expect((await proveBooks(books.db)).breaches).toEqual([]);
const versionOf = async (itemId: number) =>
	(await books.db.select().from(itemState).where(eq(itemState.itemId, itemId)).get())!.version;
const stateOf = async (id: number) =>
	(await books.db.select().from(receiptState).where(eq(receiptState.receiptId, id)).get())!;
const open = async () => (await books.db.select().from(itemState)).map((row) => row.open);

/** An order for a receipt (or none): lines as [item, cash, differences…]. */
async function order(
	receiptId: number | null,
	lines: [number, number, ...[string, number][]][],
	over: Partial<AllocationInput> = {}
): Promise<AllocationInput> {
	return {
		receiptId,
		receiptVersion: receiptId === null ? null : (await stateOf(receiptId)).version,
		customerId: 1,
		lines: await Promise.all(
			lines.map(async ([itemId, cash, ...gaps]) => ({
				itemId,
				version: await versionOf(itemId),
				cash,
				differences: gaps.map(([kind, amount]) => ({ kind: kind as 'claim', amount }))
			}))
		),
		...over
	};
}
const place = async (input: AllocationInput, who = CLERK) => perform(books, allocateReceipt, input, as(who));
async function placed(input: AllocationInput, who = CLERK): Promise<number> {
	const result = await place(input, who);
	if (!result.ok) throw new Error(JSON.stringify(result.problems));
	return result.value.actId!;
}
const codes = (result: Awaited<ReturnType<typeof place>>) =>
	result.ok ? [] : result.problems.map((one) => one.code);
const journal = async (actId: number) =>
	(await books.db.select().from(journalLine).where(eq(journalLine.actId, actId))).map((line) => [
		line.account,
		line.customerId,
		line.amount
	]);
const back = (actId: number) => perform(books, undoPosting, { actId }, as(CLERK));

describe('credits without new money', () => {
	it('place a credit note on an invoice, posting nothing, and can be taken back', async () => {
		const actId = await placed(
			await order(null, [
				[1, 700],
				[3, -700]
			])
		);
		expect(await open()).toEqual([300, 2000, 0, 300, 10_000]);
		expect(await journal(actId)).toEqual([]);
		await proves();
		expect((await back(actId)).ok).toBe(true);
		expect(await open()).toEqual([1000, 2000, 700, 300, 10_000]);
		await proves();
	});
	it('place earlier money on the day that was chosen, and hold its first posting fast meanwhile', async () => {
		const first = await placed(await order(1, []));
		const version = (await stateOf(1)).version;
		const later = await placed(
			await order(null, [[1, 600]], { credits: [{ receiptId: 1, version, use: 600 }], date: '2026-10-29' })
		);
		expect((await books.db.select().from(act).where(eq(act.id, later)).get())!.date).toBe('2026-10-29');
		expect([(await stateOf(1)).onAccount, (await open())[0]]).toEqual([300, 400]);
		await proves();
		expect(codes((await back(first)) as never)).toEqual(['credit-in-use']);
		expect((await back(later)).ok).toBe(true);
		expect([(await stateOf(1)).onAccount, (await open())[0]]).toEqual([900, 1000]);
		expect((await back(first)).ok).toBe(true);
		await proves();
	});
	it('join new money on one invoice', async () => {
		await placed(await order(1, []));
		const { version } = await stateOf(1);
		await placed(await order(2, [[2, 2000]], { credits: [{ receiptId: 1, version, use: 500 }] }));
		expect([(await stateOf(1)).onAccount, (await stateOf(2)).onAccount, (await open())[1]]).toEqual([
			400, 0, 0
		]);
		await proves();
	});
	it('are refused when somebody used them meanwhile', async () => {
		await placed(await order(1, []));
		const { version } = await stateOf(1);
		const use = { credits: [{ receiptId: 1, version, use: 500 }] };
		await placed(await order(null, [[1, 500]], use));
		expect(codes(await place(await order(null, [[2, 500]], use)))).toEqual(['credit-changed']);
		await proves();
	});
	it('are refused on a locked day', async () => {
		await books.write((tx) => writeSetting(tx, 'lockedThrough', '2026-09-30'));
		expect(
			codes(
				await place(
					await order(
						null,
						[
							[1, 700],
							[3, -700]
						],
						{ date: '2026-09-15' }
					)
				)
			)
		).toEqual(['period-locked']);
	});
});

describe('the odd penny, short', () => {
	const claimed = { reason: 'damaged', owner: 'Wren', deadline: '2026-11-13', note: 'two bags' } as const;
	const withClaim = async () => {
		const input = await order(1, [[1, 900, ['claim', 100]]]);
		return { ...input, lines: [{ ...input.lines[0]!, claim: claimed }] };
	};
	it('becomes a claim that is owed by itself; taking it back withdraws it', async () => {
		const actId = await placed(await withClaim());
		const found = await books.db
			.select({ claim, document, state: itemState })
			.from(claim)
			.innerJoin(document, eq(document.id, claim.documentId))
			.innerJoin(itemState, eq(itemState.kind, 'claim'))
			.get();
		expect([found!.document.kind, found!.state.open, found!.claim.owner, found!.claim.fromItemId]).toEqual([
			'claim',
			100,
			'Wren',
			1
		]);
		expect((await open())[0]).toBe(0);
		expect(await journal(actId)).toContainEqual(['1100', 1, 100]);
		const pennies = await lookAtOddPennies(books.db, null, { who: CLERK, today: TODAY });
		expect(pennies.claims).toMatchObject([{ reason: 'damaged', note: 'two bags', open: 100, fromItemId: 1 }]);
		const account = await lookAtLedger(books.db, { code: 'H1', before: null }, { who: CLERK, today: TODAY });
		expect(
			account!.rows
				.filter((row) => row.actId === actId)
				.map((row) => [row.kind, row.amount, row.label !== ''])
		).toEqual([
			['allocate-receipt', -900, true],
			['claim', 100, true],
			['claim', -100, false]
		]);
		await proves();
		expect((await back(actId)).ok).toBe(true);
		expect(await open()).toEqual([1000, 2000, 700, 300, 10_000, 0]);
		expect((await books.db.select().from(claim).get())!.state).toBe('withdrawn');
		await proves();
	});
	it('a claim that was paid holds its posting fast', async () => {
		const actId = await placed(await withClaim());
		await placed(await order(2, [[6, 100]]));
		await proves();
		expect(codes((await back(actId)) as never)).toEqual(['credit-in-use']);
	});
	it('needs a reason and an owner to be a claim', async () => {
		expect(codes(await place(await order(1, [[1, 900, ['claim', 100]]])))).toEqual(['claim-unexplained']);
	});
	test.each([
		['settlement_discount', '7200'],
		['bank_charge', '7100'],
		['processor_fee', '7110'],
		['withholding_tax', '1250'],
		['small_difference', '7220'],
		['currency', '7400'],
		['bad_debt', '7300']
	])('%s goes to account %s and back', async (kind, account) => {
		const actId = await placed(await order(1, [[1, 900, [kind, 100]]]));
		expect(await journal(actId)).toContainEqual([account, null, 100]);
		await proves();
		await back(actId);
		await proves();
	});
	it('may have several names', async () => {
		await placed(await order(1, [[1, 900, ['settlement_discount', 60], ['bank_charge', 40]]]));
		expect((await open())[0]).toBe(0);
		await proves();
	});
	it('may be a bad debt with no money at all', async () => {
		const actId = await placed(await order(null, [[4, 0, ['bad_debt', 300]]], { customerId: 2 }));
		expect(await journal(actId)).toEqual([
			['7300', null, 300],
			['1100', 2, -300]
		]);
		await proves();
	});
});

describe('limits', () => {
	beforeEach(() =>
		books.write((tx) =>
			writeSetting(tx, 'limits', {
				tolerance: 50,
				byRole: {
					clerk: { ...NO_LIMITS_OF_ONE, act: { bank_charge: 80 } },
					supervisor: { ...NO_LIMITS_OF_ONE, act: { bank_charge: 200 } }
				},
				byPerson: {}
			})
		)
	);
	it('above, it waits for a supervisor with all that was laid, and posts nothing', async () => {
		const result = await place(await order(1, [[1, 900, ['bank_charge', 100]]]));
		expect(result.ok && [result.value.actId, result.value.waits]).toEqual([
			null,
			[{ scope: 'act', kind: 'bank_charge', amount: 100, most: 80 }]
		]);
		const state = await stateOf(1);
		expect([state.state, state.heldBecause]).toEqual(['in_approval', null]);
		expect((await open())[0]).toBe(1000);
		const viewer = { who: SUPERVISOR, today: TODAY };
		expect(await lookAtDesk(books.db, { receiptId: 1, customerId: null, also: [] }, viewer)).toBeNull();
		expect(await whereReceiptIs(books.db, 1, viewer)).toBe('in_approval');
		// Nobody takes it meanwhile, not even a supervisor: it is answered.
		const taken = { ...(await order(1, [[1, 900]])), receiptVersion: state.version };
		expect(codes(await place(taken, SUPERVISOR))).toEqual(['receipt-taken']);
		const [waits] = (await lookAtApprovals(books.db, null, viewer)).waiting;
		await done(books, answerApproval, { asked: waits!.asked, answer: 'agree' }, SUPERVISOR);
		// What the supervisor saw is what was posted, to the line.
		const posted = await books.db
			.select({ account: journalLine.account, amount: journalLine.amount, code: customer.code })
			.from(journalLine)
			.leftJoin(customer, eq(customer.id, journalLine.customerId))
			.where(gt(journalLine.actId, waits!.asked))
			.orderBy(journalLine.id);
		expect(posted.length).toBeGreaterThan(2);
		expect(waits!.shows!.map(({ account, amount, code }) => ({ account, amount, code }))).toEqual(posted);
		expect([(await stateOf(1)).state, (await stateOf(1)).heldOrder, (await open())[0]]).toEqual([
			'allocated',
			null,
			0
		]);
		await proves();
	});
	it.each([
		['refuse', SUPERVISOR, 'held', 'Hollis did not agree: ask them first'],
		['withdraw', CLERK, 'waiting', null]
	] as const)(
		'%s: it is in the pile again, with what was allocated on it',
		async (answer, who, want, note) => {
			await place(await order(1, [[1, 900, ['bank_charge', 100]]]));
			const viewer = { who: SUPERVISOR, today: TODAY };
			const [waits] = (await lookAtApprovals(books.db, null, viewer)).waiting;
			await done(books, answerApproval, { asked: waits!.asked, answer, why: 'ask them first' }, who);
			const state = await stateOf(1);
			expect([state.state, state.heldBecause]).toEqual([want, note]);
			const desk = await lookAtDesk(books.db, { receiptId: 1, customerId: null, also: [] }, viewer);
			expect(desk!.receipt!.heldOrder!.lines[0]!.differences).toEqual([{ kind: 'bank_charge', amount: 100 }]);
			expect((await open())[0]).toBe(1000);
		}
	);
	it('a small difference beyond the tolerance is refused to everybody', async () => {
		expect(codes(await place(await order(1, [[1, 900, ['small_difference', 51]]]), SUPERVISOR))).toEqual([
			'over-tolerance'
		]);
	});
	it('without new money it waits, too', async () => {
		const result = await place(await order(null, [[1, 0, ['bank_charge', 81]]]));
		expect(result.ok && result.value.actId).toBeNull();
		const [waits] = (await lookAtApprovals(books.db, null, { who: SUPERVISOR, today: TODAY })).waiting;
		expect(waits!.about).toMatchObject({ code: 'allocate-credits', customer: 'Hazel Hill Pottery' });
		await done(books, answerApproval, { asked: waits!.asked, answer: 'agree' }, SUPERVISOR);
		expect((await open())[0]).toBe(919);
		await proves();
	});
});

describe('the odd penny, long', () => {
	it.each([
		['refund', '2160'],
		['small_difference', '7220']
	] as const)('%s leaves the account and goes to %s', async (kind, account) => {
		const actId = await placed(await order(2, [[1, 1000]], { surplus: [{ kind, amount: 500 }] }));
		expect(await journal(actId)).toEqual([
			['1200', null, 1500],
			['1100', 1, -1500],
			[account, null, -500],
			['1100', 1, 500]
		]);
		expect((await stateOf(2)).onAccount).toBe(0);
		await proves();
		expect((await back(actId)).ok).toBe(true);
		await proves();
	});
	it('a deposit keeps its order and is seen on the desk', async () => {
		await placed(await order(2, [], { depositFor: 'PO-77' }));
		const viewer = { who: CLERK, today: TODAY };
		const desk = await lookAtDesk(books.db, { receiptId: null, customerId: 1, also: [] }, viewer);
		expect(desk!.credits).toMatchObject([{ receiptId: 2, onAccount: 1500, depositFor: 'PO-77' }]);
		const pile = await lookAtPile(books.db, { most: 100 }, viewer);
		expect(pile.credits).toEqual([
			{ customerId: 1, name: 'Hazel Hill Pottery', currency: 'GBP', amount: 2200, deposit: null }
		]);
	});
	it('an equal payment shortly before is shown beside it', async () => {
		await bringIn(
			books,
			bankXml([credit(900, 'again', { reference: 'X9' })], { reference: 'S2', opening: 11_785 }),
			'again.xml'
		);
		await placed(await order(1, [[1, 900]]));
		const viewer = { who: CLERK, today: TODAY };
		const desk = await lookAtDesk(books.db, { receiptId: 5, customerId: 1, also: [] }, viewer);
		expect(desk!.suspects).toMatchObject([{ receiptId: 1, amount: 900, numbers: ['AK-1'], by: 'Wren' }]);
	});
});

describe('fees, groups and currencies', () => {
	it('credits in full where a fee was kept', async () => {
		const actId = await placed(
			await order(3, [[1, 1000]], { fees: [{ kind: 'processor_fee', amount: 15 }] })
		);
		expect(await journal(actId)).toEqual([
			['1200', null, 985],
			['1100', 1, -985],
			['7110', null, 15],
			['1100', 1, -15]
		]);
		await proves();
		await back(actId);
		await proves();
	});
	it('keeps a fee that is credited on account within the bounds of the credit', async () => {
		await placed(await order(3, [], { fees: [{ kind: 'processor_fee', amount: 15 }] }));
		expect((await stateOf(3)).onAccount).toBe(1000);
		await proves();
	});
	it('pays items of another account, receivables to receivables', async () => {
		const actId = await placed(
			await order(1, [
				[1, 600],
				[4, 300]
			])
		);
		expect(await journal(actId)).toEqual([
			['1200', null, 900],
			['1100', 1, -900],
			['1100', 1, 300],
			['1100', 2, -300]
		]);
		const account = await lookAtLedger(books.db, { code: 'H1', before: null }, { who: CLERK, today: TODAY });
		expect(account!.rows.filter((row) => row.actId === actId).map((row) => [row.kind, row.amount])).toEqual([
			['allocate-receipt', -900],
			['moved', 300]
		]);
		await proves();
		await back(actId);
		await proves();
	});
	it('pays an invoice in another currency, with the difference in base currency', async () => {
		const input = await order(4, [[5, 8400]], { customerId: 3 });
		const line = { ...input.lines[0]!, settles: 10_000 };
		const actId = await placed({ ...input, lines: [line] });
		expect(await journal(actId)).toEqual([
			['1200', null, 8400],
			['1100', 3, -8400],
			['1100', 3, 8400],
			['1295', null, -8400],
			['1295', null, 10_000],
			['1100', 3, -10_000],
			['1100', 3, 0],
			['7400', null, 0]
		]);
		expect((await open())[4]).toBe(0);
		await proves();
		await back(actId);
		await proves();
	});
	it('takes part of one, with its remainder, and one instalment of several', async () => {
		await invoices(
			books,
			newDocument('AK-9', 1, 1000, {
				instalments: [
					{ due: day('2026-10-01'), amount: minor(100) },
					{ due: day('2026-11-01'), amount: minor(450) },
					{ due: day('2026-12-01'), amount: minor(450) }
				]
			})
		);
		await placed(
			await order(1, [
				[7, 450],
				[2, 450]
			])
		);
		expect(await open()).toEqual([1000, 1550, 700, 300, 10_000, 100, 0, 450]);
		await proves();
	});
});

describe('one entry of several payments', () => {
	const parts = [
		{ payerName: 'R Fairleigh', text: 'AK-3', gross: 300, fee: 5, customerId: 2 },
		{ payerName: 'J Thorne', text: 'AK-1', gross: 700, fee: 10 }
	];
	it('is split to the penny, and each part allocated in full', async () => {
		const { firstId } = await done(books, splitReceipt, { receiptId: 3, receiptVersion: 1, parts }, CLERK);
		await proves();
		const desk = await lookAtDesk(
			books.db,
			{ receiptId: firstId, customerId: null, also: [] },
			{ who: CLERK, today: TODAY }
		);
		expect(desk!.answer).toMatchObject({ customerId: 2, lines: [{ itemId: 4, cash: 300 }] });
		await placed(
			await order(firstId, [[4, 300]], { customerId: 2, fees: [{ kind: 'processor_fee', amount: 5 }] })
		);
		await placed(await order(firstId + 1, [[1, 700]], { fees: [{ kind: 'processor_fee', amount: 10 }] }));
		expect(await open()).toEqual([300, 2000, 700, 0, 10_000]);
		await proves();
		const joined = await perform(books, joinParts, { receiptId: firstId }, as(CLERK));
		expect(joined.ok ? [] : joined.problems.map((one) => one.code)).toEqual(['credit-in-use']);
	});
	it('is joined again while its parts wait', async () => {
		const { firstId } = await done(books, splitReceipt, { receiptId: 3, receiptVersion: 1, parts }, CLERK);
		expect((await stateOf(3)).state).toBe('split');
		await done(books, joinParts, { receiptId: firstId }, CLERK);
		expect([(await stateOf(3)).state, (await stateOf(firstId)).state]).toEqual(['waiting', 'withdrawn']);
		await proves();
		await placed(await order(3, [[1, 985]]));
		await proves();
	});
	it('is refused where the parts do not come to it', async () => {
		const wrong = await perform(
			books,
			splitReceipt,
			{ receiptId: 3, receiptVersion: 1, parts: parts.slice(0, 1) },
			as(CLERK)
		);
		expect(wrong.ok ? [] : wrong.problems.map((one) => one.code)).toEqual(['split-sum']);
		await proves();
	});
});

it('learns what is kept of a payer’s money from what was posted', async () => {
	const sums = [10_000, 25_050, 3_300];
	await invoices(books, ...sums.map((sum, i) => newDocument(`AF-${i}`, 2, sum)));
	const fee = (sum: number) => Math.round(sum * 0.014) + 20;
	await bringIn(
		books,
		bankXml(
			sums.map((sum, i) => credit(sum - fee(sum), 'card', { account: 'P', reference: `P${i}` })),
			{ reference: 'S9', opening: 11_785 }
		),
		'cards.xml'
	);
	for (const [i, sum] of sums.entries())
		await placed(
			await order(5 + i, [[6 + i, sum - fee(sum), ['processor_fee', fee(sum)]]], { customerId: 2 })
		);
	expect(await feePatternOf(books.db, { customerId: 2 }, 'GBP')).toMatchObject({
		basisPoints: 140,
		fixed: 20,
		explains: 3
	});
});

describe('who it was, and where it goes, is remembered when asked', () => {
	it('a payer for a customer, by account', async () => {
		await bringIn(
			books,
			bankXml([credit(100, 'x', { account: 'NEW1', name: 'STRANGER' })], {
				reference: 'S7',
				opening: 11_785
			}),
			'x.xml'
		);
		const desk = () =>
			lookAtDesk(books.db, { receiptId: 5, customerId: 2, also: [] }, { who: CLERK, today: TODAY });
		expect((await desk())!.payerKnown).toBe(false);
		const actId = await placed(await order(5, [[4, 100]], { customerId: 2, remember: true }));
		await bringIn(
			books,
			bankXml([credit(200, 'y', { account: 'NEW1', name: 'STRANGER', reference: 'Q2' })], {
				reference: 'S8',
				opening: 11_885
			}),
			'y.xml'
		);
		const next = await lookAtDesk(
			books.db,
			{ receiptId: 6, customerId: 2, also: [] },
			{ who: CLERK, today: TODAY }
		);
		expect([next!.payerKnown, next!.answer!.customerId]).toEqual([true, 2]);
		// What is taken back teaches nothing.
		await back(actId);
		expect((await desk())!.payerKnown).toBe(false);
		expect((await answeredPile(books.db)).answers.get(6)!.customerId).toBe(null);
	});
	it('a ledger account for a name, proposed and never posted by itself', async () => {
		await bringIn(
			books,
			bankXml([credit(100, 'INTEREST', { account: null, name: 'Mere Bank' })], {
				reference: 'S7',
				opening: 11_785
			}),
			'x.xml'
		);
		const { actId } = await done(
			books,
			setAside,
			{ receiptId: 5, receiptVersion: 1, account: '4310', remember: true },
			CLERK
		);
		await back(actId!);
		const viewer = { who: CLERK, today: TODAY };
		const pile = await lookAtPile(books.db, { most: 100 }, viewer);
		expect(pile.groups.flatMap((group) => group.rows).find((row) => row.id === 5)!.aside).toBe('4310');
		const desk = await lookAtDesk(books.db, { receiptId: 5, customerId: null, also: [] }, viewer);
		expect(desk!.asideRule).toBe('4310');
		await proves();
	});
});

describe('refunds', () => {
	it('go into one file for the bank, once; the bank’s debit clears them', async () => {
		await placed(await order(2, [[1, 1000]], { surplus: [{ kind: 'refund', amount: 500 }] }));
		const [due] = await refundsDue(books.db);
		expect(due).toMatchObject({ customer: 'Hazel Hill Pottery', account: 'ACCH1', amount: 500 });
		const input = { bankAccountId: 1, refunds: [{ id: due!.id, account: 'ACCH1' }] };
		const clerk = await perform(books, makeRefundFile, input, as(CLERK));
		expect(clerk.ok ? [] : clerk.problems.map((one) => one.code)).toEqual(['not-allowed']);
		const made = await done(books, makeRefundFile, input, SUPERVISOR);
		const fileId = 'fileId' in made ? made.fileId : 0;
		const file = await lookAtRefundFile(books.db, fileId, { who: CLERK, today: TODAY });
		expect(file!.xml).toContain('<InstdAmt Ccy="GBP">5.00</InstdAmt>');
		expect(await refundsDue(books.db)).toEqual([]);
		const again = await perform(books, makeRefundFile, input, as(SUPERVISOR));
		expect(again.ok ? [] : again.problems.map((one) => one.code)).toEqual(['draft-gone']);
		await bringIn(
			books,
			bankXml([credit(-500, 'REFUNDS', { reference: 'R1' })], { reference: 'S8', opening: 11_785 }),
			'r.xml'
		);
		await done(books, setAside, { receiptId: 5, receiptVersion: 1, account: '2160' }, CLERK);
		const lines = await books.db.select().from(journalLine).where(eq(journalLine.account, '2160'));
		expect(lines.reduce((sum, line) => sum + line.amount, 0)).toBe(0);
		await proves();
	});
	it('whose posting is taken back are not paid; one that is in a file cannot be taken back', async () => {
		const actId = await placed(await order(2, [[1, 1000]], { surplus: [{ kind: 'refund', amount: 500 }] }));
		await back(actId);
		expect(await refundsDue(books.db)).toEqual([]);
		await proves();
		const twice = await placed(await order(2, [[1, 1000]], { surplus: [{ kind: 'refund', amount: 500 }] }));
		const [due] = await refundsDue(books.db);
		await done(
			books,
			makeRefundFile,
			{ bankAccountId: 1, refunds: [{ id: due!.id, account: 'ACCH1' }] },
			SUPERVISOR
		);
		expect(codes((await back(twice)) as never)).toEqual(['credit-in-use']);
	});
});

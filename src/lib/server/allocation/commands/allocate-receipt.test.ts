import { eq } from 'drizzle-orm';
import { describe, expect, it, test } from 'vitest';
import { act, claim, document, itemState } from '../../platform/db/schema';
import { lookAtLedger } from '../../customers/queries/account-ledger';
import { lookAtDesk } from '../queries/desk';
import { lookAtOddPennies } from '../../claims/queries/odd-pennies';
import { lookAtPile } from '../../receipts/queries/pile';
import { WHOLE_PILE } from '../../services/answers/order-pile';
import { writeSetting } from '../../firm/store/settings';
import { bankXml, bringIn, CLERK, credit, TODAY } from '../../testing';
import { deskBooks } from '../testing-desk';

const own = deskBooks();
const { proves, stateOf, open, order, place, placed, codes, journal, back } = own;

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
		expect((await own.books.db.select().from(act).where(eq(act.id, later)).get())!.date).toBe('2026-10-29');
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
		await own.books.write((tx) => writeSetting(tx, 'lockedThrough', '2026-09-30'));
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
		const found = await own.books.db
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
		const pennies = await lookAtOddPennies(own.books.db, null, { who: CLERK, today: TODAY });
		expect(pennies.claims).toMatchObject([{ reason: 'damaged', note: 'two bags', open: 100, fromItemId: 1 }]);
		const account = await lookAtLedger(
			own.books.db,
			{ code: 'H1', before: null },
			{ who: CLERK, today: TODAY }
		);
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
		expect((await own.books.db.select().from(claim).get())!.state).toBe('withdrawn');
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
		const desk = await lookAtDesk(own.books.db, { receiptId: null, customerId: 1, also: [] }, viewer);
		expect(desk!.credits).toMatchObject([{ receiptId: 2, onAccount: 1500, depositFor: 'PO-77' }]);
		const pile = await lookAtPile(own.books.db, { most: 100, filter: WHOLE_PILE }, viewer);
		expect(pile.credits).toEqual([
			{ customerId: 1, name: 'Hazel Hill Pottery', currency: 'GBP', amount: 2200, deposit: null }
		]);
	});
	it('an equal payment shortly before is shown beside it', async () => {
		await bringIn(
			own.books,
			bankXml([credit(900, 'again', { reference: 'X9' })], { reference: 'S2', opening: 11_785 }),
			'again.xml'
		);
		await placed(await order(1, [[1, 900]]));
		const viewer = { who: CLERK, today: TODAY };
		const desk = await lookAtDesk(own.books.db, { receiptId: 5, customerId: 1, also: [] }, viewer);
		expect(desk!.suspects).toMatchObject([{ receiptId: 1, amount: 900, numbers: ['AK-1'], by: 'Wren' }]);
	});
});

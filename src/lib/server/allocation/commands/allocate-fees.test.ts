import { describe, expect, it } from 'vitest';
import { day } from '../../../core/day/day';
import { minor } from '../../../core/money/minor';
import { lookAtLedger } from '../../customers/queries/account-ledger';
import { lookAtDesk } from '../queries/desk';
import { as, bankXml, bringIn, CLERK, credit, done, invoices, newDocument, TODAY } from '../../testing';
import { perform } from '../../act/perform';
import { feePatternOf } from '../../matching/store/seen-fees';
import { joinParts, splitReceipt } from '../../receipts/commands/split-receipt';
import { deskBooks } from '../testing-desk';

const own = deskBooks();
const { proves, stateOf, open, order, placed, journal, back } = own;

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
		const account = await lookAtLedger(
			own.books.db,
			{ code: 'H1', before: null },
			{ who: CLERK, today: TODAY }
		);
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
			own.books,
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
		const { firstId } = await done(
			own.books,
			splitReceipt,
			{ receiptId: 3, receiptVersion: 1, parts },
			CLERK
		);
		await proves();
		const desk = await lookAtDesk(
			own.books.db,
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
		const joined = await perform(own.books, joinParts, { receiptId: firstId }, as(CLERK));
		expect(joined.ok ? [] : joined.problems.map((one) => one.code)).toEqual(['credit-in-use']);
	});
	it('is joined again while its parts wait', async () => {
		const { firstId } = await done(
			own.books,
			splitReceipt,
			{ receiptId: 3, receiptVersion: 1, parts },
			CLERK
		);
		expect((await stateOf(3)).state).toBe('split');
		await done(own.books, joinParts, { receiptId: firstId }, CLERK);
		expect([(await stateOf(3)).state, (await stateOf(firstId)).state]).toEqual(['waiting', 'withdrawn']);
		await proves();
		await placed(await order(3, [[1, 985]]));
		await proves();
	});
	it('is refused where the parts do not come to it', async () => {
		const wrong = await perform(
			own.books,
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
	await invoices(own.books, ...sums.map((sum, i) => newDocument(`AF-${i}`, 2, sum)));
	const fee = (sum: number) => Math.round(sum * 0.014) + 20;
	await bringIn(
		own.books,
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
	expect(await feePatternOf(own.books.db, { customerId: 2 }, 'GBP')).toMatchObject({
		basisPoints: 140,
		fixed: 20,
		explains: 3
	});
});

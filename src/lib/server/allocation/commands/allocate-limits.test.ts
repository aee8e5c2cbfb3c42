import { NO_LIMITS_OF_ONE } from '../../../core/4-allocation/over-limits';
import { eq, gt } from 'drizzle-orm';
import { beforeEach, describe, expect, it } from 'vitest';
import { customer, journalLine } from '../../platform/db/schema';
import { lookAtApprovals } from '../../approvals/queries/approvals';
import { whereReceiptIs } from '../../receipts/queries/where-receipt-is';
import { answerApproval } from '../../approvals/commands/answer-approval';
import { lookAtDesk } from '../queries/desk';
import { writeSetting } from '../../firm/store/settings';
import { CLERK, done, SUPERVISOR, TODAY } from '../../testing';
import { deskBooks } from '../testing-desk';

const own = deskBooks();
const { proves, stateOf, open, order, place, codes } = own;

describe('limits', () => {
	beforeEach(() =>
		own.books.write((tx) =>
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
		expect(await lookAtDesk(own.books.db, { receiptId: 1, customerId: null, also: [] }, viewer)).toBeNull();
		expect(await whereReceiptIs(own.books.db, 1, viewer)).toMatchObject({ state: 'in_approval' });
		// Nobody takes it meanwhile, not even a supervisor: it is answered.
		const taken = { ...(await order(1, [[1, 900]])), receiptVersion: state.version };
		expect(codes(await place(taken, SUPERVISOR))).toEqual(['receipt-taken']);
		const [waits] = (await lookAtApprovals(own.books.db, null, viewer)).waiting;
		await done(own.books, answerApproval, { asked: waits!.asked, answer: 'agree' }, SUPERVISOR);
		// What the supervisor saw is what was posted, to the line.
		const posted = await own.books.db
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
		['refuse', SUPERVISOR, 'held', 'Hollis rejected it: ask them first'],
		['withdraw', CLERK, 'waiting', null]
	] as const)(
		'%s: it is in the pile again, with what was allocated on it',
		async (answer, who, want, note) => {
			await place(await order(1, [[1, 900, ['bank_charge', 100]]]));
			const viewer = { who: SUPERVISOR, today: TODAY };
			const [waits] = (await lookAtApprovals(own.books.db, null, viewer)).waiting;
			await done(own.books, answerApproval, { asked: waits!.asked, answer, why: 'ask them first' }, who);
			const state = await stateOf(1);
			expect([state.state, state.heldBecause]).toEqual([want, note]);
			const desk = await lookAtDesk(own.books.db, { receiptId: 1, customerId: null, also: [] }, viewer);
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
		const [waits] = (await lookAtApprovals(own.books.db, null, { who: SUPERVISOR, today: TODAY })).waiting;
		expect(waits!.about).toMatchObject({ code: 'allocate-credits', customer: 'Hazel Hill Pottery' });
		await done(own.books, answerApproval, { asked: waits!.asked, answer: 'agree' }, SUPERVISOR);
		expect((await open())[0]).toBe(919);
		await proves();
	});
});

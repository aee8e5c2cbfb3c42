import { describe, expect, it } from 'vitest';
import { answeredPile } from '../../services/answers/answers';
import { lookAtDesk } from '../queries/desk';
import { lookAtPile } from '../../receipts/queries/pile';
import { WHOLE_PILE } from '../../services/answers/order-pile';
import { bankXml, bringIn, CLERK, credit, done, TODAY } from '../../testing';
import { setAside } from '../../receipts/commands/set-aside';
import { deskBooks } from '../testing-desk';

const own = deskBooks();
const { proves, order, placed, back } = own;

describe('who it was, and where it goes, is remembered when asked', () => {
	it('a payer for a customer, by account', async () => {
		await bringIn(
			own.books,
			bankXml([credit(100, 'x', { account: 'NEW1', name: 'STRANGER' })], {
				reference: 'S7',
				opening: 11_785
			}),
			'x.xml'
		);
		const desk = () =>
			lookAtDesk(own.books.db, { receiptId: 5, customerId: 2, also: [] }, { who: CLERK, today: TODAY });
		expect((await desk())!.payerKnown).toBe(false);
		const actId = await placed(await order(5, [[4, 100]], { customerId: 2, remember: true }));
		await bringIn(
			own.books,
			bankXml([credit(200, 'y', { account: 'NEW1', name: 'STRANGER', reference: 'Q2' })], {
				reference: 'S8',
				opening: 11_885
			}),
			'y.xml'
		);
		const next = await lookAtDesk(
			own.books.db,
			{ receiptId: 6, customerId: 2, also: [] },
			{ who: CLERK, today: TODAY }
		);
		expect([next!.payerKnown, next!.answer!.customerId]).toEqual([true, 2]);
		// What is taken back teaches nothing.
		await back(actId);
		expect((await desk())!.payerKnown).toBe(false);
		expect((await answeredPile(own.books.db)).answers.get(6)!.customerId).toBe(null);
	});
	it('a ledger account for a name, proposed and never posted by itself', async () => {
		await bringIn(
			own.books,
			bankXml([credit(100, 'INTEREST', { account: null, name: 'Mere Bank' })], {
				reference: 'S7',
				opening: 11_785
			}),
			'x.xml'
		);
		const { actId } = await done(
			own.books,
			setAside,
			{ receiptId: 5, receiptVersion: 1, account: '4310', remember: true },
			CLERK
		);
		await back(actId!);
		const viewer = { who: CLERK, today: TODAY };
		const pile = await lookAtPile(own.books.db, { most: 100, filter: WHOLE_PILE }, viewer);
		expect(pile.groups.flatMap((group) => group.rows).find((row) => row.id === 5)!.aside).toBe(
			'Bank interest received'
		);
		const desk = await lookAtDesk(own.books.db, { receiptId: 5, customerId: null, also: [] }, viewer);
		expect(desk!.answer!.usual).toMatchObject({ account: '4310', setBy: 'Wren' });
		expect(desk!.answer!.band).toBe('likely');
		await proves();
	});
});

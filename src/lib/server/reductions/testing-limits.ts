import { asc, eq } from 'drizzle-orm';
import { afterEach, beforeEach } from 'vitest';
import { NO_LIMITS, NO_LIMITS_OF_ONE, type LimitsOfOne } from '../../core/4-allocation/over-limits';
import { answerApproval } from '../approvals/commands/answer-approval';
import { lookAtApprovals } from '../approvals/queries/approvals';
import { perform } from '../act/perform';
import type { Person } from '../act/person';
import { allocateReceipt } from '../allocation/commands/allocate-receipt';
import { issueByHand } from '../documents/commands/issue-by-hand';
import { writeSetting } from '../firm/store/settings';
import type { Books } from '../platform/db/open';
import { itemState, reduction } from '../platform/db/schema';
import { as, CLERK, newDocument, SUPERVISOR, testBooks, TODAY } from '../testing';

/** A clerk beside the one who does most. */
export const OTHER: Person = { id: 'u8', name: 'Perrin', role: 'clerk' };

/** Books with three invoices, made anew for each test, and ways of taking money off them within limits. */
export function limitedBooks() {
	let books: Books;
	beforeEach(async () => {
		books = await testBooks(
			newDocument('AK-1', 1, 100_000),
			newDocument('AK-2', 2, 100_000),
			newDocument('AK-3', 1, 100_000)
		);
	});
	afterEach(() => books.close());

	const limited = (clerk: Partial<LimitsOfOne>, supervisor: Partial<LimitsOfOne> = {}) =>
		books.write((tx) =>
			writeSetting(tx, 'limits', {
				...NO_LIMITS,
				byRole: {
					clerk: { ...NO_LIMITS_OF_ONE, ...clerk },
					supervisor: { ...NO_LIMITS_OF_ONE, ...supervisor }
				}
			})
		);
	const waiting = async () =>
		(await lookAtApprovals(books.db, null, { who: SUPERVISOR, today: TODAY })).waiting;
	const item = async (id: number) => {
		const row = await books.db.select().from(itemState).where(eq(itemState.itemId, id)).get();
		return { itemId: id, version: row!.version };
	};
	const writeOff = async (id: number, amount: number, who = CLERK) =>
		perform(
			books,
			allocateReceipt,
			{
				...{ receiptId: null, receiptVersion: null, customerId: id === 2 ? 2 : 1, date: null },
				lines: [{ ...(await item(id)), cash: 0, differences: [{ kind: 'bad_debt', amount }] }]
			},
			as(who)
		);
	let notes = 0;
	const creditNote = (
		net: number,
		who = CLERK,
		customerId = 1,
		kind: 'goods' | 'price' | 'goodwill' = 'price'
	) =>
		perform(
			books,
			issueByHand,
			{
				...{ kind: 'credit_note', creditNoteKind: kind, customerId, number: `CN-${++notes}`, issued: TODAY },
				lines: [{ text: 'credit', net, taxBasisPoints: 0 }],
				shares: [{ basisPoints: 10_000, days: 0 }],
				...{ discount: null, purchaseOrder: null, orderReference: null, paymentReference: null }
			},
			as(who)
		);
	/** Whether it was done; otherwise what it is beyond. */
	const beyond = (result: Awaited<ReturnType<typeof creditNote>> | Awaited<ReturnType<typeof writeOff>>) =>
		result.ok ? result.value.waits.map(({ scope, kind }) => `${scope} ${kind}`) : ['refused'];
	const rows = () => books.db.select().from(reduction).orderBy(asc(reduction.id));
	const answer = async (given: 'agree' | 'refuse', who = SUPERVISOR) => {
		const [first] = await waiting();
		return perform(books, answerApproval, { asked: first!.asked, answer: given, why: 'seen' }, as(who));
	};

	return {
		/** Those of the test that runs. */
		get books() {
			return books;
		},
		limited,
		waiting,
		item,
		writeOff,
		creditNote,
		beyond,
		rows,
		answer
	};
}

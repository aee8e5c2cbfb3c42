import { beforeEach, describe, expect, it, test } from 'vitest';
import type { Books } from '../../platform/db/open';
import { lookAtPeople } from '../../people/queries/people';
import { as, CLERK, done, READER, SUPERVISOR, testBooks, TODAY, codesOf } from '../../testing';
import { holdReceipt } from '../../receipts/commands/hold-receipt';
import { lockPeriod } from '../../periods/commands/lock-period';
import { addPerson, addPersonWithPassword, changeRole } from '../../people/commands/people';
import { perform } from '../../act/perform';
import type { AnyAct } from '../../act/define-act';
import { postCertain } from './post-certain';
import type { AllocationInput } from '../allocation-input';
import { allocateReceipt } from './allocate-receipt';
import { setAside } from '../../receipts/commands/set-aside';
import { undoPosting } from './undo-posting';

let books: Books & { file: string };
beforeEach(async () => {
	books = await testBooks();
});
const order = (
	receiptId: number,
	lines: [number, number, AllocationInput['lines'][number]['differences']?][],
	over: Partial<AllocationInput> = {}
): AllocationInput => ({
	receiptId,
	receiptVersion: 1,
	customerId: 1,
	lines: lines.map(([itemId, cash, differences = []]) => ({ itemId, version: 1, cash, differences })),
	...over
});

describe('who may do what', () => {
	const acts: [string, AnyAct, unknown][] = [
		['place', allocateReceipt as never, order(1, [])],
		['undo', undoPosting as never, { actId: 1 }],
		['set aside', setAside as never, { receiptId: 1, receiptVersion: 1, account: '7100' }],
		['hold', holdReceipt as never, { receiptId: 1, receiptVersion: 1, because: '' }],
		['post all', postCertain as never, { receipts: [] }],
		['lock', lockPeriod as never, { through: TODAY }],
		['let in', addPerson as never, {}]
	];
	test.each(acts)('a reader may not %s', async (_, act, input) =>
		expect(codesOf(await perform(books, act, input as never, as(READER)))).toEqual(['not-allowed'])
	);
	it('a clerk may neither lock nor see the people', async () => {
		expect(codesOf(await perform(books, lockPeriod, { through: TODAY }, as(CLERK)))).toEqual(['not-allowed']);
		await expect(lookAtPeople(books.db, new Date(), { who: CLERK, today: TODAY })).rejects.toThrow(
			'not-allowed'
		);
	});
	it('the last supervisor stays', async () => {
		const { id } = await done(
			books,
			addPersonWithPassword,
			{ name: 'A', email: 'a@ashlock-kiln.example', passwordHash: 'made up', role: 'supervisor' },
			SUPERVISOR
		);
		expect(codesOf(await perform(books, changeRole, { id, role: 'none' }, as(SUPERVISOR)))).toEqual([
			'last-supervisor'
		]);
	});
});

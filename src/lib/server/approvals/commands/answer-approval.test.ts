import { asc } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { Books } from '../../platform/db/open';
import { act, difference, itemState } from '../../platform/db/schema';
import { countApprovals, lookAtApprovals } from '../queries/approvals';
import { as, CLERK, done, newDocument, proves, READER, SUPERVISOR, testBooks, TODAY } from '../../testing';
import { answerApproval } from './answer-approval';
import { perform } from '../../act/perform';
import type { Person } from '../../act/person';
import { setLimits } from '../../firm/commands/set-limits';
import { undoPosting } from '../../allocation/commands/undo-posting';
import { writeOffSmallBalances } from '../../allocation/commands/write-off-small-balances';

let books: Books;
const viewer = { who: CLERK, today: TODAY };
const LIMITS = {
	tolerance: null,
	byRole: { clerk: { bad_debt: 10_000 }, supervisor: { bad_debt: 50_000 } },
	byPerson: {}
};
beforeEach(async () => {
	books = await testBooks(
		newDocument('AK-1', 1, 8_000),
		newDocument('AK-2', 1, 7_000),
		newDocument('AK-3', 2, 90_000)
	);
	await done(books, setLimits, LIMITS, SUPERVISOR);
});
afterEach(() => books.close());

const items = async (...ids: number[]) =>
	(await books.db.select().from(itemState).orderBy(asc(itemState.itemId)))
		.filter((row) => ids.includes(row.itemId))
		.map(({ itemId, version }) => ({ itemId, version }));
const open = async () =>
	(await books.db.select().from(itemState).orderBy(asc(itemState.itemId))).map((row) => row.open);
const writeOff = async (ids: number[], who = CLERK, key?: string) =>
	perform(
		books,
		writeOffSmallBalances,
		{ items: await items(...ids), kind: 'bad_debt', note: 'insolvent' },
		as(who, key)
	);
const asked = async () => (await lookAtApprovals(books.db, null, viewer)).waiting.map((one) => one.asked);
const answer = async (given: 'agree' | 'refuse' | 'withdraw', who: Person = SUPERVISOR, why = '') => {
	const [first] = await asked();
	const result = await perform(books, answerApproval, { asked: first!, answer: given, why }, as(who));
	return result.ok ? [] : result.problems.map((one) => one.code);
};

describe('what is above a limit and brings no money', () => {
	it('waits for a supervisor: each is within the limit, both together are not', async () => {
		expect(await writeOff([1])).toMatchObject({ ok: true, value: { waits: [] } });
		expect(await open()).toEqual([0, 7_000, 90_000]);
		expect(await writeOff([2, 3])).toMatchObject({
			ok: true,
			value: { actId: null, waits: [{ kind: 'bad_debt', amount: 97_000, most: 10_000 }] }
		});
		expect(await open()).toEqual([0, 7_000, 90_000]);
		const { waiting } = await lookAtApprovals(books.db, null, viewer);
		expect(waiting).toMatchObject([
			{
				by: 'Wren',
				mine: true,
				about: {
					code: 'write-off',
					documents: 2,
					note: 'insolvent',
					sums: [{ amount: 97_000, currency: 'GBP' }]
				},
				code: null,
				items: [
					{ number: 'AK-2', kind: 'bad_debt', amount: 7_000 },
					{ number: 'AK-3', kind: 'bad_debt', amount: 90_000 }
				]
			}
		]);
		await proves(books);
	});

	it('asked twice with one key, it is asked once', async () => {
		const first = await writeOff([1, 2], CLERK, 'k1');
		// Sent again it still says that it waits, not that it was written off.
		expect(await writeOff([1, 2], CLERK, 'k1')).toEqual(first);
		expect(first).toMatchObject({ ok: true, value: { actId: null, waits: [{ kind: 'bad_debt' }] } });
		expect(await countApprovals(books.db, null, viewer)).toBe(1);
	});

	it('is posted in the supervisor’s name once agreed, and can be taken back', async () => {
		await writeOff([1, 2]);
		expect(await answer('agree', SUPERVISOR, 'seen the notice')).toEqual([]);
		expect(await open()).toEqual([0, 0, 90_000]);
		const rows = await books.db.select().from(act).orderBy(asc(act.id));
		const last = rows.at(-1)!;
		expect([last.kind, last.userName]).toEqual(['allocate-credits', 'Hollis']);
		const { waiting, answered } = await lookAtApprovals(books.db, null, viewer);
		expect(waiting).toEqual([]);
		expect(answered).toMatchObject([{ state: 'agreed', answeredBy: 'Hollis', why: 'seen the notice' }]);
		await proves(books);
		await done(books, undoPosting, { actId: last.id }, SUPERVISOR);
		expect(await open()).toEqual([8_000, 7_000, 90_000]);
		await proves(books);
	});

	it('is not posted beyond the supervisor’s own limit, and still waits then', async () => {
		await writeOff([3]);
		expect(await answer('agree')).toEqual(['over-limit']);
		expect([await open(), (await asked()).length]).toEqual([[8_000, 7_000, 90_000], 1]);
		await proves(books);
	});

	it('is not posted where the account changed meanwhile', async () => {
		await writeOff([1, 2]);
		await writeOff([1]);
		expect(await answer('agree')).toEqual(['item-changed']);
		expect(await open()).toEqual([0, 7_000, 90_000]);
		expect(await asked()).toHaveLength(1);
	});

	it.each([
		['agree', CLERK, '', ['not-allowed']],
		['refuse', CLERK, 'no', ['not-allowed']],
		['withdraw', { ...CLERK, id: 'u9' }, '', ['not-allowed']],
		['withdraw', READER, '', ['not-allowed']],
		['withdraw', CLERK, '', []],
		['refuse', SUPERVISOR, 'ask the receiver first', []]
	] as const)('%s by %o (%s): %o', async (given, who, why, problems) => {
		await writeOff([1, 2]);
		expect(await answer(given, who, why)).toEqual(problems);
		expect(await asked()).toHaveLength(problems.length);
		expect(await open()).toEqual([8_000, 7_000, 90_000]);
		expect(await books.db.$count(difference)).toBe(0);
		await proves(books);
	});

	it('is answered once', async () => {
		await writeOff([1, 2]);
		const [first] = await asked();
		await answer('agree');
		const again = await perform(books, answerApproval, { asked: first!, answer: 'agree' }, as(SUPERVISOR));
		expect(again).toMatchObject({ ok: false, problems: [{ code: 'already-answered', who: 'Hollis' }] });
		expect(await books.db.$count(difference)).toBe(2);
	});
});

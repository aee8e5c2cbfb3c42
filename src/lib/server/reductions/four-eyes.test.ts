import { asc } from 'drizzle-orm';
import { describe, expect, it, test } from 'vitest';
import { day } from '../../core/day/day';
import { undoPosting } from '../allocation/commands/undo-posting';
import { journalLine } from '../platform/db/schema';
import { CLERK, done, proves, SUPERVISOR, TODAY } from '../testing';
import { lookAtReductions } from './queries/reductions';
import { limitedBooks } from './testing-limits';

const own = limitedBooks();
const { limited, waiting, writeOff, creditNote, beyond, answer } = own;

describe('four eyes', () => {
	it('nobody agrees to what they asked for, not even when their limits were raised meanwhile', async () => {
		await limited({}, { act: { bad_debt: 100 } });
		expect(beyond(await writeOff(1, 101, SUPERVISOR))).toEqual(['act bad_debt']);
		await limited({}, {});
		expect(await answer('agree')).toMatchObject({ ok: false, problems: [{ code: 'own-request' }] });
		expect((await answer('agree', { ...SUPERVISOR, id: 'u9', name: 'Second' })).ok).toBe(true);
	});

	test.each([
		['a write-off', () => writeOff(1, 700)],
		['a credit note', () => creditNote(700)]
	])('what is shown of %s is what agreeing posts, to the line', async (_, ask) => {
		await limited({ act: { bad_debt: 0, credit_price: 0 } });
		const before = await own.books.db.$count(journalLine);
		await ask();
		// Nothing of the rehearsal stays.
		expect(await own.books.db.$count(journalLine)).toBe(before);
		const [asked] = await waiting();
		await answer('agree');
		const posted = await own.books.db
			.select({ account: journalLine.account, amount: journalLine.amount, currency: journalLine.currency })
			.from(journalLine)
			.orderBy(asc(journalLine.id));
		expect(asked!.shows!.length).toBeGreaterThan(1);
		expect(asked!.shows!.map(({ account, amount, currency }) => ({ account, amount, currency }))).toEqual(
			posted.slice(before)
		);
		await proves(own.books);
	});

	it('what would be refused anyway is refused at once, and not asked', async () => {
		await limited({ act: { bad_debt: 0 } });
		expect(beyond(await writeOff(1, 100_001))).toEqual(['refused']);
		expect(await waiting()).toEqual([]);
	});
});

it('the report adds up what each took off, alone or by agreeing, less what was taken back', async () => {
	await limited({ act: { bad_debt: 500 } });
	await writeOff(1, 400);
	const back = await writeOff(2, 300);
	await done(own.books, undoPosting, { actId: back.ok ? back.value.actId! : 0 }, CLERK);
	await writeOff(1, 900);
	await answer('agree');
	const asked = { from: day('2026-10-01'), through: day('2026-10-31'), person: 'u2', most: 10 };
	const found = await lookAtReductions(own.books.db, asked, { who: SUPERVISOR, today: TODAY });
	expect(
		found.sums.map(({ personId, kind, agreed, base, count }) => [personId, kind, agreed, base, count])
	).toEqual([
		['u1', 'bad_debt', false, 400, 1],
		['u2', 'bad_debt', true, 900, 1]
	]);
	expect(found.single).toMatchObject([{ kind: 'bad_debt', base: 900, askedBy: 'u1', code: 'H1' }]);
	const none = { ...asked, from: day('2026-09-01'), through: day('2026-09-30') };
	expect((await lookAtReductions(own.books.db, none, { who: SUPERVISOR, today: TODAY })).sums).toEqual([]);
});

import { asc, desc } from 'drizzle-orm';
import { beforeEach, expect, test } from 'vitest';
import { minor } from '../../../core/money/minor';
import { USUAL_POLICY } from '../../../words';
import { perform } from '../../act/perform';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { undoPosting } from '../../allocation/commands/undo-posting';
import { chasingStep, letter, runLetter } from '../../platform/db/schema';
import { bankXml, bringIn, CLERK, codesOf, credit, done, payment, proves, SUPERVISOR } from '../../testing';
import { lookAtChosen, lookAtRun } from '../queries/letters';
import { ChasedBooks, on } from '../testing-chasing';
import { keepPolicy } from './keep-policy';
import { startRun } from './start-run';

let at: ChasedBooks;
beforeEach(async () => {
	at = await ChasedBooks.make();
});

const thanks = { days: 3, least: minor(0), wording: 'thanks' };
const policy = (over: object = {}) =>
	perform(at.books, keepPolicy, { policy: { ...USUAL_POLICY, thanks: { ...thanks, ...over } } } as never, {
		...at.call,
		who: SUPERVISOR
	});
const look = () => lookAtRun(at.books.db, { kind: 'thanks', page: 0, waiting: [] }, at.viewer);

/** All of Hazel Hill's invoices, of which two were chased, paid on 28 October; returns the act. */
async function paid(): Promise<number> {
	await bringIn(at.books, bankXml([credit(2_200, 'ALL OF IT')]));
	const { actId } = await done(
		at.books,
		allocateReceipt,
		payment(1, 1, [1, 1_000], [2, 500], [3, 700]),
		CLERK
	);
	return actId!;
}
async function start() {
	const { ready: chosen, seen } = await look();
	const rows = await lookAtChosen(at.books.db, { kind: 'thanks', waiting: [], chosen }, at.viewer);
	const order = { kind: 'thanks' as const, statement: null, note: '', copyTo: null, chosen, rows, seen };
	return perform(at.books, startRun, order, at.call);
}

test('who paid after being chased is thanked, for what was chased, once', async () => {
	expect(await policy()).toMatchObject({ ok: true });
	await at.chase();
	await paid();
	expect((await look()).rows).toEqual([]);
	at.today = on(2);
	expect(
		(await look()).rows.map((row) => [row.code, row.owed, row.amount, row.step?.items, row.held])
	).toEqual([['H1', 1_500, 0, 2, null]]);
	expect((await at.reminders()).thanks).toBe(1);
	expect(await start()).toMatchObject({ ok: true, value: { letters: 1 } });
	await at.write();
	const [sent] = await at.books.db.select().from(letter).orderBy(desc(letter.id)).limit(1);
	expect(sent).toMatchObject({ kind: 'thanks', amount: 0 });
	expect((JSON.parse(sent!.data) as { rows: { number: string }[] }).rows.map((row) => row.number)).toEqual([
		...['AK-1', 'AK-2']
	]);
	const steps = await at.books.db.select().from(chasingStep).orderBy(asc(chasingStep.id));
	expect(steps.map((one) => [one.itemId, one.step])).toEqual([
		...[
			[1, 'first'],
			[2, 'first'],
			[1, 'thanks'],
			[2, 'thanks']
		]
	]);
	expect((await look()).rows).toEqual([]);
	await proves(at.books);
});

test('nobody is thanked where no way of chasing says so, who was not chased, or owes something late', async () => {
	await at.chase();
	await paid();
	at.today = on(3);
	expect((await look()).rows).toEqual([]);
	expect((await at.reminders()).thanks).toBe(0);
	await policy({ least: 100_000 });
	expect((await look()).rows).toEqual([]);
});

test('what came back meanwhile is nothing to thank for', async () => {
	await policy({ days: 0 });
	await at.chase();
	const actId = await paid();
	expect(await start()).toMatchObject({ ok: true });
	await done(at.books, undoPosting, { actId }, CLERK);
	await at.write();
	const [held] = await at.books.db.select().from(runLetter).orderBy(desc(runLetter.id)).limit(1);
	expect([held?.state, held?.why]).toEqual(['held', expect.stringContaining('open-again')]);
	expect((await at.books.db.select().from(letter)).map((one) => one.kind)).toEqual(['reminder']);
});

test.each([
	['days that are none', { days: -1 }, 'policy.thanks.days'],
	['days long after', { days: 61 }, 'policy.thanks.days'],
	['an amount that is none', { least: -1 }, 'policy.thanks.least'],
	['a wording of reminders', { wording: 'reminder' }, 'policy.thanks.wording']
])('%s is refused', async (_, over, field) => {
	const refused = await policy(over);
	expect(codesOf(refused)).toEqual(['field']);
	expect(refused).toMatchObject({ problems: [{ field }] });
});

import { addDays } from '../lib/core/day/arithmetic';
import type { CallContext } from '../lib/server/act/define-act';
import { perform } from '../lib/server/act/perform';
import { addTask } from '../lib/server/customers/commands/tasks';
import { recordCall } from '../lib/server/letters/commands/record-call';
import { startRun } from '../lib/server/letters/commands/start-run';
import { lookAtCalls } from '../lib/server/letters/queries/calls';
import { lookAtChosen, lookAtRun } from '../lib/server/letters/queries/letters';
import type { Books } from '../lib/server/platform/db/open';
import { openLetterWriter } from '../lib/server/services/letter-writer/letter-writer';
import { DEMO_TODAY } from './firm';
import { must } from './must';

/** Of those that reach a step, one in so many got it: the others wait for today's run. */
const ONE_IN = 6;

/**
 * Reminders of the month: some accounts were sent the first and the second one, and are to be called now; two were called already, one
 * of whom promised and did not pay.
 */
export async function chased(books: Books, at: CallContext): Promise<void> {
	for (const days of [-28, -13]) await reminded(books, dated(at, days), days === -13);
	const list = await lookAtCalls(books.db, null, dated(at, -5));
	const [broken, again, waits] = list.filter((row) => row.currency === 'GBP');
	if (!broken || !again || !waits) throw new Error('the demo books have nobody to call');
	const call = (row: typeof broken) => ({
		...{ customerId: row.customerId, currency: row.currency, number: row.contacts[0]?.phone ?? '' }
	});
	const oldest = broken.items[0]!;
	await must(
		perform(
			books,
			recordCall,
			{
				...{ ...call(broken), outcome: 'promise', said: 'pays the oldest invoice on Tuesday' },
				promise: { amount: oldest.open, promisedFor: addDays(DEMO_TODAY, -3), items: [oldest.id] }
			},
			dated(at, -5)
		)
	);
	await must(
		perform(
			books,
			recordCall,
			{ ...call(again), outcome: 'again', said: 'bought ledger is in on Fridays', againOn: DEMO_TODAY },
			dated(at, -3)
		)
	);
	const task = { customerId: waits.customerId, what: 'send the signed delivery note', day: DEMO_TODAY };
	await must(perform(books, addTask, task, dated(at, -2)));
}

/** The same person on a day before. */
const dated = (at: CallContext, days: number): CallContext => {
	const today = addDays(DEMO_TODAY, days);
	return { ...at, today, now: () => `${today}T09:20:00.000Z` };
};

async function reminded(books: Books, at: CallContext, isSecond: boolean): Promise<void> {
	const asked = { kind: 'reminder' as const, waiting: [] };
	const run = await lookAtRun(books.db, { ...asked, page: 0 }, at);
	const steps = new Map(run.rows.map((row) => [`${row.customerId} ${row.currency}`, row.step?.name]));
	const chosen = run.ready.filter((one, n) =>
		isSecond ? steps.get(`${one.customerId} ${one.currency}`) === 'Second reminder' : n % ONE_IN === 0
	);
	const rows = await lookAtChosen(books.db, { ...asked, chosen }, at);
	await must(
		perform(
			books,
			startRun,
			{ ...asked, statement: null, note: '', copyTo: null, chosen, rows, seen: run.seen },
			at
		)
	);
	const writer = openLetterWriter(books, {
		...{ today: () => Promise.resolve(at.today), now: at.now, sent: () => undefined }
	});
	writer.wake();
	await writer.idle();
	await writer.close();
}

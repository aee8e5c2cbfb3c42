import { and, asc, desc, eq, inArray, sql } from 'drizzle-orm';
import type { RunCounts } from '../../../core/model/run-counts';
import type { Problem } from '../../../core/problems';
import type { Reader } from '../../platform/db/open';
import { act, customer, delivery, letter, letterRun, runLetter } from '../../platform/db/schema';
import { defineLook } from '../../act/define-look';

export const RUNS_PAGE = 50;
export const RUN_LETTERS_PAGE = 200;

const NONE: RunCounts = {
	...{
		all: 0,
		toWrite: 0,
		held: 0,
		withdrawn: 0,
		waiting: 0,
		later: 0,
		sent: 0,
		refused: 0,
		toPrint: 0,
		printed: 0
	}
};

async function countsOf(db: Reader, ids: readonly number[]): Promise<ReadonlyMap<number, RunCounts>> {
	const when = (condition: ReturnType<typeof sql>) =>
		sql<number>`coalesce(sum(case when ${condition} then 1 else 0 end), 0)`;
	const rows = await db
		.select({
			runId: runLetter.runId,
			all: sql<number>`count(*)`,
			toWrite: when(sql`${runLetter.state} = 'to-write'`),
			held: when(sql`${runLetter.state} = 'held'`),
			withdrawn: when(sql`${runLetter.state} = 'withdrawn' or ${delivery.state} = 'withdrawn'`),
			waiting: when(sql`${delivery.state} in ('waiting', 'sending', 'paused')`),
			later: when(sql`${delivery.state} = 'waiting' and ${delivery.nextAt} is not null`),
			sent: when(sql`${delivery.state} = 'sent'`),
			refused: when(sql`${delivery.state} in ('refused', 'failed', 'undelivered')`),
			toPrint: when(sql`${delivery.printing} = 'waiting'`),
			printed: when(sql`${delivery.printing} = 'printed'`)
		})
		.from(runLetter)
		.leftJoin(delivery, eq(delivery.letterId, runLetter.letterId))
		.where(inArray(runLetter.runId, [...ids]))
		.groupBy(runLetter.runId)
		.all();
	return new Map(rows.map(({ runId, ...counts }) => [runId, counts]));
}

/** Runs of letters, newest first, with how far each is. */
export const lookAtRuns = defineLook('reader', async (db, query: { readonly page: number }) => {
	const runs = await db
		.select({
			...{ id: letterRun.id, kind: letterRun.kind, statement: letterRun.statement, at: letterRun.at },
			...{ by: letterRun.userName, isPaused: letterRun.isPaused }
		})
		.from(letterRun)
		.orderBy(desc(letterRun.id))
		.limit(RUNS_PAGE)
		.offset(query.page * RUNS_PAGE)
		.all();
	const counts = await countsOf(
		db,
		runs.map((run) => run.id)
	);
	const all = await db
		.select({ n: sql<number>`count(*)` })
		.from(letterRun)
		.all();
	return {
		runs: runs.map((run) => ({ ...run, counts: counts.get(run.id) ?? NONE })),
		total: all[0]?.n ?? 0
	};
});

/** A run with its letters, what is wrong first; null where there is none of that number. */
export const lookAtOneRun = defineLook(
	'reader',
	async (db, query: { readonly id: number; readonly page: number }) => {
		const [run] = await db
			.select({ run: letterRun, date: act.date })
			.from(letterRun)
			.innerJoin(act, eq(act.id, letterRun.actId))
			.where(eq(letterRun.id, query.id))
			.all();
		if (!run) return null;
		const rows = await db
			.select({
				...{ id: runLetter.id, code: customer.code, name: customer.name, currency: runLetter.currency },
				...{ way: runLetter.way, seen: runLetter.seenAmount, overruled: runLetter.overruled },
				...{ state: runLetter.state, why: runLetter.why, letterId: runLetter.letterId },
				...{ amount: letter.amount, mail: delivery.state, answer: delivery.answer },
				...{ printing: delivery.printing, nextAt: delivery.nextAt },
				to: sql<string | null>`coalesce(${delivery.resentTo}, ${letter.recipient})`
			})
			.from(runLetter)
			.innerJoin(customer, eq(customer.id, runLetter.customerId))
			.leftJoin(letter, eq(letter.id, runLetter.letterId))
			.leftJoin(delivery, eq(delivery.letterId, runLetter.letterId))
			.where(eq(runLetter.runId, query.id))
			.orderBy(
				sql`case when ${runLetter.state} = 'held' or ${delivery.state} in ('refused', 'failed', 'undelivered') then 0 else 1 end`,
				asc(runLetter.id)
			)
			.limit(RUN_LETTERS_PAGE)
			.offset(query.page * RUN_LETTERS_PAGE)
			.all();
		const { id, kind, statement, note, at, userName: by, isPaused } = run.run;
		return {
			...{ id, kind, statement, note, at, by, isPaused, date: run.date },
			counts: (await countsOf(db, [id])).get(id) ?? NONE,
			rows: rows.map((row) => ({ ...row, why: row.why ? (JSON.parse(row.why) as Problem[]) : [] }))
		};
	}
);

/** Letters that were printed in one act, in the order in which they are posted: by the last lines of their addresses. */
export const lookAtPrinted = defineLook('reader', async (db, actId: number) => {
	const rows = await db
		.select({ letter, code: customer.code })
		.from(delivery)
		.innerJoin(letter, eq(letter.id, delivery.letterId))
		.innerJoin(customer, eq(customer.id, letter.customerId))
		.where(and(eq(delivery.printedActId, actId), eq(delivery.printing, 'printed')))
		.all();
	const addressOf = (data: string) =>
		(JSON.parse(data) as { readonly customer: { readonly address: readonly string[] } }).customer.address;
	return rows
		.map((row) => ({ ...row, post: [...addressOf(row.letter.data)].reverse().join('\n') }))
		.sort((a, b) => (a.post < b.post ? -1 : a.post > b.post ? 1 : a.letter.id - b.letter.id));
});

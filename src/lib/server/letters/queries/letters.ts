import { and, desc, eq, gte, or, sql } from 'drizzle-orm';
import type { LetterKind } from '../../../core/7-letters/letter';
import { statementsDue, type StatementsDue } from '../../../core/7-letters/statement-schedule';
import type { Day } from '../../../core/day/day';
import type { HeldReason } from '../../../core/7-letters/why-held';
import type { Reader } from '../../platform/db/open';
import { act, letter, letterRun } from '../../platform/db/schema';
import { chaseAccounts } from '../store/chases';
import { whomToCall } from './calls';
import { thanksDue } from '../store/thanks-due';
import { overtakenLetters } from '../store/overtaken-letters';
import { lettersFor, type LettersAsked } from '../store/letters-for';
import { readSetting } from '../../firm/store/settings';
import { returnedPayments } from '../../returns/store/returned-payments';
import { defineLook } from '../../act/define-look';
import { runRows, type RunAsked, type RunRow } from './run-rows';

export const RUN_PAGE = 200;

/** What was there when a run was looked at: what somebody else sends meanwhile is not sent twice. */
export interface RunSeen {
	readonly letter: number;
	readonly run: number;
}

export interface Run {
	/** One page of the run, the greatest amounts first. */
	readonly rows: readonly RunRow[];
	readonly accounts: number;
	readonly sums: readonly { readonly currency: string; readonly amount: number }[];
	/** How many accounts were told what is no longer so. */
	readonly corrections: number;
	readonly seen: RunSeen;
	/** Everybody against whom nothing stands, on any page. */
	readonly ready: readonly Pick<RunRow, 'customerId' | 'currency' | 'amount'>[];
	/** How many accounts are thanked today, where reminders are looked at. */
	readonly thanks: number;
	/** Words by which customers are sorted, for filtering. */
	readonly tags: readonly string[];
}

/** A page of a run. */
export interface RunQuery extends RunAsked {
	readonly page: number;
	readonly corrections?: boolean;
}

/** Who would get a letter, with amounts, and a reason where someone is held. */
export const lookAtRun = defineLook('reader', async (db, query: RunQuery, { today }): Promise<Run> => {
	const seen = await newest(db);
	const told = await overtakenLetters(db, null);
	const rows = await runRows(db, query, today, told);
	const all = query.corrections ? rows.filter((row) => row.corrects) : rows;
	const sums = new Map<string, number>();
	for (const row of all) sums.set(row.currency, (sums.get(row.currency) ?? 0) + row.amount);
	return {
		rows: all.slice(query.page * RUN_PAGE, (query.page + 1) * RUN_PAGE),
		accounts: all.length,
		corrections: told.length,
		seen,
		sums: [...sums].map(([currency, amount]) => ({ currency, amount })),
		ready: all
			.filter((row) => !row.held && !row.isUnderWay)
			.map(({ customerId, currency, amount }) => ({ customerId, currency, amount })),
		thanks: query.kind === 'reminder' ? (await thanksDue(db, today)).length : 0,
		tags: await tagsInUse(db)
	};
});

/** The rows of accounts that somebody chose, in the order chosen; those that a run is not for are left out. */
export const lookAtChosen = defineLook(
	'clerk',
	async (
		db,
		{
			chosen,
			...asked
		}: RunAsked & { readonly chosen: readonly { readonly customerId: number; readonly currency: string }[] },
		{ today }
	): Promise<RunRow[]> => {
		const rows = await runRows(db, asked, today, await overtakenLetters(db, null));
		const byKey = new Map(rows.map((row) => [`${row.customerId} ${row.currency}`, row]));
		return chosen.flatMap((one) => byKey.get(`${one.customerId} ${one.currency}`) ?? []);
	}
);

/** The newest letter and run: what somebody else sends from here on is not sent twice. */
export const lookAtNewest = defineLook('reader', (db, _: null) => newest(db));

async function newest(db: Reader): Promise<RunSeen> {
	const [letters, runs] = [
		await db.select({ id: letter.id }).from(letter).orderBy(desc(letter.id)).limit(1).all(),
		await db.select({ id: letterRun.id }).from(letterRun).orderBy(desc(letterRun.id)).limit(1).all()
	];
	return { letter: letters[0]?.id ?? 0, run: runs[0]?.id ?? 0 };
}

async function tagsInUse(db: Reader): Promise<string[]> {
	const rows = await db.all<{ tag: string }>(
		sql`select distinct t.value as tag from customer c, json_each(c.tags) t order by 1 limit 200`
	);
	return rows.map((row) => row.tag);
}

/** Accounts of a run, and how many of them are held. */
interface RunCount {
	readonly all: number;
	readonly waiting: number;
	readonly paused: number;
	readonly noAddress: number;
}

/** What could go today, and whom to call. */
export interface RunsCounted {
	readonly statements: RunCount;
	readonly reminders: RunCount;
	readonly corrections: number;
	readonly calls: number;
	readonly notices: number;
	/** Accounts that are thanked for what they paid. */
	readonly thanks: number;
	/** Statements that came round, and for which nobody started a run yet. */
	readonly due: StatementsDue | null;
}

/** How many accounts a run of each kind has, and how many of them are held, for Today. */
export const countRuns = defineLook(
	'reader',
	async (db, query: Pick<RunAsked, 'waiting'>, { today }): Promise<RunsCounted> => {
		const told = await overtakenLetters(db, null);
		const chases = await chaseAccounts(db, today);
		const counts = async (kind: LetterKind) => {
			const rows = await runRows(db, { kind, waiting: query.waiting, chases }, today, told);
			const held = (reason: HeldReason) => rows.filter((row) => row.held === reason).length;
			return {
				all: rows.length,
				waiting: held('money-waiting'),
				paused: held('paused'),
				noAddress: held('no-address')
			};
		};
		return {
			statements: await counts('statement'),
			reminders: await counts('reminder'),
			corrections: told.length,
			calls: (await whomToCall(db, chases, today)).length,
			notices: (await returnedPayments(db)).filter((one) => one.letterId === null).length,
			thanks: (await thanksDue(db, today)).length,
			due: await statementsToSend(db, today)
		};
	}
);

/** Statements that came round, unless a run of them was started since. One letter by hand is none. */
async function statementsToSend(db: Reader, today: Day): Promise<StatementsDue | null> {
	const schedule = (await readSetting(db, 'letters'))?.schedule;
	const due = schedule ? statementsDue(schedule, today) : null;
	if (due === null) return null;
	const [run] = await db
		.select({ id: letterRun.id })
		.from(letterRun)
		.innerJoin(act, eq(act.id, letterRun.actId))
		.where(
			and(
				eq(letterRun.kind, 'statement'),
				gte(act.date, due.on),
				or(
					sql`${letterRun.statement} ->> 'to' = ${due.statement.to}`,
					sql`(select count(*) from run_letter r where r.run_id = ${letterRun.id}) > 1`
				)
			)
		)
		.limit(1)
		.all();
	return run ? null : due;
}

/** The letters that accounts would get today, each by itself, for reading before they are sent. */
export const lookAtLetters = defineLook('reader', (db, asked: LettersAsked, { today }) =>
	lettersFor(db, asked, today)
);

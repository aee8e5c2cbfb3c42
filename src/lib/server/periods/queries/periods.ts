import { desc, inArray, sql } from 'drizzle-orm';
import { addDays, firstOfMonth } from '../../../core/day/arithmetic';
import type { Day } from '../../../core/day/day';
import { anchorCode } from '../../platform/anchors/anchor-code';
import { act, anchor } from '../../platform/db/schema';
import { readSetting } from '../../firm/store/settings';
import { saidOf } from '../../act/said';
import { defineLook } from '../../act/define-look';

export interface Month {
	readonly first: Day;
	readonly last: Day;
	readonly acts: number;
	/** Entries and payments of the month that wait. */
	readonly waiting: number;
	readonly locked: 'all' | 'part' | 'none';
}

const MONTHS = 18;

/** The months of the books, newest first: what was posted in each, what waits, and whether it is locked; and who locked what. */
export const lookAtPeriods = defineLook('reader', async (db, _: null, { today }) => {
	const locked = (await readSetting(db, 'lockedThrough')) || null;
	const posted = await db.all<{ month: string; n: number }>(sql`
		select substr(date, 1, 7) as month, count(*) as n from act
		where exists (select 1 from journal_line l where l.act_id = act.id) group by 1`);
	const waits = await db.all<{ month: string; n: number }>(sql`
		select substr(booked, 1, 7) as month, count(*) as n from receipt_state
		where state in ('waiting', 'held') and unidentified_act_id is null group by 1`);
	const of = (rows: typeof posted) => new Map(rows.map((row) => [row.month, row.n]));
	const [acts, waiting] = [of(posted), of(waits)];
	const oldest = [...acts.keys(), ...waiting.keys()].sort()[0] ?? today.slice(0, 7);
	const months: Month[] = [];
	for (let first = firstOfMonth(today); months.length < MONTHS && first.slice(0, 7) >= oldest;) {
		const last = addDays(firstOfMonth(addDays(first, 31)), -1);
		months.push({
			first,
			last,
			acts: acts.get(first.slice(0, 7)) ?? 0,
			waiting: waiting.get(first.slice(0, 7)) ?? 0,
			locked: locked && last <= locked ? 'all' : locked && first <= locked ? 'part' : 'none'
		});
		first = firstOfMonth(addDays(first, -1));
	}
	const history = await db
		.select({
			...{ id: act.id, kind: act.kind, summary: act.summary, format: act.format },
			...{ by: act.userName, at: act.at }
		})
		.from(act)
		.where(inArray(act.kind, ['lock-period', 'unlock-period']))
		.orderBy(desc(act.id))
		.limit(50);
	const anchors = await db.select().from(anchor).orderBy(desc(anchor.id)).limit(10);
	return {
		...{ locked, months },
		anchors: anchors.map(({ id, day, reason, seals, head, mail, answer }) => ({
			...{ id, day, reason, mail, answer },
			code: anchorCode({ seals, head })
		})),
		history: history.map((row) => ({ ...row, said: saidOf(row) }))
	};
});

import { sql } from 'drizzle-orm';
import type { Day } from '../../../core/day/day';
import { groupBy } from '../../../core/group-by';
import type { LetterKind } from '../../../core/7-letters/letter';
import { defineLook } from '../../act/define-look';
import { saidOf } from '../../act/said';
import type { ActFacts } from '../../../core/model/act-facts';
import type { Db, Reader } from '../../platform/db/open';
import type { DELIVERY_STATES } from '../../platform/db/schema';
import { customerByCode } from '../store/customer-by-code';
import { idsOfAccount } from '../store/merged-accounts';
import { filesOfActs } from './customer-files';

const PAGE = 60;

interface ActRow {
	readonly id: number;
	readonly kind: string;
	readonly at: string;
	readonly by: string;
	readonly date: Day;
	readonly summary: string;
	readonly format: number;
	readonly posted: number;
	readonly undoneBy: number | null;
}

interface LetterRow {
	readonly id: number;
	readonly actId: number;
	readonly kind: LetterKind;
	readonly amount: number;
	readonly currency: string;
	readonly recipient: string;
	readonly state: (typeof DELIVERY_STATES)[number];
}

/**
 * All that happened with a customer, newest first, a page at a time: what was posted, changed, noted, and the letters that went to them.
 * What is only a part of another act on the same account stands with that.
 * @param before the act before which to go on; null for the newest
 */
export const lookAtTimeline = defineLook(
	'reader',
	async (db, { code, before }: { readonly code: string; readonly before: number | null }) => {
		const owner = await customerByCode(db, code);
		if (!owner) return null;
		const ids = await idsOfAccount(db, owner.id);
		const rows = await actsOf(db, ids, before);
		const shown = rows.slice(0, PAGE);
		const letters = groupBy(
			await lettersOf(
				db,
				ids,
				shown.map(({ id }) => id)
			),
			({ actId }) => actId
		);
		const files = await filesOfActs(
			db,
			shown.map(({ id }) => id)
		);
		return {
			customer: { id: owner.id, code: owner.code, name: owner.name },
			rows: shown.map(({ kind, summary, format, posted, ...row }) => ({
				...row,
				said: saidOf({ kind, summary, format }),
				isNote: kind === 'add-note',
				posted: posted === 1,
				letters: letters.get(row.id) ?? [],
				files: files.get(row.id) ?? []
			})),
			next: rows.length > PAGE ? shown.at(-1)!.id : null
		};
	}
);

/** One more than a page of the acts on an account, and of those that sent it a letter. */
function actsOf(db: Db, ids: readonly number[], before: number | null): Promise<ActRow[]> {
	const own = sql`(select value from json_each(${JSON.stringify(ids)}))`;
	const earlier = before === null ? sql`` : sql`and id < ${before}`;
	// Each half by its own index: together they would be looked for one by one.
	return db.all(sql`
		with touched as (
			select * from (select a.id from act a where a.customer_id in ${own} ${earlier}
				and not exists (select 1 from act p where p.id = a.parent_id and p.customer_id = a.customer_id)
				order by a.id desc limit ${PAGE + 1})
			union
			select * from (select distinct l.act_id as id from letter l where l.customer_id in ${own}
				${before === null ? sql`` : sql`and l.act_id < ${before}`} order by l.act_id desc limit ${PAGE + 1}))
		select a.id, a.kind, a.at, a.user_name as "by", a.date, a.summary, a.format,
			exists (select 1 from journal_line j where j.act_id = a.id) as posted,
			(select min(u.id) from act u where u.undoes_id = a.id) as "undoneBy"
		from touched t join act a on a.id = t.id
		order by a.id desc limit ${PAGE + 1}`);
}

/** The letters to a customer that some acts sent. */
function lettersOf(db: Db, ids: readonly number[], acts: readonly number[]): Promise<LetterRow[]> {
	return db.all(sql`
		select l.id, l.act_id as "actId", l.kind, l.amount, l.currency, l.recipient, d.state
		from letter l join delivery d on d.letter_id = l.id
		where l.customer_id in (select value from json_each(${JSON.stringify(ids)})) and l.act_id in (select value from json_each(${JSON.stringify(acts)}))
		order by l.id`);
}

/** The newest notes of a customer that nobody took off. */
export async function recentNotes(db: Reader, ids: readonly number[], most: number) {
	const rows = await db.all<Pick<ActRow, 'id' | 'at' | 'by' | 'summary'>>(sql`
		select a.id, a.at, a.user_name as "by", a.summary from act a
		where a.customer_id in (select value from json_each(${JSON.stringify(ids)})) and a.kind = 'add-note'
			and not exists (select 1 from act u where u.undoes_id = a.id)
		order by a.id desc limit ${most}`);
	return rows.map(({ summary, ...row }) => ({
		...row,
		text: (JSON.parse(summary) as ActFacts['add-note']).text
	}));
}

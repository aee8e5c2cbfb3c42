import { and, desc, eq, gte, inArray, isNull, like, lt, lte, or, sql } from 'drizzle-orm';
import { act, customer, document, item } from '../../platform/db/schema';
import { saidOf } from '../../act/said';
import { reasonsOfRecord } from '../../../words';
import type { Db } from '../../platform/db/open';
import { defineLook } from '../../act/define-look';

export const RECORD_PAGE = 80;
/** So many parts of a decision are named with it. */
const PARTS_NAMED = 12;

export interface RecordQuery {
	readonly person: string;
	/** When it was done, as days; empty for any. */
	readonly from: string;
	readonly to: string;
	/** Part of a customer's name or code. */
	readonly customer: string;
	/** A document's number. */
	readonly document: string;
	readonly before: number | null;
}

/** Who did what, newest first: by person, day, customer and document; each act with what it touched and its link in the chain. */
export const lookAtRecord = defineLook('reader', async (db, query: RecordQuery) => {
	const plain = (text: string) => `%${text.trim().replace(/[%_]/g, '')}%`;
	const owners = query.customer.trim()
		? db
				.select({ id: customer.id })
				.from(customer)
				.where(or(like(customer.name, plain(query.customer)), like(customer.code, plain(query.customer))))
		: null;
	const documents = query.document.trim()
		? db
				.select({ id: document.id })
				.from(document)
				.where(like(document.number, plain(query.document)))
		: null;
	const touched = (ids: NonNullable<typeof documents>) => {
		const items = db.select({ id: item.id }).from(item).where(inArray(item.documentId, ids));
		return or(
			inArray(act.documentId, ids),
			sql`exists (select 1 from document d where d.act_id = ${act.id} and d.id in ${ids})`,
			sql`exists (select 1 from allocation a where a.act_id = ${act.id} and (a.item_id in ${items} or a.credit_item_id in ${items}))`,
			sql`exists (select 1 from difference f where f.act_id = ${act.id} and f.item_id in ${items})`
		);
	};
	const rows = await db
		.select({
			id: act.id,
			kind: act.kind,
			date: act.date,
			at: act.at,
			by: act.userName,
			summary: act.summary,
			format: act.format,
			parentId: act.parentId,
			facts: act.facts,
			undoesId: act.undoesId,
			hash: act.hash,
			code: customer.code,
			customer: customer.name,
			posted: sql<boolean>`exists (select 1 from journal_line l where l.act_id = ${act.id})`.mapWith(Boolean),
			undoneBy: sql<number | null>`(select u.id from act u where u.undoes_id = ${act.id})`
		})
		.from(act)
		.leftJoin(customer, eq(customer.id, act.customerId))
		.where(
			and(
				query.before ? lt(act.id, query.before) : undefined,
				query.person ? eq(act.userName, query.person) : undefined,
				query.from ? gte(act.at, query.from) : undefined,
				query.to ? lte(act.at, `${query.to}T99`) : undefined,
				owners ? inArray(act.customerId, owners) : undefined,
				documents ? touched(documents) : undefined,
				// A decision is shown with its parts; where somebody looks for a customer or a document, a part may be what is meant.
				owners || documents ? undefined : isNull(act.parentId)
			)
		)
		.orderBy(desc(act.id))
		.limit(RECORD_PAGE);
	const counts = await countParts(
		db,
		rows.map((row) => row.id)
	);
	// An act may have brought in thousands: the first are named, the others counted.
	const parts = new Map(
		await Promise.all(
			[...counts.keys()].map(
				async (id) =>
					[
						id,
						await db
							.select({ id: act.id, kind: act.kind, summary: act.summary, format: act.format })
							.from(act)
							.where(eq(act.parentId, id))
							.orderBy(act.id)
							.limit(PARTS_NAMED)
					] as const
			)
		)
	);
	const people = await db.all<{ name: string }>(sql`select distinct user_name as name from act order by 1`);
	return {
		rows: rows.map(({ facts, summary, format, ...row }) => ({
			...row,
			said: saidOf({ kind: row.kind, summary, format }),
			reason: reasonOf(facts),
			parts: (parts.get(row.id) ?? []).map((part) => ({ id: part.id, said: saidOf(part) })),
			partsCount: counts.get(row.id) ?? 0
		})),
		people: people.map((row) => row.name),
		next: rows.length === RECORD_PAGE ? rows.at(-1)!.id : null
	};
});

/** How many parts each of some acts has. */
async function countParts(db: Db, acts: readonly number[]): Promise<ReadonlyMap<number, number>> {
	const rows = await db
		.select({ parentId: act.parentId, count: sql<number>`count(*)` })
		.from(act)
		.where(inArray(act.parentId, [...acts]))
		.groupBy(act.parentId);
	return new Map(rows.map(({ parentId, count }) => [parentId!, count]));
}

/** What was given as the reason, where something was. */
function reasonOf(facts: string): string {
	const known = JSON.parse(facts) as { note?: unknown; reasons?: unknown };
	if (Array.isArray(known.reasons)) return reasonsOfRecord(facts).join(' ');
	return typeof known.note === 'string' ? known.note : '';
}

import { and, asc, desc, eq, inArray, isNull, ne, or, sql } from 'drizzle-orm';
import type { InterestLine } from '../../../core/7-letters/letter';
import type { Day } from '../../../core/day/day';
import type { Minor } from '../../../core/money/minor';
import { defineLook } from '../../act/define-look';
import { inList } from '../../platform/db/in-list';
import type { Reader } from '../../platform/db/open';
import {
	act,
	customer,
	delivery,
	document,
	item,
	itemState,
	letterRun,
	runLetter
} from '../../platform/db/schema';
import { interestLines } from '../store/interest-lines';

/** Charging interest, as one act did it. */
export interface InterestRunShown {
	readonly actId: number;
	readonly at: string;
	readonly by: string;
	readonly through: Day;
	readonly accounts: number;
}

/** A charge of interest, or a credit note that corrects some. */
export interface InterestDocument {
	readonly documentId: number;
	readonly itemId: number;
	readonly number: string;
	readonly kind: 'charge' | 'credit_note';
	readonly customerId: number;
	readonly code: string;
	readonly name: string;
	readonly currency: string;
	readonly total: Minor;
	readonly open: Minor;
	readonly isUndone: boolean;
	readonly lines: readonly InterestLine[];
}

/** The letter that tells an account of it: what became of it so far. */
export type InterestLetter = 'to-write' | 'written';

const SHOWN = 50;

/** The newest runs of charging interest. */
export const lookAtInterestRuns = defineLook('reader', async (db, _: null): Promise<InterestRunShown[]> => {
	const rows = await db
		.select({ actId: act.id, at: act.at, by: act.userName, summary: act.summary })
		.from(act)
		.where(eq(act.kind, 'charge-interest'))
		.orderBy(desc(act.id))
		.limit(SHOWN)
		.all();
	return rows.map(({ summary, ...row }) => ({ ...row, ...summaryOf(summary) }));
});

function summaryOf(summary: string): Pick<InterestRunShown, 'through' | 'accounts'> {
	const { through, count } = JSON.parse(summary) as { through: Day; count: number };
	return { through, accounts: count };
}

/** One of them with its charges, and whether their letters went; null where there is none such. */
export const lookAtInterestRun = defineLook('reader', async (db, actId: number) => {
	const [run] = await db
		.select({ actId: act.id, at: act.at, by: act.userName, summary: act.summary })
		.from(act)
		.where(and(eq(act.id, actId), eq(act.kind, 'charge-interest')))
		.all();
	if (!run) return null;
	const { summary, ...head } = run;
	const documents = await documentsOf(db, actId);
	return { ...head, ...summaryOf(summary), documents, told: await lettersOf(db, documents) };
});

async function documentsOf(db: Reader, actId: number): Promise<InterestDocument[]> {
	const made = sql`(
		select made.document_id from act part join interest_charge made on made.act_id = part.id where part.parent_id = ${actId}
		union
		select made.document_id from act part join interest_correction made on made.act_id = part.id where part.parent_id = ${actId})`;
	const rows = await db
		.select({
			...{ documentId: document.id, itemId: item.id, number: document.number, kind: document.kind },
			...{ customerId: itemState.customerId, code: customer.code, name: customer.name },
			...{ currency: document.currency, total: document.total, open: itemState.open },
			undoneBy: sql<number | null>`(select min(undoing.id) from act undoing
				where undoing.undoes_id in (select act_id from interest_charge where document_id = ${document.id}))`
		})
		.from(document)
		.innerJoin(item, eq(item.documentId, document.id))
		.innerJoin(itemState, eq(itemState.itemId, item.id))
		.innerJoin(customer, eq(customer.id, itemState.customerId))
		.where(sql`${document.id} in ${made}`)
		.orderBy(asc(customer.code), asc(document.id))
		.all();
	const lines = await interestLines(
		db,
		rows.map((row) => row.itemId)
	);
	return rows.map(({ undoneBy, kind, ...row }) => ({
		...row,
		kind: kind === 'charge' ? 'charge' : 'credit_note',
		...{ isUndone: undoneBy !== null, lines: lines.get(row.itemId) ?? [] }
	}));
}

/** Whether letters tell of documents: one that does says so in what was asked of it. One that was withdrawn tells nobody. By item. */
async function lettersOf(
	db: Reader,
	documents: readonly InterestDocument[]
): Promise<Readonly<Record<number, { readonly state: InterestLetter; readonly letterId: number | null }>>> {
	const rows = await db
		.select({ details: runLetter.details, state: runLetter.state, letterId: runLetter.letterId })
		.from(runLetter)
		.innerJoin(letterRun, eq(letterRun.id, runLetter.runId))
		.leftJoin(delivery, eq(delivery.letterId, runLetter.letterId))
		.where(
			and(
				eq(letterRun.kind, 'interest'),
				inArray(runLetter.state, ['to-write', 'written']),
				or(isNull(delivery.letterId), ne(delivery.state, 'withdrawn')),
				inList(
					runLetter.customerId,
					documents.map((one) => one.customerId)
				)
			)
		)
		.all();
	const told: Record<number, { state: InterestLetter; letterId: number | null }> = {};
	for (const { details, state, letterId } of rows)
		for (const id of details?.about ?? [])
			told[id] = { state: state === 'written' ? 'written' : 'to-write', letterId };
	return told;
}

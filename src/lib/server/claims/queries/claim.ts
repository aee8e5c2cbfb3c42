import { and, asc, eq, inArray, or } from 'drizzle-orm';
import {
	act,
	claim,
	claimFile,
	claimNote,
	customer,
	document,
	item,
	itemState
} from '../../platform/db/schema';
import { kindOf } from '../../act/kinds';
import { saidOf } from '../../act/said';
import { activePeople } from '../../people/store/active-people';
import { defineLook } from '../../act/define-look';

/** One claim: what it is about, what was noted and kept, and all that was done with it, in order. */
export const lookAtClaim = defineLook('reader', async (db, number: string) => {
	const found = await db
		.select({
			claim,
			number: document.number,
			issued: document.issued,
			total: document.total,
			currency: document.currency,
			actId: document.actId,
			customer: customer.name,
			code: customer.code,
			itemId: item.id,
			version: itemState.version,
			open: itemState.open
		})
		.from(claim)
		.innerJoin(document, eq(document.id, claim.documentId))
		.innerJoin(customer, eq(customer.id, document.customerId))
		.innerJoin(item, eq(item.documentId, claim.documentId))
		.innerJoin(itemState, eq(itemState.itemId, item.id))
		.where(eq(document.number, number))
		.get();
	if (!found) return null;
	const from = await db
		.select({ id: item.id, number: document.number, due: item.due })
		.from(item)
		.innerJoin(document, eq(document.id, item.documentId))
		.where(eq(item.id, found.claim.fromItemId))
		.get();
	const id = found.claim.documentId;
	const files = await db
		.select({
			id: claimFile.id,
			actId: claimFile.actId,
			name: claimFile.name,
			type: claimFile.type,
			bytes: claimFile.bytes
		})
		.from(claimFile)
		.where(eq(claimFile.claimId, id))
		.orderBy(asc(claimFile.id));
	const notes = await db.select().from(claimNote).where(eq(claimNote.claimId, id)).orderBy(asc(claimNote.id));
	const acts = await db
		.select({
			...{ id: act.id, kind: act.kind, summary: act.summary, format: act.format },
			...{ by: act.userName, at: act.at }
		})
		.from(act)
		.where(
			or(
				and(
					eq(act.documentId, id),
					inArray(act.kind, ['decide-claim', 'change-claim', 'note-claim', 'file-claim'])
				),
				eq(act.id, found.actId)
			)
		)
		.orderBy(asc(act.id));
	return {
		...found,
		from: from!,
		people: await activePeople(db),
		history: acts.map(({ summary, format, ...row }) => ({
			...row,
			kind: kindOf(row),
			said: saidOf({ kind: row.kind, summary, format }),
			note: notes.find((note) => note.actId === row.id)?.text ?? null,
			files: files.filter((file) => file.actId === row.id)
		}))
	};
});

/** A file kept with a claim, as it came. */
export const lookAtClaimFile = defineLook(
	'reader',
	async (db, id: number) => (await db.select().from(claimFile).where(eq(claimFile.id, id)).get()) ?? null
);

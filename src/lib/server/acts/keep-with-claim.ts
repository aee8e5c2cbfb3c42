import { and, eq } from 'drizzle-orm';
import { z } from 'zod';
import { CLAIM_REASONS } from '../../core/model/claim';
import { parseDay } from '../../core/day/day';
import type { Tx } from '../db/open';
import { claim, claimFile, claimNote, document } from '../db/schema';
import { DomainError } from '../domain-error';
import { actByKey, recordAct } from '../repo/record-act';
import { defineAct, type Circumstance } from './perform';

/** So large a file may be that is kept with a claim, in bytes. */
export const MOST_BYTES = 12 * 1024 * 1024;

export const noteInput = z.object({
	claimId: z.number().int(),
	text: z.string().trim().min(1, 'Type the note first.').max(2_000)
});

/** Keeps what somebody noted about a claim. */
export const noteClaim = defineAct({
	kind: 'note-claim',
	needs: 'clerk',
	run: async (tx, given: z.input<typeof noteInput>, at): Promise<{ actId: number }> => {
		const input = noteInput.parse(given);
		const done = at.key ? await actByKey(tx, at.key) : undefined;
		if (done) return { actId: done.id };
		const known = await claimOf(tx, input.claimId);
		const actId = await record(tx, 'note-claim', `Noted on ${known.number}: ${input.text}`, known, {}, at);
		await tx.insert(claimNote).values({ actId, ...input });
		return { actId };
	}
});

export interface KeptFile {
	readonly claimId: number;
	readonly name: string;
	readonly type: string;
	readonly content: Buffer;
}

/** Keeps a photo, delivery note or other file with a claim, exactly as it came. */
export const fileClaim = defineAct({
	kind: 'file-claim',
	needs: 'clerk',
	run: async (tx, input: KeptFile, at): Promise<{ actId: number }> => {
		const done = at.key ? await actByKey(tx, at.key) : undefined;
		if (done) return { actId: done.id };
		const bytes = input.content.length;
		if (bytes === 0) throw new DomainError({ code: 'file-empty', file: input.name });
		if (bytes > MOST_BYTES)
			throw new DomainError({ code: 'file-too-large', file: input.name, bytes, most: MOST_BYTES });
		const known = await claimOf(tx, input.claimId);
		const name = input.name.slice(0, 200);
		const facts = { name, bytes };
		const actId = await record(tx, 'file-claim', `Kept ${name} with ${known.number}`, known, facts, at);
		await tx.insert(claimFile).values({ ...input, actId, name, bytes });
		return { actId };
	}
});

export const claimChange = z.object({
	claimId: z.number().int(),
	reason: z.enum(CLAIM_REASONS),
	owner: z.string().trim().min(1, 'Say who follows it up.').max(80),
	deadline: z.string().refine((text) => parseDay(text) !== null, 'Give the day as in 30 Oct.')
});

/** Changes why a claim is made, who follows it up and by when it is decided; only while it is open. */
export const changeClaim = defineAct({
	kind: 'change-claim',
	needs: 'clerk',
	run: async (tx, given: z.input<typeof claimChange>, at): Promise<{ actId: number }> => {
		const input = claimChange.parse(given);
		const known = await claimOf(tx, input.claimId);
		if (known.state !== 'open') throw new DomainError({ code: 'not-found', what: 'open claim' });
		const { reason, owner, deadline } = known;
		const said = `Changed ${known.number}: ${input.owner}, by ${input.deadline}`;
		const facts = { ...input, before: { reason, owner, deadline } };
		const actId = await record(tx, 'change-claim', said, known, facts, at);
		await tx
			.update(claim)
			.set({ reason: input.reason, owner: input.owner, deadline: input.deadline })
			.where(and(eq(claim.documentId, input.claimId), eq(claim.state, 'open')));
		return { actId };
	}
});

async function claimOf(tx: Tx, claimId: number) {
	const row = await tx
		.select({ claim, number: document.number, customerId: document.customerId })
		.from(claim)
		.innerJoin(document, eq(document.id, claim.documentId))
		.where(eq(claim.documentId, claimId))
		.get();
	if (!row) throw new DomainError({ code: 'not-found', what: 'claim' });
	return { ...row.claim, number: row.number, customerId: row.customerId };
}

function record(
	tx: Tx,
	kind: string,
	summary: string,
	known: { readonly documentId: number; readonly customerId: number },
	facts: unknown,
	at: Circumstance
): Promise<number> {
	return recordAct(tx, {
		...{ kind, summary, facts, date: at.today, at: at.now(), key: at.key },
		...{ userId: at.who.id, userName: at.who.name },
		...{ customerId: known.customerId, documentId: known.documentId }
	});
}

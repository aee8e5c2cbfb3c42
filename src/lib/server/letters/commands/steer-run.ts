import { and, eq, inArray, sql } from 'drizzle-orm';
import { z } from 'zod';
import { defineAct } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { idFromText } from '../../act/fields';
import type { Tx } from '../../platform/db/open';
import { delivery, letterRun, runLetter } from '../../platform/db/schema';
import { runById } from '../store/run-by-id';

const input = z.object({ runId: idFromText });

/** Letters of a run that wait, or rest, before they are handed to the mail server. */
const lettersOf = (tx: Tx, runId: number) =>
	tx.select({ id: runLetter.letterId }).from(runLetter).where(eq(runLetter.runId, runId));

async function rest(tx: Tx, runId: number, isPaused: boolean, at: string): Promise<void> {
	await tx.update(letterRun).set({ isPaused }).where(eq(letterRun.id, runId));
	await tx
		.update(delivery)
		.set({ state: isPaused ? 'paused' : 'waiting', at })
		.where(
			and(
				inArray(delivery.letterId, lettersOf(tx, runId)),
				eq(delivery.state, isPaused ? 'waiting' : 'paused')
			)
		);
}

/** Lets a run rest: what is not handed over yet waits until it goes on. */
export const pauseRun = defineAct({
	kind: 'pause-run',
	role: 'clerk',
	input,
	run: async (ctx, { runId }): Promise<{ actId: number | null }> => {
		const run = await runById(ctx.tx, runId);
		if (run.isPaused) return ctx.unchanged({ actId: null });
		await rest(ctx.tx, runId, true, ctx.now());
		return { actId: await ctx.record({ summary: { run: runId }, facts: { runId } }) };
	}
});

/** Lets a run that rests go on. */
export const resumeRun = defineAct({
	kind: 'resume-run',
	role: 'clerk',
	input,
	run: async (ctx, { runId }): Promise<{ actId: number | null }> => {
		const run = await runById(ctx.tx, runId);
		if (!run.isPaused) return ctx.unchanged({ actId: null });
		await rest(ctx.tx, runId, false, ctx.now());
		return { actId: await ctx.record({ summary: { run: runId }, facts: { runId } }) };
	}
});

/** Withdraws the letters of a run that were not handed to the mail server yet, and those that were not written. */
export const withdrawLetters = defineAct({
	kind: 'withdraw-letters',
	role: 'clerk',
	input,
	run: async (ctx, { runId }): Promise<{ actId: number; withdrawn: number }> => {
		const { tx } = ctx;
		await runById(tx, runId);
		const unwritten = await tx
			.update(runLetter)
			.set({ state: 'withdrawn' })
			.where(and(eq(runLetter.runId, runId), inArray(runLetter.state, ['to-write', 'held'])))
			.returning({ id: runLetter.id });
		const unsent = await tx
			.update(delivery)
			.set({ state: 'withdrawn', at: ctx.now(), answer: null, printing: null })
			.where(
				and(
					inArray(delivery.letterId, lettersOf(tx, runId)),
					// One on paper alone is withdrawn while nobody printed it.
					sql`(${delivery.state} in ('waiting', 'paused') or (${delivery.state} = 'paper' and ${delivery.printing} = 'waiting'))`
				)
			)
			.returning({ id: delivery.letterId });
		const withdrawn = unwritten.length + unsent.length;
		if (withdrawn === 0) throw new DomainError({ code: 'nothing-to-withdraw' });
		await tx.update(letterRun).set({ isPaused: false }).where(eq(letterRun.id, runId));
		const actId = await ctx.record({
			summary: { run: runId, count: withdrawn },
			facts: { runId, letters: unsent.map((row) => row.id) }
		});
		return { actId, withdrawn };
	}
});

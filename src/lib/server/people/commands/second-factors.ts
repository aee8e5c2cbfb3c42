import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { defineAct, madeHere } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { idField } from '../../act/fields';
import { readSetting } from '../../firm/store/settings';
import { secondFactor } from '../../platform/db/schema';
import { endRecoveryCodes, goodRecoveryCodes, makeRecoveryCodes } from '../store/recovery-codes';
import { letIn, secondFactorsOf } from '../store/second-factors';

/** So many one person may have. */
const MOST = 10;

/** A second factor that was shown while it was set up, so that it is known to work. */
export type ShownFactor = Pick<
	typeof secondFactor.$inferInsert,
	'kind' | 'name' | 'mark' | 'publicKey' | 'transports' | 'counter'
> & {
	/** The session in which it was shown: it goes on. */
	readonly sessionId: string;
};

/** A person adds a second factor of their own; with the first one come recovery codes. */
export const addSecondFactor = defineAct({
	kind: 'add-second-factor',
	role: 'reader',
	input: madeHere<ShownFactor>(),
	run: async (ctx, { sessionId, ...factor }): Promise<{ actId: number; device: string }> => {
		const { id: userId, name } = ctx.who;
		const at = new Date(ctx.now());
		const before = await secondFactorsOf(ctx.tx, userId);
		if (before.length >= MOST) refuse('Take one off first.');
		const actId = await ctx.record({ summary: { name, kind: factor.kind, device: factor.name } });
		await ctx.tx.insert(secondFactor).values({ ...factor, actId, userId });
		await letIn(ctx.tx, sessionId, at);
		if ((await goodRecoveryCodes(ctx.tx, userId)).length === 0)
			await makeRecoveryCodes(ctx.tx, { actId, userId, at });
		return { actId, device: factor.name };
	}
});

export const removeSecondFactorInput = z.object({ factorId: idField });

/** A person takes off a second factor of their own; the last one stays where the firm demands one of their role. */
export const removeSecondFactor = defineAct({
	kind: 'remove-second-factor',
	role: 'reader',
	input: removeSecondFactorInput,
	run: async (ctx, { factorId }): Promise<{ actId: number; device: string }> => {
		const { id: userId, name, role } = ctx.who;
		const at = new Date(ctx.now());
		const own = await secondFactorsOf(ctx.tx, userId);
		const gone = own.find((one) => one.id === factorId);
		if (!gone) throw new DomainError({ code: 'not-found', what: 'second step of yours' });
		const demanded = (await readSetting(ctx.tx, 'secondFactor'))?.roles ?? [];
		if (own.length === 1 && demanded.includes(role)) refuse('The firm asks for one: add another first.');
		await ctx.tx.update(secondFactor).set({ endedAt: at }).where(eq(secondFactor.id, factorId));
		if (own.length === 1) await endRecoveryCodes(ctx.tx, userId, at);
		const actId = await ctx.record({ summary: { name, kind: gone.kind, device: gone.name } });
		return { actId, device: gone.name };
	}
});

/** A person has their recovery codes made anew; those from before are good no longer. */
export const remakeRecoveryCodes = defineAct({
	kind: 'make-recovery-codes',
	role: 'reader',
	input: z.object({}),
	run: async (ctx): Promise<{ actId: number }> => {
		const { id: userId, name } = ctx.who;
		if ((await secondFactorsOf(ctx.tx, userId)).length === 0) refuse('Add a second step first.');
		const actId = await ctx.record({ summary: { name } });
		await makeRecoveryCodes(ctx.tx, { actId, userId, at: new Date(ctx.now()) });
		return { actId };
	}
});

function refuse(message: string): never {
	throw new DomainError({ code: 'field', field: 'factorId', message });
}

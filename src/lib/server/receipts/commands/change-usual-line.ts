import { and, eq } from 'drizzle-orm';
import { z } from 'zod';
import { defineAct } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { idField } from '../../act/fields';
import { ledgerAccount, usualLine } from '../../platform/db/schema';

export const usualLineInput = z.object({
	id: idField,
	account: z.string().min(1, 'Choose the ledger account.').max(40),
	/** Whether it is not proposed any more. */
	off: z.boolean()
});

/** Leads a usual line to another ledger account, or switches it off and on. */
export const changeUsualLine = defineAct({
	kind: 'change-usual-line',
	role: 'clerk',
	input: usualLineInput,
	run: async (ctx, { id, account, off }): Promise<{ id: number }> => {
		const known = await ctx.tx.select().from(usualLine).where(eq(usualLine.id, id)).get();
		if (!known) throw new DomainError({ code: 'not-found', what: 'usual line' });
		const target = await ctx.tx
			.select()
			.from(ledgerAccount)
			.where(and(eq(ledgerAccount.code, account), eq(ledgerAccount.forSettingAside, true)))
			.get();
		if (!target) throw new DomainError({ code: 'not-found', what: `ledger account ${account}` });
		if (known.account === account && known.off === off) return ctx.unchanged({ id });
		await ctx.record({
			summary: { name: known.name, text: known.text, account: target.name, off },
			facts: { id, before: { account: known.account, off: known.off, times: known.times }, account, off }
		});
		// Led elsewhere it is a rule; to be certain it has to be booked so.
		const led = known.account === account ? {} : { account, times: 0, setBy: ctx.who.name };
		await ctx.tx
			.update(usualLine)
			.set({ ...led, off })
			.where(eq(usualLine.id, id));
		return { id };
	}
});

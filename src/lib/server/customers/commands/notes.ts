import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { defineAct } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { actIdInput, idField } from '../../act/fields';
import { refuseUndone } from '../../act/refuse-undone';
import { saidOf } from '../../act/said';
import { act, customer } from '../../platform/db/schema';

export const addNoteInput = z.object({
	customerId: idField,
	text: z.string().trim().min(1, 'Type what is to be noted.').max(1_000, 'That is longer than 1,000 letters.')
});

/** Notes something of a customer: what was said on the telephone, what was agreed. It stands in the record, and on the timeline. */
export const addNote = defineAct({
	kind: 'add-note',
	role: 'clerk',
	input: addNoteInput,
	run: async (ctx, { customerId, text }): Promise<{ actId: number }> => {
		const found = await ctx.tx
			.select({ name: customer.name })
			.from(customer)
			.where(eq(customer.id, customerId))
			.all();
		if (!found[0]) throw new DomainError({ code: 'not-found', what: 'customer' });
		return { actId: await ctx.record({ summary: { customer: found[0].name, text }, customerId }) };
	}
});

/** Takes a note off again; both stand in the record. */
export const takeOffNote = defineAct({
	kind: 'take-off-note',
	role: 'clerk',
	input: actIdInput,
	run: async (ctx, { actId: noteId }): Promise<{ actId: number }> => {
		const [note] = await ctx.tx.select().from(act).where(eq(act.id, noteId)).all();
		const said = note && saidOf(note);
		if (!note || !said || !('kind' in said) || said.kind !== 'add-note')
			throw new DomainError({ code: 'not-found', what: 'note' });
		await refuseUndone(ctx.tx, noteId);
		const actId = await ctx.record({
			summary: said.facts,
			customerId: note.customerId,
			undoesId: noteId
		});
		return { actId };
	}
});

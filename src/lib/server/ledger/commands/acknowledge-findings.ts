import { sql } from 'drizzle-orm';
import { z } from 'zod';
import { defineAct } from '../../act/define-act';
import type { Tx } from '../../platform/db/open';
import { ROW_FORMS } from '../../platform/db/seal/row-form';
import { acknowledgedFinding, foreignChange } from '../../platform/db/schema';
import { acknowledged } from '../store/acknowledged';
import { brokenRecords } from '../store/broken-records';

export const acknowledgeInput = z.object({
	reason: z.string().trim().min(1, 'Say why: it stands in the record.').max(400)
});

/** What was found and put down. */
export interface Acknowledged {
	/** Records whose text an earlier version hashed otherwise than it was stored. */
	readonly records: readonly number[];
	/** Rows that something else than the application changed, as they were found. */
	readonly foreign: readonly string[];
}

/**
 * Puts down, with a reason, what the proof holds against the books for ever: records at their place in the chain whose text is not as it was
 * hashed, and changes by something else that were found. What is put down is named one by one; nothing else is covered by it, and if
 * it changes again it shows again. For the command on the server: whoever can write the books' file decides.
 */
export const acknowledgeFindings = defineAct({
	kind: 'acknowledge-findings',
	role: 'supervisor',
	input: acknowledgeInput,
	run: async (ctx, { reason }): Promise<Acknowledged> => {
		const { tx } = ctx;
		const known = await acknowledged(tx);
		const { broken } = await brokenRecords(tx);
		const records = broken.filter(
			({ row, what, state, inPlace }) => inPlace && what === 'changed' && !known.record(row.id, state)
		);
		const foreign = (await tx.select().from(foreignChange)).filter(({ id }) => !known.foreign(id));
		const found: Acknowledged = {
			records: records.map(({ row }) => row.id),
			foreign: foreign.map(({ tableName, rowKey }) => `${tableName} ${rowKey}`)
		};
		if (records.length + foreign.length === 0) return ctx.unchanged(found);
		const actId = await ctx.record({
			summary: { count: records.length + foreign.length, reason },
			facts: found
		});
		for (const { row, state } of records)
			await tx.insert(acknowledgedFinding).values({ actId, kind: 'record', ref: row.id, state });
		for (const { id, tableName, rowKey } of foreign) {
			await sealAsItIs(tx, tableName, rowKey);
			await tx.insert(acknowledgedFinding).values({ actId, kind: 'foreign', ref: id, state: '' });
		}
		return found;
	}
});

/**
 * A row that may change is written once more as it is, so that a seal covers it from then on. That it was not as it was sealed is found
 * at this once more, and put down by the next run. A row that is never changed cannot be mended so: it has to come from a copy.
 */
async function sealAsItIs(tx: Tx, tableName: string, rowKey: number | string): Promise<void> {
	const form = ROW_FORMS.get(tableName);
	const column = form?.columns.find((name) => !form.key.includes(name));
	if (!form || form.posted || !column || form.key.length !== 1) return;
	const [table, own, key] = [sql.identifier(tableName), sql.identifier(column), sql.identifier(form.key[0]!)];
	await tx.run(sql`update ${table} set ${own} = ${own} where ${key} = ${rowKey}`);
}

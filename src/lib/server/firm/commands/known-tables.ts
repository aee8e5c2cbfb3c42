import { z } from 'zod';
import { DomainError } from '../../act/domain-error';
import { defineAct } from '../../act/define-act';
import type { Reader } from '../../platform/db/open';
import { readSetting, writeSetting } from '../store/settings';
import { isSameTable, TABLE_NAME, WHICH_TABLE, type KeptTable } from '../store/table-answer';

/** Calls a known table by another name. */
export const nameTableReading = defineAct({
	kind: 'name-table-reading',
	role: 'supervisor',
	input: WHICH_TABLE.extend({ name: TABLE_NAME.min(1, 'Give it a name.') }),
	run: async (ctx, { name, ...which }): Promise<{ name: string }> => {
		const { known, one } = await knownTable(ctx.tx, which);
		if (one.name === name) return ctx.unchanged({ name });
		await writeSetting(
			ctx.tx,
			'tableReadings',
			known.map((other) => (other === one ? { ...one, name } : other))
		);
		await ctx.record({
			summary: { kind: which.kind, before: one.name ?? '', name },
			facts: { which }
		});
		return { name };
	}
});

/** Forgets how a table is read: the next one with its headings is read by them, or asked about. */
export const forgetTableReading = defineAct({
	kind: 'forget-table-reading',
	role: 'supervisor',
	input: WHICH_TABLE,
	run: async (ctx, which): Promise<KeptTable> => {
		const { known, one } = await knownTable(ctx.tx, which);
		await writeSetting(
			ctx.tx,
			'tableReadings',
			known.filter((other) => other !== one)
		);
		await ctx.record({ summary: { kind: which.kind, name: one.name ?? '' }, facts: { forgotten: one } });
		return one;
	}
});

async function knownTable(
	tx: Reader,
	which: z.infer<typeof WHICH_TABLE>
): Promise<{ readonly known: readonly KeptTable[]; readonly one: KeptTable }> {
	const known = (await readSetting(tx, 'tableReadings')) ?? [];
	const one = known.find((other) => isSameTable(other, which));
	if (!one) throw new DomainError({ code: 'not-found', what: 'table' });
	return { known, one };
}

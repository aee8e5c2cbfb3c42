import { z } from 'zod';
import { defineAct } from '../../act/define-act';
import { readSetting, writeSetting } from '../store/settings';
import { isSameTable, TABLE_ANSWER, TABLE_KIND, type KeptTable } from '../store/table-answer';

/** So many tables are remembered; the one that was said longest ago goes first. */
const MOST = 100;

export const keepTableReadingsInput = z.object({
	kind: TABLE_KIND,
	answers: z.array(TABLE_ANSWER).min(1).max(20)
});

/** Remembers which column of a table is which, and how it writes dates and numbers, for the next one with the same headings. */
export const keepTableReadings = defineAct({
	kind: 'keep-table-readings',
	role: 'clerk',
	input: keepTableReadingsInput,
	run: async (ctx, { kind, answers }): Promise<{ kept: number }> => {
		const before = (await readSetting(ctx.tx, 'tableReadings')) ?? [];
		const said = answers.map((one) => ({ ...one, kind }));
		const isSaid = (one: KeptTable) => said.some((other) => isSameTable(one, other));
		const after = [...said, ...before.filter((one) => !isSaid(one))].slice(0, MOST);
		if (JSON.stringify(after) === JSON.stringify(before)) return ctx.unchanged({ kept: 0 });
		await writeSetting(ctx.tx, 'tableReadings', after);
		await ctx.record({ summary: { kind, count: answers.length }, facts: { answers } });
		return { kept: answers.length };
	}
});

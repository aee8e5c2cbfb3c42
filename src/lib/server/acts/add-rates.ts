import type { Day } from '../../core/day/day';
import { chunks } from '../db/chunks';
import { rate } from '../db/schema';
import { recordAct } from '../repo/record-act';
import { defineAct } from './perform';

/** Adds day rates: units of base currency for one unit of a currency, × 1,000,000. A day that has one keeps it. */
export const addRates = defineAct({
	kind: 'add-rates',
	needs: 'clerk',
	run: async (tx, rows: readonly { currency: string; day: Day; millionths: number }[], at) => {
		for (const part of chunks(rows))
			await tx
				.insert(rate)
				.values([...part])
				.onConflictDoNothing();
		await recordAct(tx, {
			kind: 'add-rates',
			date: at.today,
			at: at.now(),
			userId: at.who.id,
			userName: at.who.name,
			summary: `Added ${rows.length} exchange rates`,
			facts: { rates: rows.length }
		});
	}
});

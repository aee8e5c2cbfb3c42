import { z } from 'zod';
import type { Day } from '../../core/day/day';
import { recordAct } from '../repo/record-act';
import { writeSetting } from '../repo/settings';
import { defineAct } from './perform';

export const lockInput = z.object({ through: z.custom<Day>((value) => typeof value === 'string') });

/** Locks the books up to and including a day. */
export const lockPeriod = defineAct({
	kind: 'lock-period',
	needs: 'supervisor',
	run: async (tx, input: z.infer<typeof lockInput>, at) => {
		await writeSetting(tx, 'lockedThrough', input.through);
		await recordAct(tx, {
			kind: 'lock-period',
			date: at.today,
			at: at.now(),
			userId: at.who.id,
			userName: at.who.name,
			summary: `Locked the books up to ${input.through}`,
			facts: { through: input.through }
		});
	}
});

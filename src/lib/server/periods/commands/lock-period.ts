import { takesTwo } from '../../approvals/store/takes-two';
import { z } from 'zod';
import { addDays } from '../../../core/day/arithmetic';
import { shortDay } from '../../../words';
import { DomainError } from '../../act/domain-error';
import { readSetting, writeSetting } from '../../firm/store/settings';
import { dayField, noteField } from '../../act/fields';
import { defineAct } from '../../act/define-act';

export const lockInput = z.object({
	/** The last day that is locked. */
	through: dayField,
	reason: noteField
});

/** Locks the books up to and including a day that has passed or is today; what is locked already stays so. */
export const lockPeriod = defineAct({
	kind: 'lock-period',
	role: 'supervisor',
	input: lockInput,
	run: async (ctx, input) => {
		const { tx } = ctx;
		const locked = await readSetting(tx, 'lockedThrough');
		if (locked && input.through <= locked) refuse(`The books are locked up to ${shortDay(locked)} already.`);
		if (input.through > ctx.today)
			refuse(`${shortDay(input.through)} has not been yet: lock the books up to today at most.`);
		await writeSetting(tx, 'lockedThrough', input.through);
		await ctx.record({
			summary: input,
			facts: { ...input, before: locked }
		});
	}
});

export const unlockInput = z.object({
	/** The first day that is open again. */
	from: dayField,
	reason: z.string().trim().min(1, 'Say why: it stands in the record.').max(400)
});

/** Opens the books again from a day on, for a reason that stands in the record. */
export const unlockPeriod = takesTwo(
	defineAct({
		kind: 'unlock-period',
		role: 'supervisor',
		input: unlockInput,
		run: async (ctx, input) => {
			const { tx } = ctx;
			const locked = await readSetting(tx, 'lockedThrough');
			if (!locked || input.from > locked) refuse(`${shortDay(input.from)} is open already.`);
			const before = addDays(input.from, -1);
			await writeSetting(tx, 'lockedThrough', before);
			await ctx.record({
				summary: input,
				facts: { ...input, before: locked }
			});
		}
	}),
	(_, { from, reason }) => ({ code: 'unlock-period', from, reason })
);

function refuse(message: string): never {
	throw new DomainError({ code: 'field', field: 'day', message });
}

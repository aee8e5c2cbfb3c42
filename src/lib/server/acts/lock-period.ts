import { z } from 'zod';
import { parseDay, type Day } from '../../core/day/day';
import { addDays } from '../../core/day/arithmetic';
import { shortDay } from '../../words/format';
import { DomainError } from '../domain-error';
import { recordAct } from '../repo/record-act';
import { readSetting, writeSetting } from '../repo/settings';
import { defineAct } from './perform';

const day = z.custom<Day>(
	(value) => typeof value === 'string' && parseDay(value) !== null,
	'That is no day.'
);

export const lockInput = z.object({
	/** The last day that is locked. */
	through: day,
	reason: z.string().trim().max(400).default('')
});

/** Locks the books up to and including a day that has passed or is today; what is locked already stays so. */
export const lockPeriod = defineAct({
	kind: 'lock-period',
	needs: 'supervisor',
	run: async (tx, given: z.input<typeof lockInput>, at) => {
		const input = lockInput.parse(given);
		const locked = await readSetting(tx, 'lockedThrough');
		if (locked && input.through <= locked) refuse(`The books are locked up to ${shortDay(locked)} already.`);
		if (input.through > at.today)
			refuse(`${shortDay(input.through)} has not been yet: lock the books up to today at most.`);
		await writeSetting(tx, 'lockedThrough', input.through);
		await recordAct(tx, {
			kind: 'lock-period',
			date: at.today,
			at: at.now(),
			userId: at.who.id,
			userName: at.who.name,
			summary: `Locked the books up to ${input.through}${input.reason ? `: ${input.reason}` : ''}`,
			facts: { ...input, before: locked }
		});
	}
});

export const unlockInput = z.object({
	/** The first day that is open again. */
	from: day,
	reason: z.string().trim().min(1, 'Say why: it stands in the record.').max(400)
});

/** Opens the books again from a day on, for a reason that stands in the record. */
export const unlockPeriod = defineAct({
	kind: 'unlock-period',
	needs: 'supervisor',
	run: async (tx, given: z.input<typeof unlockInput>, at) => {
		const input = unlockInput.parse(given);
		const locked = await readSetting(tx, 'lockedThrough');
		if (!locked || input.from > locked) refuse(`${shortDay(input.from)} is open already.`);
		const before = addDays(input.from, -1);
		await writeSetting(tx, 'lockedThrough', before);
		await recordAct(tx, {
			kind: 'unlock-period',
			date: at.today,
			at: at.now(),
			userId: at.who.id,
			userName: at.who.name,
			summary: `Opened the books again from ${input.from}: ${input.reason}`,
			facts: { ...input, before: locked }
		});
	}
});

function refuse(message: string): never {
	throw new DomainError({ code: 'field', field: 'day', message });
}

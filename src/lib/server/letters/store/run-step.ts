import { itemsAskedFor, type ChasedItem } from '../../../core/7-letters/chasing/chase-account';
import { wayOfStep } from '../../../core/7-letters/chasing/policy';
import type { LetterDetails } from '../../../core/7-letters/letter-details';
import type { ChaseStanding } from '../../../core/7-letters/why-held';
import { addDays } from '../../../core/day/arithmetic';
import type { Day } from '../../../core/day/day';
import type { AccountChase } from './chases';

/** A step that an account reaches, and what its letter is asked for. */
export interface RunStep {
	readonly name: string;
	/** Items that reach a step. */
	readonly items: number;
	readonly details: LetterDetails;
}

/** The step that an account reaches by letter today, with what its letter is asked for; null where it reaches none. */
export function runStep(chase: AccountChase, today: Day): RunStep | null {
	if (!chase.step) return null;
	const { step, index } = chase.step;
	const after = chase.policy.steps[index + 1];
	const next = after
		? {
				name: after.name,
				day: addDays(today, after.after === 'step' ? after.days : Math.max(1, after.days - step.days))
			}
		: null;
	const about = itemsAskedFor(chase, chase.items, today);
	// All that is late is what a reminder is about by itself.
	const isUsual = about.every((item) => item.due < today) && chase.promised.size === 0;
	return {
		...{ name: step.name, items: chase.letters.length },
		details: {
			wording: step.wording,
			...(isUsual ? {} : { about: about.map((item) => item.id) }),
			...(step.attach ? { attach: true } : {}),
			...(step.copies.length > 0 ? { copies: step.copies } : {}),
			step: {
				...{ name: step.name, next },
				items: chase.letters.map((one) => ({
					...{ id: one.id, step: one.step.id, name: one.step.name, effect: one.step.effect }
				}))
			}
		}
	};
}

/** Where an account stands on its ladder, as far as it decides whether its letter goes. @param asked what the letter asks for */
export function chaseStanding(chase: AccountChase, asked: readonly ChasedItem[]): ChaseStanding {
	const { step, isMissed, isPromised, isCovered, calls } = chase;
	const base = asked.reduce((sum, item) => sum + item.base, 0);
	return {
		...{ way: step && wayOfStep(step.step), reaches: step !== null, isToBeCalled: calls.length > 0 },
		...{ isMissed, isPromised, isCovered, isSmall: step !== null && base < step.step.least }
	};
}

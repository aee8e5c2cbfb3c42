import { addDays } from '../../day/arithmetic';
import type { Day } from '../../day/day';
import type { ChasingStep } from './policy';

/** A step that was taken on an item. */
export interface TakenStep {
	readonly step: string;
	readonly day: Day;
}

/** The step that comes next on an item, and from which day on it may be taken. */
export interface NextStep {
	readonly step: ChasingStep;
	readonly index: number;
	readonly from: Day;
}

/**
 * The next step on an item; null where the last was taken. Steps come in their order, each once: one that a holiday put off is taken
 * later, and those after it keep their distance from it, so that two never go within days of each other. A step before the due day
 * lapses when the day is over.
 */
export function nextStep(
	steps: readonly ChasingStep[],
	due: Day,
	taken: readonly TakenStep[],
	today: Day
): NextStep | null {
	const last = lastTaken(steps, taken);
	for (let index = (last?.index ?? -1) + 1; index < steps.length; index++) {
		const step = steps[index]!;
		const isBefore = step.after === 'due' && step.days < 0;
		if (isBefore && today > due) continue;
		return { step, index, from: dayOf(steps, index, due, last) };
	}
	return null;
}

interface Last {
	readonly index: number;
	readonly day: Day;
}

/** The furthest step that was taken. One that is not on the ladder any more counts as one of its rungs, from below. */
function lastTaken(steps: readonly ChasingStep[], taken: readonly TakenStep[]): Last | null {
	if (taken.length === 0) return null;
	const places = taken.map((one) => steps.findIndex((step) => step.id === one.step));
	const known = Math.max(...places);
	const unknown = places.filter((place) => place < 0).length;
	const day = taken.map((one) => one.day).sort()[taken.length - 1]!;
	return { index: Math.min(steps.length - 1, Math.max(known, known < 0 ? unknown - 1 : known)), day };
}

/** From which day on a step may be taken. */
function dayOf(steps: readonly ChasingStep[], index: number, due: Day, last: Last | null): Day {
	const step = steps[index]!;
	if (step.after === 'step') return addDays(last?.day ?? due, step.days);
	const own = addDays(due, step.days);
	if (!last) return own;
	const before = steps[last.index]!;
	const distance = before.after === 'due' ? Math.max(1, step.days - before.days) : 1;
	const spaced = addDays(last.day, distance);
	return own > spaced ? own : spaced;
}

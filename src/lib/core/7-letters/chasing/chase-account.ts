import { daysBetween } from '../../day/arithmetic';
import type { Day } from '../../day/day';
import { compareText } from '../../compare-text';
import { nextStep, type NextStep, type TakenStep } from './next-step';
import type { ChasingStep } from './policy';

/** Something that is owed, with the steps that were taken on it. Amounts in minor units of the account's currency. */
export interface ChasedItem {
	readonly id: number;
	readonly due: Day;
	readonly open: number;
	/** What that is in base currency. */
	readonly base: number;
	readonly taken: readonly TakenStep[];
}

/** A promise that is not due yet, with what of it has not come. */
export interface OpenPromise {
	readonly left: number;
	/** The items that it is for; none where it is for the account. */
	readonly items: readonly number[];
}

export interface ChaseOrder {
	readonly steps: readonly ChasingStep[];
	readonly today: Day;
	/** All that is owed and not in dispute, due or not. */
	readonly items: readonly ChasedItem[];
	readonly promises: readonly OpenPromise[];
	/** What cheques dated later come to. */
	readonly dated: number;
}

/** An item that reaches a step. */
export interface ReachedItem {
	readonly id: number;
	readonly step: ChasingStep;
	readonly index: number;
	readonly from: Day;
}

/** Where an account stands on its ladder today. */
export interface Chase {
	/** What reaches a step by letter, and what by telephone. */
	readonly letters: readonly ReachedItem[];
	readonly calls: readonly ReachedItem[];
	/** The firmest step that is reached by letter; null where none is. */
	readonly step: ReachedItem | null;
	/** Items that are promised, and those that a cheque with a later date covers, whether a step is due on them or not. */
	readonly promised: ReadonlySet<number>;
	readonly covered: ReadonlySet<number>;
	/** Whether items would reach a step today but for that. */
	readonly isPromised: boolean;
	readonly isCovered: boolean;
	/** The next step of any item that reaches none today; null where there is none. */
	readonly next: { readonly name: string; readonly day: Day } | null;
	/** Steps were being taken, and this one has waited longer than so many days: somebody had better look first. */
	readonly isMissed: boolean;
}

/** A step that waits longer than this, on an account that was being chased, was missed. */
export const MISSED_AFTER = 30;

/** Which step an account reaches today, with which items; promised ones and those that a cheque covers wait. */
export function chaseAccount({ steps, today, items, promises, dated }: ChaseOrder): Chase {
	const oldest = [...items].sort((a, b) => compareText(a.due, b.due) || a.id - b.id);
	const covered = coveredBy(oldest, dated);
	const promised = promisedOf(oldest, promises);
	const found = oldest.flatMap((item) => {
		const next = nextStep(steps, item.due, item.taken, today);
		return next ? [{ item, next }] : [];
	});
	const due = found.filter(({ next }) => next.from <= today);
	const free = due.filter(({ item }) => !covered.has(item.id) && !promised.has(item.id));
	const reached = free.map(({ item, next }) => reachedBy(item, next));
	const letters = reached.filter((one) => one.step.way !== 'phone');
	const step = letters.reduce<ReachedItem | null>(
		(firmest, one) => (firmest === null || one.index > firmest.index ? one : firmest),
		null
	);
	const later = found
		.filter(({ next }) => next.from > today)
		.map(({ next }) => ({ name: next.step.name, day: next.from }))
		.sort((a, b) => compareText(a.day, b.day));
	return {
		...{ letters, calls: reached.filter((one) => one.step.way === 'phone'), step },
		...{ promised, covered },
		isPromised: due.some(({ item }) => promised.has(item.id)),
		isCovered: due.some(({ item }) => covered.has(item.id) && !promised.has(item.id)),
		next: later[0] ?? null,
		isMissed: free.some(
			({ item, next }) => item.taken.length > 0 && daysBetween(next.from, today) > MISSED_AFTER
		)
	};
}

/** What a reminder asks for: all that is late and neither promised nor covered, and what reaches a step before it is late. */
export function itemsAskedFor(
	chase: Pick<Chase, 'letters' | 'promised' | 'covered'>,
	items: readonly ChasedItem[],
	today: Day
): ChasedItem[] {
	const reached = new Set(chase.letters.map((one) => one.id));
	const waits = (id: number) => chase.promised.has(id) || chase.covered.has(id);
	return items.filter((item) => reached.has(item.id) || (item.due < today && !waits(item.id)));
}

const reachedBy = (item: ChasedItem, { step, index, from }: NextStep): ReachedItem => ({
	...{ id: item.id, step, index, from }
});

/** Items that a sum settles whole, oldest first; none in part. */
function coveredBy(oldest: readonly ChasedItem[], sum: number): ReadonlySet<number> {
	const covered = new Set<number>();
	let left = sum;
	for (const item of oldest) {
		if (item.open > left) break;
		left -= item.open;
		covered.add(item.id);
	}
	return covered;
}

/** Items that promises are for: those named, and, where none is, the oldest that what was promised settles, in part too. */
function promisedOf(oldest: readonly ChasedItem[], promises: readonly OpenPromise[]): ReadonlySet<number> {
	const promised = new Set(promises.flatMap((one) => one.items));
	let left = promises.reduce((sum, one) => sum + (one.items.length === 0 ? one.left : 0), 0);
	for (const item of oldest) {
		if (left <= 0) break;
		if (promised.has(item.id)) continue;
		promised.add(item.id);
		left -= item.open;
	}
	return promised;
}

import type { LetterWay } from '../../model/customer-details';
import type { Minor } from '../../money/minor';
import type { ThanksStep } from './to-thank';

/** How a step is taken: as the customer is reached best, in one way, or by telephone. */
export const STEP_WAYS = ['usual', 'mail', 'paper', 'both', 'phone'] as const;
export type StepWay = (typeof STEP_WAYS)[number];

/** What follows from a step beside the letter. */
export const STEP_EFFECTS = ['nothing', 'interest', 'hold-deliveries', 'hand-over'] as const;
export type StepEffect = (typeof STEP_EFFECTS)[number];

/** From when the days of a step are counted: the day on which an item is due, or the day of the step before. */
export const STEP_ANCHORS = ['due', 'step'] as const;
export type StepAnchor = (typeof STEP_ANCHORS)[number];

/** One step of chasing an item. */
export interface ChasingStep {
	/** By which what was taken is known; it stays when the step is renamed or moved. */
	readonly id: string;
	readonly name: string;
	readonly after: StepAnchor;
	/** Fewer than nought: so many days before an item is due. */
	readonly days: number;
	/** What an account has to owe at least for it, in minor units of the base currency. */
	readonly least: Minor;
	/** The wording of its letter. */
	readonly wording: string;
	readonly way: StepWay;
	/** Further addresses that get a copy. */
	readonly copies: readonly string[];
	/** Whether copies of the invoices go with it. */
	readonly attach: boolean;
	readonly effect: StepEffect;
}

/** How customers of a kind are chased: steps, each firmer than the one before. */
export interface ChasingPolicy {
	readonly id: string;
	readonly name: string;
	/** Raised by each change. */
	readonly version: number;
	readonly steps: readonly ChasingStep[];
	/** Thanks once what was chased is paid; nothing for none. */
	readonly thanks?: ThanksStep | null | undefined;
}

/** How a letter of a step goes, where the step says so. */
export const wayOfStep = ({ way }: ChasingStep): LetterWay | null =>
	way === 'usual' || way === 'phone' ? null : way;

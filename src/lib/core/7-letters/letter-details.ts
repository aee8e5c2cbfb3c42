import type { Day } from '../day/day';
import type { StepEffect } from './chasing/policy';
import type { Wording } from './wording/wording';

/** A step of chasing that a letter is. */
export interface StepOfLetter {
	readonly name: string;
	/** What comes after it, and when at the earliest. */
	readonly next: { readonly name: string; readonly day: Day } | null;
	/** The items that reach a step with it, each its own. */
	readonly items: readonly {
		readonly id: number;
		readonly step: string;
		readonly name: string;
		readonly effect: StepEffect;
	}[];
}

/** What is asked of one letter beside its kind. */
export interface LetterDetails {
	/** The wording that it has; the usual one of its kind where it is not said. */
	readonly wording?: string;
	/** Words for this letter alone. */
	readonly words?: Wording;
	/** The items that it is about; all that its kind is about where it is not said. */
	readonly about?: readonly number[];
	readonly step?: StepOfLetter;
	/** Whether copies of the documents go with it. */
	readonly attach?: boolean;
	/** Further addresses that get a copy. */
	readonly copies?: readonly string[];
}

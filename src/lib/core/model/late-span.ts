import type { Day } from '../day/day';

/** Days from one to another, both among them. */
export interface DaySpan {
	readonly from: Day;
	readonly to: Day;
}

/** Days on which the same amount was late, at the same yearly rate. */
export interface LateSpan extends DaySpan {
	/** In minor units. */
	readonly open: number;
	readonly basisPoints: number;
}

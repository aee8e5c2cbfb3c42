import { DIFFERENCE_NAMES } from './difference-names';

/** What a kind of loss is called in a chart or list. */
export const LOST_NAMES: Readonly<Record<string, string>> = {
	...DIFFERENCE_NAMES,
	allowance: 'Claims allowed'
};

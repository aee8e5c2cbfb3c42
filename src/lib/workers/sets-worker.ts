import { findSets, type SetsFound } from '../core/3-matching';

/** What to look for: amounts and target in minor units, credit notes negative. */
export interface SetsAsked {
	readonly amounts: readonly number[];
	readonly target: number;
	readonly keep: number;
	readonly steps: number;
}

/** In a web worker of the browser: a search for sets, so that the desk stays quick while it runs. */
self.onmessage = ({ data }: MessageEvent<SetsAsked>) => {
	const found: SetsFound = findSets(data.amounts, data.target, { keep: data.keep, steps: data.steps });
	self.postMessage(found);
};

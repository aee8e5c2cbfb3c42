import type { OpenItem } from '../../core/model/records';
import type { SetsAsked } from '../../workers/sets-worker';
import type { SetsFound } from '../../core/3-matching';

/** Sets listed; the others are counted. */
const KEEP = 12;
/** Look-ups that a search may take: some seconds at most. */
const STEPS = 100_000_000;

/** A search by hand among items of an account. */
export class SetsHere {
	looking = $state(false);
	trouble = $state('');
	/** What was looked for (minor units), among which items, and what was found; null before the first search. */
	found = $state.raw<{
		readonly target: number;
		readonly among: readonly OpenItem[];
		readonly sets: readonly (readonly OpenItem[])[];
		readonly count: number;
		readonly all: boolean;
	} | null>(null);
	#worker: Worker | null = null;

	/** Looks for sets of these items that come to a sum; a search that still runs is given up for this one. */
	look(among: readonly OpenItem[], target: number): void {
		this.stop();
		this.trouble = '';
		this.looking = true;
		const worker = new Worker(new URL('../../workers/sets-worker.ts', import.meta.url), { type: 'module' });
		this.#worker = worker;
		worker.onmessage = ({ data }: MessageEvent<SetsFound>) => {
			this.stop();
			const sets = data.sets.map((places) => places.map((place) => among[place]!));
			this.found = { target, among, sets, count: data.count, all: data.all };
		};
		worker.onerror = () => {
			this.stop();
			this.trouble = 'The search could not be made just now; try again.';
		};
		const amounts = among.map((item) => (item.kind === 'credit_note' ? -item.open : item.open));
		worker.postMessage({ amounts, target, keep: KEEP, steps: STEPS } satisfies SetsAsked);
	}

	/** Gives a running search up. */
	stop(): void {
		this.#worker?.terminate();
		this.#worker = null;
		this.looking = false;
	}

	/** Forgets what was found. */
	clear(): void {
		this.stop();
		this.found = null;
		this.trouble = '';
	}
}

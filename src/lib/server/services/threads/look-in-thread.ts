import type { Problem } from '../../../core/problems';
import { conventions, type Conventions } from '../../../words/conventions';
import { DomainError } from '../../act/domain-error';
import type { Viewer } from '../../act/define-look';
import { config } from '../../platform/config';
import type { Db } from '../../platform/db/open';
import { runWorker } from '../../platform/worker-pool';
import { HEAVY_LOOKS, type HeavyInput, type HeavyLook, type HeavyOutput } from './heavy-looks';

/** What the thread is told. */
export interface LookAsked {
	readonly place: { readonly url: string; readonly token?: string };
	readonly conventions: Conventions;
	readonly name: HeavyLook;
	readonly input: unknown;
	readonly viewer: Viewer;
}

/** What it tells: problems cross threads as data. */
export type LookTold = { readonly output: unknown } | { readonly problems: readonly Problem[] };

/** Milliseconds that somebody waits for a page at the most. */
const LOOK_LIMIT = 60_000;

/** Looks in a thread of its own where the application is built, else in place. Throws DomainError as the look itself would. */
export async function lookInThread<N extends HeavyLook>(
	db: Db,
	name: N,
	input: HeavyInput<N>,
	viewer: Viewer
): Promise<HeavyOutput<N>> {
	const asked: LookAsked = {
		...{ place: config().database, conventions: conventions(), name, input, viewer }
	};
	const told = runWorker<LookAsked, LookTold>('looks-worker', asked, {
		keeps: true,
		threads: 2,
		limit: LOOK_LIMIT
	});
	if (!told) return runLook(db, name, input, viewer);
	const answer = await told;
	if ('problems' in answer) throw new DomainError(...answer.problems);
	return answer.output as HeavyOutput<N>;
}

/** Runs one by its name, in whatever thread. */
export function runLook<N extends HeavyLook>(
	db: Db,
	name: N,
	input: HeavyInput<N>,
	viewer: Viewer
): Promise<HeavyOutput<N>> {
	const look = HEAVY_LOOKS[name] as (db: Db, input: HeavyInput<N>, viewer: Viewer) => Promise<HeavyOutput<N>>;
	return look(db, input, viewer);
}

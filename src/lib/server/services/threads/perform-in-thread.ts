import { join } from 'node:path';
import type { CallContext } from '../../act/define-act';
import { config } from '../../platform/config';
import type { Books } from '../../platform/db/open';
import { hasWorker, runWorker } from '../../platform/worker-pool';
import { HEAVY_ACTS, type HeavyAct, type HeavyDone, type HeavyGiven } from './heavy-acts';

/** What the thread is told. */
export interface ActAsked {
	readonly place: { readonly url: string; readonly token?: string };
	readonly migrations: string;
	readonly name: HeavyAct;
	readonly given: unknown;
	readonly call: Pick<CallContext, 'who' | 'today' | 'key' | 'sent'>;
}

/**
 * Does an act in bulk in a thread of its own where the application is built, else in place. It takes its turn among those who write: the
 * others go on reading meanwhile, and write after it.
 */
export function performInThread<N extends HeavyAct>(
	books: Books,
	name: N,
	given: HeavyGiven<N>,
	call: CallContext
): Promise<HeavyDone<N>> {
	const { database: place, root } = config();
	if (!hasWorker('acts-worker')) return runAct(books, name, given, call);
	const { who, today, key, sent } = call;
	const asked: ActAsked = {
		...{ place, migrations: join(root, 'drizzle'), name, given, call: { who, today, key, sent } }
	};
	return books.turn(() => runWorker<ActAsked, HeavyDone<N>>('acts-worker', asked, { keeps: true })!);
}

/** Does one by its name, in whatever thread. */
export function runAct<N extends HeavyAct>(
	books: Books,
	name: N,
	given: HeavyGiven<N>,
	call: CallContext
): Promise<HeavyDone<N>> {
	const run = HEAVY_ACTS[name].run as (
		books: Books,
		given: HeavyGiven<N>,
		call: CallContext
	) => Promise<HeavyDone<N>>;
	return run(books, given, call);
}

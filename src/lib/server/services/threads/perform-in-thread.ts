import { join } from 'node:path';
import type { CallContext } from '../../act/define-act';
import { config } from '../../platform/config';
import type { Books } from '../../platform/db/open';
import { measured, type MeterBuffer } from '../../platform/db/meter';
import { hasWorker, runWorker } from '../../platform/worker-pool';
import { withMeter } from './meters';
import { HEAVY_ACTS, type HeavyAct, type HeavyDone, type HeavyGiven } from './heavy-acts';

/** What the thread is told. */
export interface ActAsked {
	readonly place: { readonly url: string; readonly token?: string };
	readonly migrations: string;
	readonly name: HeavyAct;
	/** Only what can be done before it takes its turn. */
	readonly prepare: boolean;
	readonly given: unknown;
	readonly call: Pick<CallContext, 'who' | 'today' | 'key' | 'sent'>;
	/** Where it counts what it writes. */
	readonly meter?: MeterBuffer;
}

/**
 * Does an act in bulk in a thread of its own where the application is built, else in place. It takes its turn among those who write: the
 * others go on reading meanwhile, and write after it.
 */
export async function performInThread<N extends HeavyAct>(
	books: Books,
	name: N,
	given: HeavyGiven<N>,
	call: CallContext
): Promise<HeavyDone<N>> {
	return withMeter(call, (meter) => performMeasured(books, name, { given, call, meter }));
}

async function performMeasured<N extends HeavyAct>(
	books: Books,
	name: N,
	{ given, call, meter }: { given: HeavyGiven<N>; call: CallContext; meter: MeterBuffer | undefined }
): Promise<HeavyDone<N>> {
	const { database: place, root } = config();
	if (!hasWorker('acts-worker')) return measured(meter, () => runAct(books, name, given, call));
	const { who, today, key, sent } = call;
	const asked: ActAsked = {
		...{
			place,
			migrations: join(root, 'drizzle'),
			name,
			given,
			prepare: false,
			meter,
			call: { who, today, key, sent }
		}
	};
	const run = <T>(what: ActAsked) =>
		runWorker<ActAsked, T>('acts-worker', what, { keeps: true, limit: null })!;
	if ('prepare' in HEAVY_ACTS[name]) await run<void>({ ...asked, prepare: true });
	return books.turn(() => run<HeavyDone<N>>(asked));
}

/** Does what can be done before an act takes its turn. */
export async function prepareAct(books: Books, name: HeavyAct): Promise<void> {
	const act: (typeof HEAVY_ACTS)[HeavyAct] & { prepare?: (books: Books) => Promise<void> } = HEAVY_ACTS[name];
	await act.prepare?.(books);
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

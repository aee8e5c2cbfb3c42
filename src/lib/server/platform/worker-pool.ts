import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { Piscina } from 'piscina';
import { DomainError } from '../act/domain-error';
import { config } from './config';

const pools = new Map<string, Piscina>();

/** What a worker keeps in memory between its tasks is worth keeping: for as long as somebody works. */
const IDLE_KEPT = 30 * 60_000;
const PLAIN = { maxThreads: 2, idleTimeout: 10_000 };

function fileOf(name: string): string {
	return join(config().root, `build/tools/${name}.js`);
}

/** Whether there is a built worker of the name: in tests and in development there is none. */
export function hasWorker(name: string): boolean {
	return config().built && existsSync(fileOf(name));
}

/** How a worker is run. */
export interface WorkerUse {
	/** Whether what it keeps in memory between its tasks is worth keeping. */
	readonly keeps?: boolean;
	readonly threads?: number;
	/** Milliseconds, of waiting for its turn too, after which it is ended with its thread. None for what writes: an act is done or not. */
	readonly limit: number | null;
}

/**
 * Runs a built worker by name; null where there is no build (tests, development) and the caller does the work in place.
 * @throws DomainError `took-too-long`
 */
export function runWorker<Input, Output>(name: string, input: Input, use: WorkerUse): Promise<Output> | null {
	if (!hasWorker(name)) return null;
	const { keeps = false, threads = 1, limit } = use;
	const filename = fileOf(name);
	let pool = pools.get(name);
	if (!pool)
		pools.set(
			name,
			(pool = new Piscina({ filename, ...(keeps ? { maxThreads: threads, idleTimeout: IDLE_KEPT } : PLAIN) }))
		);
	if (limit === null) return pool.run(input) as Promise<Output>;
	const signal = AbortSignal.timeout(limit);
	return pool.run(input, { signal }).catch((error: unknown) => {
		if (!signal.aborted) throw error;
		throw new DomainError({ code: 'took-too-long', seconds: Math.round(limit / 1_000) });
	}) as Promise<Output>;
}

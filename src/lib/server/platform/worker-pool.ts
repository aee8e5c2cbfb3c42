import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { Piscina } from 'piscina';
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

/** Runs a built worker by name; null where there is no build (tests, development) and the caller does the work in place. */
export function runWorker<Input, Output>(
	name: string,
	input: Input,
	{ keeps = false, threads = 1 }: { readonly keeps?: boolean; readonly threads?: number } = {}
): Promise<Output> | null {
	if (!hasWorker(name)) return null;
	const filename = fileOf(name);
	let pool = pools.get(name);
	if (!pool)
		pools.set(
			name,
			(pool = new Piscina({ filename, ...(keeps ? { maxThreads: threads, idleTimeout: IDLE_KEPT } : PLAIN) }))
		);
	return pool.run(input) as Promise<Output>;
}

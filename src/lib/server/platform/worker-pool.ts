import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { Piscina } from 'piscina';
import { config } from './config';

const pools = new Map<string, Piscina>();

/** What a worker keeps in memory between its tasks is worth keeping: one thread, for as long as somebody works. */
const KEEPS = { maxThreads: 1, idleTimeout: 30 * 60_000 };
const PLAIN = { maxThreads: 2, idleTimeout: 10_000 };

/** Runs a built worker by name; null where there is no build (tests, development) and the caller does the work in place. */
export function runWorker<Input, Output>(
	name: string,
	input: Input,
	{ keeps = false }: { readonly keeps?: boolean } = {}
): Promise<Output> | null {
	const { root, built } = config();
	const filename = join(root, `build/tools/${name}.js`);
	if (!built || !existsSync(filename)) return null;
	let pool = pools.get(name);
	if (!pool) pools.set(name, (pool = new Piscina({ filename, ...(keeps ? KEEPS : PLAIN) })));
	return pool.run(input) as Promise<Output>;
}

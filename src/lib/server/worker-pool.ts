import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { Piscina } from 'piscina';

const pools = new Map<string, Piscina>();

/** Runs a built worker by name; null where there is no build (tests, development) and the caller does the work in place. */
export function runWorker<Input, Output>(name: string, input: Input): Promise<Output> | null {
	const root = process.env['ODD_PENNY_ROOT'];
	const filename = root && join(root, `build/tools/${name}.js`);
	if (!filename || !existsSync(filename)) return null;
	let pool = pools.get(name);
	if (!pool) pools.set(name, (pool = new Piscina({ filename, maxThreads: 2, idleTimeout: 10_000 })));
	return pool.run(input) as Promise<Output>;
}

import { execFileSync } from 'node:child_process';
import { cpSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { MADE } from './own-books';

/** Before the tests: demo books once as they are made, and once with today's bank files in them. */
export default async function makeBooks(): Promise<void> {
	const { built } = (await import('../scripts/ready.mjs' as string)) as { built: () => void };
	built();
	const env = { ...process.env, ODD_PENNY_ROOT: resolve('.'), NODE_ENV: 'production' };
	const tool = (name: string, args: string[], folder: string) =>
		execFileSync(process.execPath, [resolve(`build/tools/${name}.js`), ...args], {
			env: { ...env, DATA_DIR: resolve(folder) },
			stdio: ['ignore', 'ignore', 'inherit']
		});
	for (const folder of Object.values(MADE)) rmSync(folder, { recursive: true, force: true });
	tool('demo', ['--books-only'], MADE.fresh);
	cpSync(MADE.fresh, MADE['with-files'], { recursive: true });
	const files = ['gbp', 'eur'].map((one) =>
		resolve(join(MADE.fresh, `todays-bank-files/camt053-${one}-2026-10-30.xml`))
	);
	tool('import', files, MADE['with-files']);
}

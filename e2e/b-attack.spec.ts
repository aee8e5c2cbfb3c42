import { execFile } from 'node:child_process';
import { resolve } from 'node:path';
import { promisify } from 'node:util';
import { expect, test } from '@playwright/test';

const run = promisify(execFile);
const env = { ...process.env, ODD_PENNY_ROOT: resolve('.'), NODE_ENV: 'production', LOG_LEVEL: 'warn' };

/** A part of the attack, in short: every part makes books of its own and starts a server on them. */
async function attack(...parts: string[]): Promise<string> {
	const args = [resolve('build/tools/attack.js'), ...parts, '--short'];
	const { stdout } = await run(process.execPath, args, { env, maxBuffer: 1e8 }).catch(
		(failed: { stdout: string; stderr: string }) => ({ stdout: `${failed.stdout}\n${failed.stderr}` })
	);
	return stdout;
}

test.describe.configure({ timeout: 400_000 });

for (const parts of [
	['roles', 'addresses', 'inputs'],
	['crowd', 'senders', 'kills', 'letters']
])
	test(`nothing gets through: ${parts.join(', ')}`, async () => {
		const said = await attack(...parts);
		expect(said).toContain('Nothing got through.');
		for (const part of parts) expect(said).toMatch(new RegExp(`^${part} \\(\\d+ s\\): .*; 0 wrong$`, 'm'));
	});

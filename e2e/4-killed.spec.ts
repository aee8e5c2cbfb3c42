import { execFileSync, spawn } from 'node:child_process';
import { cpSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { expect, test } from '@playwright/test';
import { todaysFiles } from './helpers';

const tool = (name: string) => resolve(`build/tools/${name}.js`);
const env = (folder: string) => ({
	...process.env,
	DATA_DIR: folder,
	ODD_PENNY_ROOT: resolve('.'),
	NODE_ENV: 'production'
});
/** The proof's exit code is 0 or this throws. */
const prove = (folder: string) =>
	execFileSync(process.execPath, [tool('prove')], { env: env(folder), encoding: 'utf8' });

/** Starts a tool and ends it the hard way after some milliseconds. */
function kill(name: string, args: string[], folder: string, after: number): Promise<void> {
	return new Promise((done) => {
		const child = spawn(process.execPath, [tool(name), ...args], { env: env(folder), stdio: 'ignore' });
		const timer = setTimeout(() => child.kill('SIGKILL'), after);
		child.on('close', () => (clearTimeout(timer), done()));
	});
}

test('killed at any moment of making books, what is there proves', async () => {
	test.setTimeout(120_000);
	for (const after of [900, 1400, 2100, 2900]) {
		const folder = mkdtempSync(join(tmpdir(), 'odd-penny-killed-'));
		await kill('demo', ['--books-only'], folder, after);
		expect(prove(folder)).toContain('The books prove.');
	}
});

test('killed at any moment of an import, the file is in whole or not at all', async () => {
	test.setTimeout(120_000);
	const source = mkdtempSync(join(tmpdir(), 'odd-penny-killed-'));
	await kill('demo', ['--books-only'], source, 6000);
	const receipts = (text: string) => Number(/(\d+) receipts/.exec(text)![1]);
	const before = receipts(prove(source));
	const counts = new Set<number>();
	for (const after of [250, 350, 450, 550, 700, 5000]) {
		const folder = mkdtempSync(join(tmpdir(), 'odd-penny-killed-'));
		cpSync(source, folder, { recursive: true });
		await kill('import', [resolve(todaysFiles[0]!)], folder, after);
		counts.add(receipts(prove(folder)) - before);
	}
	expect(counts.size).toBeLessThanOrEqual(2);
	expect([...counts].every((n) => n === 0 || n > 30)).toBe(true);
	expect(Math.max(...counts)).toBeGreaterThan(30);
});

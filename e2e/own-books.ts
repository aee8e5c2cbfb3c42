import { spawn, type ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { test } from '@playwright/test';

/** Demo books as they are made, or with today's bank files brought in: made once for a run (`make-books.ts`). */
export const MADE = { fresh: 'data/e2e/fresh', 'with-files': 'data/e2e/with-files' } as const;

/**
 * Gives the tests of a file books and a server of their own, so that no file depends on what another did before. Within a file
 * tests go on from one another.
 */
export function ownBooks(books: keyof typeof MADE): void {
	let server: ChildProcess | null = null;
	let folder = '';
	test.beforeAll(async () => {
		folder = mkdtempSync(join(tmpdir(), 'odd-penny-e2e-'));
		cpSync(MADE[books], folder, { recursive: true });
		const port = await freePort();
		process.env['E2E_SERVER'] = `http://127.0.0.1:${port}`;
		process.env['E2E_FOLDER'] = folder;
		server = await startServer(port, folder);
	});
	test.afterAll(() => {
		server?.kill('SIGKILL');
		rmSync(folder, { recursive: true, force: true });
	});
	// The framework reads from this pattern what a fixture needs: nothing.
	// eslint-disable-next-line no-empty-pattern
	test.use({ baseURL: async ({}, use) => use(process.env['E2E_SERVER']) });
}

/** A port that nobody listens on. */
export function freePort(): Promise<number> {
	return new Promise((done, failed) => {
		const listener = createServer().once('error', failed);
		listener.listen(0, '127.0.0.1', () => {
			const address = listener.address();
			listener.close(() => done(typeof address === 'object' && address ? address.port : 0));
		});
	});
}

/** The built application on books in a folder; resolves once it answers. */
export async function startServer(
	port: number,
	folder: string,
	{ over = {}, heard }: { over?: Record<string, string>; heard?: (text: string) => void } = {}
): Promise<ChildProcess> {
	const env = {
		...process.env,
		DATA_DIR: folder,
		PORT: String(port),
		ODD_PENNY_ROOT: resolve('.'),
		NODE_ENV: 'production',
		LOG_LEVEL: heard ? 'info' : 'silent',
		...over
	};
	const server = spawn(process.execPath, [resolve('build/tools/serve.js')], {
		env,
		stdio: ['ignore', heard ? 'pipe' : 'ignore', 'inherit']
	});
	if (heard) server.stdout!.on('data', (part) => heard(String(part)));
	for (let tries = 0; tries < 200; tries++) {
		const up = await fetch(`http://127.0.0.1:${port}/health`).then(
			(answer) => answer.ok,
			() => false
		);
		if (up) return server;
		await new Promise((done) => setTimeout(done, 100));
	}
	server.kill('SIGKILL');
	throw new Error(`the server for ${folder} does not answer`);
}

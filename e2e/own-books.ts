import type { ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test } from '@playwright/test';
import { freePort, startServer } from '../attack/start-server';

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

import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { Client } from '../attack/client';
import { freePort, startServer } from '../attack/start-server';
import { MADE, ownBooks } from './own-books';

ownBooks('with-files');

test('who tries passwords is stopped after ten', async ({ page }) => {
	await page.goto('/sign-in');
	const origin = new URL(page.url()).origin;
	const answers: string[] = [];
	for (let n = 0; n < 13; n++) {
		const response = await page.request.post('/sign-in?/person', {
			form: { email: 'wren@ashlock-kiln.example', password: `guess ${n} and on` },
			headers: { origin, accept: 'application/json' }
		});
		answers.push(await response.text());
	}
	expect(answers[0]).toContain('do not go together');
	expect(answers.at(-1)).toContain('Too many attempts');
});

test('who asks faster than a person does is told to wait, and nobody else is', async () => {
	const folder = mkdtempSync(join(tmpdir(), 'odd-penny-fast-'));
	cpSync(MADE.fresh, folder, { recursive: true });
	const port = await freePort();
	const server = await startServer(port, folder, { over: { RATE_LIMIT: '60' } });
	try {
		const at = `http://127.0.0.1:${port}`;
		const clerk = await Client.asDemo(at, 'clerk');
		const statuses: number[] = [];
		for (let n = 0; n < 40; n++) statuses.push((await clerk.get('/me')).status);
		expect([statuses[0], statuses.at(-1)]).toEqual([200, 429]);
		expect((await (await Client.asDemo(at, 'supervisor')).get('/me')).status).toBe(200);
		expect((await fetch(`${at}/health`)).status).toBe(200);
	} finally {
		server.kill('SIGKILL');
		rmSync(folder, { recursive: true, force: true });
	}
});

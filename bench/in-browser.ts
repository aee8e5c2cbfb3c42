import { spawn } from 'node:child_process';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { config } from '../src/lib/server/platform/config';

const PORT = 4371;

/** Serves a folder of books from the build, signs a clerk in with Chromium, and does the work there. */
export async function inBrowser(
	folder: string,
	work: (page: Page, base: string) => Promise<void>
): Promise<void> {
	const server = spawn(process.execPath, [join(config().root, 'build/tools/serve.js')], {
		env: {
			...process.env,
			DATA_DIR: folder,
			PORT: String(PORT),
			NODE_ENV: 'production',
			ODD_PENNY_ROOT: config().root
		},
		stdio: 'ignore'
	});
	try {
		const base = `http://127.0.0.1:${PORT}`;
		for (let n = 0; n < 100; n++) {
			if (
				await fetch(`${base}/health`)
					.then((one) => one.ok)
					.catch(() => false)
			)
				break;
			await new Promise((resolve) => setTimeout(resolve, 200));
		}
		const { chromium } = await import('@playwright/test');
		const browser = await chromium.launch({
			executablePath: '/usr/bin/chromium',
			args: [
				'--no-sandbox',
				'--disable-gpu',
				'--disable-quic',
				'--no-first-run',
				'--disable-background-networking',
				'--disable-component-update',
				'--disable-sync'
			]
		});
		const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
		await page.goto(`${base}/sign-in`);
		await page.click('button[value=clerk]');
		await page.waitForURL(`${base}/`);
		await work(page, base);
		await browser.close();
	} finally {
		server.kill('SIGINT');
	}
}

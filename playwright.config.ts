import { defineConfig } from '@playwright/test';

/** The real interface in Debian's Chromium; each file has books and a server of its own, on a port that is free. */
export default defineConfig({
	testDir: 'e2e',
	globalSetup: './e2e/make-books.ts',
	timeout: 120_000,
	// A wait is no assertion on speed: that is measured by the benchmarks. A loaded machine may take long to start a thread.
	expect: { timeout: 20_000 },
	workers: 1,
	fullyParallel: false,
	forbidOnly: true,
	reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
	use: {
		viewport: { width: 1280, height: 800 },
		launchOptions: {
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
		}
	}
});

import { defineConfig } from '@playwright/test';

const PORT = Number(process.env['E2E_PORT'] ?? 4173);

/** The real interface in Debian's Chromium, against a server with demo books of its own. */
export default defineConfig({
	testDir: 'e2e',
	timeout: 45_000,
	workers: 1,
	fullyParallel: false,
	forbidOnly: true,
	reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
	use: {
		baseURL: `http://127.0.0.1:${PORT}`,
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
	},
	webServer: {
		command: `node scripts/demo.mjs --fresh`,
		url: `http://127.0.0.1:${PORT}/health`,
		timeout: 240_000,
		reuseExistingServer: !process.env['CI'],
		env: { PORT: String(PORT), DATA_DIR: 'data/e2e' }
	}
});

import { execFileSync } from 'node:child_process';
import { defineConfig } from '@playwright/test';

const FREE_PORT =
	"const s = require('net').createServer().listen(0, '127.0.0.1', () => { console.log(s.address().port); s.close(); })";

// A free port, so that two checkouts can be tested at once; kept where the workers see it. One that is given names a server that
// may be running already.
const given = process.env['E2E_PORT'] !== undefined && process.env['E2E_FREE'] === undefined;
if (!given && process.env['E2E_FREE'] === undefined) {
	process.env['E2E_PORT'] = execFileSync(process.execPath, ['-e', FREE_PORT], { encoding: 'utf8' });
	process.env['E2E_FREE'] = '1';
}
const PORT = Number(process.env['E2E_PORT']);

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
		reuseExistingServer: given,
		env: { PORT: String(PORT), DATA_DIR: 'data/e2e' }
	}
});

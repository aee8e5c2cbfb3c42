import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { movingIn } from './moving-in.mjs';
import { built, chromium as haveChromium, installed, root } from './ready.mjs';

// Makes docs/screenshots from the demo books: one picture of each main view at 1280x800.
installed();
if (!haveChromium()) process.exit(1);
built();
const { chromium } = await import('@playwright/test');
const port = 4555;
const base = `http://127.0.0.1:${port}`;
const data = join(root, 'data/pictures');
const server = spawn(process.execPath, [join(root, 'scripts/demo.mjs'), '--fresh'], {
	env: { ...process.env, PORT: String(port), DATA_DIR: data },
	stdio: 'ignore'
});
for (let n = 0; n < 300; n++) {
	const up = await fetch(`${base}/health`).then(
		(one) => one.ok,
		() => false
	);
	if (up) break;
	await new Promise((resolve) => setTimeout(resolve, 300));
}
const browser = await chromium.launch({
	executablePath: '/usr/bin/chromium',
	args: [
		'--no-sandbox',
		'--disable-gpu',
		'--disable-quic',
		'--no-first-run',
		'--disable-background-networking'
	]
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const shot = async (name) => {
	await page.waitForTimeout(300);
	await page.screenshot({ path: join(root, `docs/screenshots/${name}.png`) });
};
const open = async (path) => {
	await page.goto(base + path);
	await page.waitForLoadState('networkidle');
};
try {
	await open('/sign-in');
	await page.click('button[value=supervisor]');
	await page.waitForURL(`${base}/`);
	await open('/money-in');
	await page.setInputFiles(
		'input[type=file]',
		['gbp', 'eur'].map((one) => join(data, `todays-bank-files/camt053-${one}-2026-10-30.xml`))
	);
	await page.locator('[data-receipt]').nth(36).waitFor();
	await open('/');
	await shot('today');
	await open('/money-in');
	await page.locator('[data-receipt]', { hasText: '45.40 short' }).click();
	await page.getByText(/Odd penny: /).waitFor();
	await shot('money-in');
	await page.emulateMedia({ colorScheme: 'dark' });
	await shot('money-in-dark');
	await page.emulateMedia({ colorScheme: 'light' });
	await open('/money-in/manual-receipts');
	await shot('by-hand');
	await open('/odd-pennies');
	await shot('odd-pennies');
	await open('/money-in');
	await page.locator('[data-receipt]', { hasText: 'a returned payment' }).last().click();
	await page.getByRole('link', { name: 'It is this' }).first().click();
	await page.waitForURL(/returned/);
	await shot('came-back');
	await open('/books/settings');
	await shot('settings');
	await open('/open-items?show=part-paid');
	await page.locator('tbody tr a').first().click();
	await page.locator('aside h2').waitFor();
	await shot('open-items');
	await open('/customers?q=Hazel+Hill+Pottery');
	await page.locator('tbody a').first().click();
	await page.waitForURL(/customers\/H/);
	await shot('customer');
	await open('/customers/P1098/threads');
	await page.locator('[data-ribbon]').nth(3).focus();
	await page.keyboard.press('Enter');
	await page.getByText('Allocated by').waitFor();
	await shot('threads');
	await open('/reports/ageing?months=12');
	await page.getByRole('region', { name: 'Twelve months' }).waitFor();
	await shot('ageing');
	await open('/letters?kind=reminder');
	const free = page.locator('tbody tr:not(:has(.text-copper)) input[type=checkbox]:enabled');
	for (const n of [1, 2]) await free.nth(n).check();
	await page.locator('tbody button', { hasText: /\w/ }).nth(2).click();
	await page.waitForTimeout(500);
	await shot('letters');
	await page.getByRole('button', { name: /^Send \d/ }).click();
	await page.getByText(/: 2 sent\./).waitFor();
	await open('/letters/outbox');
	await shot('outbox');
	await open('/letters/calls');
	await page.getByLabel(/^What came of it/).fill('promises 500 on Friday');
	await shot('calls');
	await open('/letters/interest');
	await shot('interest');
	await open('/letters/wordings/second-reminder?language=en');
	await page.locator('canvas').first().waitFor();
	await page.waitForTimeout(1500);
	await shot('wording');
	await open('/books');
	await page.getByText('The books prove.').waitFor();
	await shot('books');
	await open('/books/journal?account=1100');
	await shot('journal');
	server.kill('SIGINT');
	await movingIn(page, shot);
} finally {
	await browser.close();
	server.kill('SIGINT');
}

import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { expect, request as requests, test } from '@playwright/test';
import { freePort, startServer } from '../attack/start-server';

/** A server on new books, for real use and not for the demo, and what it logs. */
async function start(over: Record<string, string> = {}) {
	const folder = mkdtempSync(join(tmpdir(), 'odd-penny-new-'));
	const port = await freePort();
	let logged = '';
	const server = await startServer(port, folder, { over, heard: (text) => (logged += text) });
	return { server, folder, port, log: () => logged };
}

/** The code that the console of a new server shows. */
const codeIn = (log: string) => /code: ([0-9A-Z-]{19})/.exec(log)![1]!;

const person = {
	firm: 'Garrick Kilns Ltd',
	address: 'Mill Lane\nGarrick',
	phone: '01632 960 111',
	baseCurrency: 'GBP',
	bank: 'Mere & Marches Bank',
	number: '20-14-53 0000 0001',
	name: 'Petra Voss',
	email: 'petra@garrick-kilns.example',
	password: 'salt glaze at dawn',
	again: 'salt glaze at dawn'
};

test('who has no books yet looks around in demo books, which are kept apart and left again', async ({
	page
}) => {
	test.setTimeout(300_000);
	const { server, folder, port, log } = await start();
	const home = `http://127.0.0.1:${port}`;
	try {
		await page.goto(home);
		await page.getByRole('button', { name: 'Look around in demo books' }).click();
		await page.waitForURL(`${home}/sign-in`, { timeout: 180_000 });
		await page.getByRole('button', { name: 'Wren Tolliver, clerk' }).click();
		await page.waitForURL(`${home}/`);
		await page.getByRole('link', { name: 'Money in' }).first().click();
		await page.waitForURL(`${home}/money-in`);
		// Today's bank files come in by themselves.
		await expect(async () => {
			await page.reload();
			await expect(page.locator('[data-receipt]').first()).toBeVisible({ timeout: 1_000 });
		}).toPass({ timeout: 30_000 });
		// Something is done in them, by a form and by what the page fetches.
		await page.getByRole('navigation').getByRole('link', { name: 'Customers' }).click();
		await page.getByRole('link', { name: 'New customer' }).click();
		await page.getByLabel('Name', { exact: true }).fill('Corncrake Crafts');
		await page.getByRole('button', { name: 'Open the account' }).click();
		await expect(page.getByRole('heading', { level: 1 })).toContainText('Corncrake Crafts');
		// Another browser is not in them, and neither is the firm's own folder.
		const elsewhere = await requests.newContext();
		expect((await elsewhere.get(`${home}/`)).url()).toContain('/first-start');
		await elsewhere.dispose();
		await page.getByRole('link', { name: 'Demo: leave' }).click();
		await page.waitForURL(`${home}/first-start`);
		for (const [name, value] of Object.entries(person)) await page.fill(`[name=${name}]`, value);
		await page.fill('input[name=code]', codeIn(log()));
		await page.getByRole('button', { name: 'Open the books' }).click();
		await page.waitForURL(`${home}/setting-up`);
		await page.goto(`${home}/customers`);
		await expect(page.getByText('Corncrake Crafts')).toHaveCount(0);
		// From then on there are none here.
		const late = await page.request.post(`${home}/first-start/demo-books`, { headers: { origin: home } });
		expect(late.status()).toBe(404);
	} finally {
		server.kill('SIGTERM');
		rmSync(folder, { recursive: true, force: true });
	}
});

test('the first start asks for the first supervisor, and then never again', async ({ page }) => {
	const { server, folder, port, log } = await start();
	const home = `http://127.0.0.1:${port}`;
	try {
		await page.goto(`${home}/money-in`);
		expect(page.url()).toContain('/first-start');
		for (const [name, value] of Object.entries(person)) await page.fill(`[name=${name}]`, value);
		await page.fill('input[name=again]', 'salt glaze at down');
		// Who cannot see the console of the server cannot open its books.
		await page.fill('input[name=code]', 'ABCD-EFGH-JKLM-NPQR');
		await page.getByRole('button', { name: 'Open the books' }).click();
		await expect(page.getByText('That is not the code')).toBeVisible();
		await expect(page.locator('input[name=firm]')).toHaveValue(person.firm);
		await page.fill('input[name=code]', codeIn(log()));
		await page.getByRole('button', { name: 'Open the books' }).click();
		await expect(page.getByText('The two passwords differ. Type it again.')).toBeVisible();
		await page.reload();
		await expect(page.locator('input[name=number]')).toHaveValue(person.number);
		await expect(page.locator('input[name=password]')).toHaveValue('');
		await page.fill('input[name=code]', codeIn(log()));
		await page.fill('input[name=password]', person.password);
		await page.fill('input[name=again]', person.password);
		await page.getByRole('button', { name: 'Open the books' }).click();
		await page.waitForURL(`${home}/setting-up`);
		await page.getByRole('navigation').getByRole('link', { name: 'Today' }).click();
		await expect(page.locator('h1')).toHaveText('All receipts are allocated.');
		await expect(page.getByText('2 of 10 steps are done. Next: people.')).toBeVisible();
		await page.goto(`${home}/books`);
		await expect(page.getByText('The books prove.')).toBeVisible();
		// The bank names by its IBAN what was typed as sort code and number.
		const xml = (iban: string) =>
			`<Document xmlns="urn:iso:std:iso:20022:tech:xsd:camt.053.001.08"><BkToCstmrStmt><Stmt><Id>S1</Id><Acct><Id><IBAN>${iban}</IBAN></Id><Ccy>GBP</Ccy></Acct><Ntry><Amt Ccy="GBP">10.00</Amt><CdtDbtInd>CRDT</CdtDbtInd><Sts><Cd>BOOK</Cd></Sts><BookgDt><Dt>2026-10-28</Dt></BookgDt></Ntry></Stmt></BkToCstmrStmt></Document>`;
		writeFileSync(join(folder, 'inbox/mine.xml'), xml('GB12ZZAM20145300000001'));
		await expect(async () => {
			await page.goto(`${home}/money-in`);
			await expect(page.locator('[data-receipt]')).toHaveCount(1, { timeout: 1000 });
		}).toPass({ timeout: 20_000 });
		await page.context().clearCookies();
		await page.goto(`${home}/first-start`);
		expect(page.url()).toContain('/sign-in');
		const again = await page.request.post(`${home}/first-start`, {
			form: person,
			headers: { origin: `${home}`, accept: 'application/json' }
		});
		expect(((await again.json()) as { status: number }).status).toBe(403);
		await page.fill('input[name=email]', person.email);
		await page.fill('input[name=password]', 'salt glaze at dusk');
		await page.getByRole('button', { name: 'Sign in' }).click();
		await expect(page.getByText('do not go together')).toBeVisible();
		// The only supervisor forgot it: who runs the server makes a code, beside the server that runs.
		const tool = spawnSync(process.execPath, [resolve('build/tools/sign-in-code.js'), person.email], {
			env: {
				...{ ...process.env, DATA_DIR: folder, ODD_PENNY_ROOT: resolve('.') },
				...{ NODE_ENV: 'production', LOG_LEVEL: 'silent' }
			},
			encoding: 'utf8'
		});
		await page.goto(`${home}/set-password`);
		await page.fill('input[name=email]', person.email);
		await page.fill('input[name=code]', /code is ([0-9A-Z-]{19})/.exec(tool.stdout)![1]!);
		await page.fill('input[name=password]', 'ash glaze at noon');
		await page.getByRole('button', { name: 'Set it and sign in' }).click();
		await page.waitForURL(`${home}/`);
		const lines = log()
			.trim()
			.split('\n')
			.filter((line) => line.startsWith('{'));
		const what = lines.map((line) => (JSON.parse(line) as { what: string }).what);
		expect(new Set(what)).toEqual(new Set(['request', 'act', 'security']));
		expect(lines.join('\n')).toContain('"kind":"open-books"');
		expect(lines.join('\n')).not.toMatch(/Petra|Garrick|garrick-kilns|(salt|ash) glaze|ZZAM|201453|10\.00/);
	} finally {
		server.kill('SIGINT');
	}
});

test('behind TLS the session cookie is secure, and other sites still cannot post', async () => {
	const { server, port, log } = await start({
		PUBLIC_URL: 'https://books.garrick-kilns.example',
		TRUST_PROXY: '1'
	});
	try {
		const client = await requests.newContext({
			baseURL: `http://127.0.0.1:${port}`,
			extraHTTPHeaders: { 'x-forwarded-proto': 'https', 'x-forwarded-for': '10.0.0.9' }
		});
		const foreign = await client.post('/first-start', {
			form: person,
			headers: { origin: `http://127.0.0.1:${port}` },
			maxRedirects: 0
		});
		expect(foreign.status()).toBe(403);
		const made = await client.post('/first-start', {
			form: { ...person, code: codeIn(log()) },
			headers: { origin: `https://127.0.0.1:${port}`, accept: 'text/html' },
			maxRedirects: 0
		});
		expect(made.status()).toBe(303);
		expect(made.headers()['set-cookie']).toMatch(/__Host-odd-penny\.session_token=.*HttpOnly.*Secure/i);
		await client.dispose();
	} finally {
		server.kill('SIGINT');
	}
});

test('a setting that cannot be used is one clear sentence, and nothing starts', () => {
	const env = {
		...process.env,
		DATA_DIR: mkdtempSync(join(tmpdir(), 'odd-penny-none-')),
		ODD_PENNY_ROOT: resolve('.')
	};
	const run = (over: Record<string, string>) =>
		spawnSync(process.execPath, [resolve('build/tools/serve.js')], {
			env: { ...env, ...over },
			encoding: 'utf8'
		});
	const port = run({ PORT: 'eighty' });
	expect([port.status, port.stdout, port.stderr.trim()]).toEqual([
		1,
		'',
		'PORT is “eighty”, which cannot be used: give a whole number from 0 to 65535, such as 3000.'
	]);
	expect(run({ PORT: '4183', SMTP_URL: 'mail.firm.example' }).stderr).toMatch(/^SMTP_URL cannot be used: /);
	expect(run({ PORT: '4183', DATABASE_URL: 'postgres://books' }).stderr).toMatch(
		/^DATABASE_URL cannot be used: /
	);
});

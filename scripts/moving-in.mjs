import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { root } from './ready.mjs';

const PORT = 4556;
const CUSTOMERS = `Kundennummer;Firma;Anschrift;E-Mail;Zahlungsziel
K7;Töpferei Linde;Am Brennofen 4, Lehmwiesen;linde@lehm.example;30 Tage
K8;Tonwerk Au;Uferweg 1, Lehmwiesen;au@lehm.example;14 Tage
K9;Kachelhof Sand;Sandgasse 9, Lehmwiesen;;30 Tage
`;
const ITEMS = `Kunde;Rg.-Nr.;Rechnungsdatum;Fällig am;Rechnungsbetrag;Offen
K7;LW-4711;01.10.2026;31.10.2026;1.200,00;1.200,00
K8;LW-4713;03.10.2026;17.10.2026;80,00;79,50
K9;LW-4714;31.10.2026;30.11.2026;1.044,60;1.044,60
`;

/** Takes the picture of a firm that moves in: books of its own in an empty folder, half set up. */
export async function movingIn(page, shot) {
	const folder = mkdtempSync(join(tmpdir(), 'odd-penny-moving-in-'));
	let logged = '';
	const server = spawn(process.execPath, [join(root, 'build/tools/serve.js')], {
		env: {
			...process.env,
			...{ DATA_DIR: folder, PORT: String(PORT), HOST: '127.0.0.1', ODD_PENNY_ROOT: root },
			...{ NODE_ENV: 'production', LOG_LEVEL: 'info' }
		},
		stdio: ['ignore', 'pipe', 'inherit']
	});
	server.stdout.on('data', (part) => (logged += part));
	const base = `http://127.0.0.1:${PORT}`;
	const give = (name, text) =>
		page
			.getByLabel(/^A spreadsheet \(XLSX\) or CSV file/)
			.setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
	const press = (name) => page.getByRole('button', { name }).click();
	try {
		const up = () =>
			fetch(`${base}/health`).then(
				(one) => one.ok,
				() => false
			);
		for (let n = 0; n < 300 && !(await up()); n++) await new Promise((resolve) => setTimeout(resolve, 100));
		await page.goto(`${base}/`);
		const typed = {
			...{ code: /code: ([0-9A-Z-]{19})/.exec(logged)[1], firm: 'Garrick Kilns Ltd' },
			...{ address: 'Mill Lane\nGarrick', bank: 'Mere & Marches Bank', number: '20-14-53 0000 0001' },
			...{ name: 'Petra Voss', email: 'petra@garrick-kilns.example' },
			...{ password: 'salt glaze at dawn', again: 'salt glaze at dawn' }
		};
		for (const [name, text] of Object.entries(typed)) await page.fill(`[name=${name}]`, text);
		await press('Open the books');
		await page.waitForURL('**/setting-up');
		await page.getByRole('link', { name: 'Bring in customers' }).click();
		await give('kunden.csv', CUSTOMERS);
		await press('Add 3 customers');
		await page.getByText('Added 3 customers').waitFor();
		await page.goto(`${base}/setting-up`);
		await page.getByRole('link', { name: 'Bring in open items' }).click();
		await page.getByLabel('Open at the end of').fill('31/10/2026');
		await page.getByLabel(/^Balance of the control account/).fill('2,324.10');
		await page.keyboard.press('Tab');
		await give('offene-posten.csv', ITEMS);
		await press('Add 3 documents');
		await page.getByText('Added 3 documents').waitFor();
		await page.goto(`${base}/setting-up`);
		await page.waitForLoadState('networkidle');
		await shot('setting-up');
	} finally {
		server.kill('SIGINT');
		rmSync(folder, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 });
	}
}

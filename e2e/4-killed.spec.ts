import { execFile, execFileSync, spawn } from 'node:child_process';
import { copyFileSync, cpSync, mkdtempSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { expect, test } from '@playwright/test';
import { todaysFiles } from './helpers';
import { freePort, startServer } from '../attack/start-server';
import { MADE } from './own-books';

const tool = (name: string) => resolve(`build/tools/${name}.js`);
const env = (folder: string) => ({
	...process.env,
	DATA_DIR: resolve(folder),
	ODD_PENNY_ROOT: resolve('.'),
	NODE_ENV: 'production'
});
/** The proof's exit code is 0 or this throws. */
const prove = (folder: string) =>
	execFileSync(process.execPath, [tool('prove')], { env: env(folder), encoding: 'utf8' });

/** Starts a tool and ends it the hard way after some milliseconds. */
function kill(name: string, args: string[], folder: string, after: number): Promise<void> {
	return new Promise((done) => {
		const child = spawn(process.execPath, [tool(name), ...args], { env: env(folder), stdio: 'ignore' });
		const timer = setTimeout(() => child.kill('SIGKILL'), after);
		child.on('close', () => (clearTimeout(timer), done()));
	});
}

test('killed at any moment of making books, what is there proves', async () => {
	for (const after of [900, 1400, 2100, 2900]) {
		const folder = mkdtempSync(join(tmpdir(), 'odd-penny-killed-'));
		await kill('demo', ['--books-only'], folder, after);
		expect(prove(folder)).toContain('The books prove.');
	}
});

test('killed at any moment of an import, the file is in whole or not at all', async () => {
	const source = MADE.fresh;
	const receipts = (text: string) => Number(/(\d+) receipts/.exec(text)![1]);
	const before = receipts(prove(source));
	const counts = new Set<number>();
	for (const after of [250, 350, 450, 550, 700, 5000]) {
		const folder = mkdtempSync(join(tmpdir(), 'odd-penny-killed-'));
		cpSync(source, folder, { recursive: true });
		await kill('import', [resolve(todaysFiles[0]!)], folder, after);
		counts.add(receipts(prove(folder)) - before);
	}
	expect(counts.size).toBeLessThanOrEqual(2);
	expect([...counts].every((n) => n === 0 || n > 30)).toBe(true);
	expect(Math.max(...counts)).toBeGreaterThan(30);
});

test('several processes write to the same books at once, and each finds its own in them', async () => {
	const folder = mkdtempSync(join(tmpdir(), 'odd-penny-together-'));
	cpSync(MADE.fresh, folder, { recursive: true });
	const server = await startServer(await freePort(), folder);
	try {
		// The running application takes one file from its inbox while two tools bring in the others, and one of them again.
		const statement = (id: string) =>
			`<Document xmlns="urn:iso:std:iso:20022:tech:xsd:camt.053.001.08"><BkToCstmrStmt><Stmt><Id>${id}</Id><Acct><Id><IBAN>GB89ZZAM30990114402817</IBAN></Id><Ccy>GBP</Ccy></Acct>${Array.from(
				{ length: 400 },
				(_, n) =>
					`<Ntry><NtryRef>${id}-${n}</NtryRef><Amt Ccy="GBP">${n + 1}.00</Amt><CdtDbtInd>CRDT</CdtDbtInd><Sts><Cd>BOOK</Cd></Sts><BookgDt><Dt>2026-10-29</Dt></BookgDt><AcctSvcrRef>${id}-${n}</AcctSvcrRef></Ntry>`
			).join('')}</Stmt></BkToCstmrStmt></Document>`;
		const files = ['T1', 'T2', 'T3'].map((id) => {
			const path = join(folder, `${id}.xml`);
			writeFileSync(path, statement(id));
			return path;
		});
		copyFileSync(files[2]!, join(folder, 'inbox/T3.xml'));
		const tools = [files[0]!, files[1]!, files[0]!].map(
			(file) =>
				new Promise<string>((done, failed) =>
					execFile(process.execPath, [tool('import'), file], { env: env(folder) }, (error, out) =>
						error ? failed(error) : done(out)
					)
				)
		);
		const said = await Promise.all(tools);
		expect(said.filter((line) => line.includes('400 new entries'))).toHaveLength(2);
		await expect
			.poll(() => readdirSync(join(folder, 'inbox/done')).filter((name) => name.endsWith('T3.xml')).length, {
				timeout: 20_000
			})
			.toBe(1);
	} finally {
		server.kill('SIGKILL');
	}
	const before = Number(/(\d+) receipts/.exec(prove(MADE.fresh))![1]);
	const proof = prove(folder);
	expect(proof).toContain('The books prove.');
	expect(Number(/(\d+) receipts/.exec(proof)![1])).toBe(before + 1200);
});

import { mkdtempSync, readdirSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, expect, it } from 'vitest';
import type { Books } from '../platform/db/open';
import { startStandIn, type StandIn } from '../platform/mail/stand-in';
import { codesOf, letIn, READER, testBooks } from '../testing';
import { sendTestMail } from './test-mail';

let books: Books;
let mail: StandIn;
let folder: string;
beforeEach(async () => {
	books = await testBooks();
	folder = mkdtempSync(join(tmpdir(), 'odd-penny-mail-'));
	mail = await startStandIn(folder);
});
afterEach(async () => {
	await mail.close();
	await books.close();
});
const app = (url = mail.url) =>
	({ books, postOffice: { route: async () => ({ server: url, signing: null }) } }) as Parameters<
		typeof sendTestMail
	>[0];

it('goes to the person’s own address, from the firm’s, once the mail server has taken it', async () => {
	const hollis = await letIn(books, 'Hollis', 'supervisor');
	expect(await sendTestMail(app(), hollis)).toEqual({ ok: true, value: { email: 'hollis@firm.example' } });
	const came = readdirSync(folder).map((file) => readFileSync(join(folder, file), 'utf8'));
	expect(came).toHaveLength(1);
	expect(came[0]).toMatch(/^From: .*accounts@ashlock-kiln\.example/m);
	expect(came[0]).toMatch(/^To: .*hollis@firm\.example/m);
	expect(came[0]).toContain('This is a test.');
});

it('says what the mail server answered where it did not take it, and refuses who is nobody here', async () => {
	const hollis = await letIn(books, 'Hollis', 'supervisor');
	const refused = await sendTestMail(app('smtp://127.0.0.1:1'), hollis);
	expect(codesOf(refused)).toEqual(['mail-refused']);
	expect(refused).toMatchObject({ problems: [{ why: expect.stringContaining('ECONNREFUSED') as string }] });
	expect(codesOf(await sendTestMail(app(), READER))).toEqual(['not-found']);
});

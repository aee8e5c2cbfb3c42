import { mkdtempSync, readdirSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import type { Person } from '../act/person';
import type { App } from '../app';
import { codeText } from '../people/code-text';
import { makeSignInCode } from '../people/commands/make-sign-in-code';
import { personOfCode } from '../people/use-code';
import type { Books } from '../platform/db/open';
import { act, signInCode } from '../platform/db/schema';
import { startStandIn, type StandIn } from '../platform/mail/stand-in';
import { as, done, letIn, proves, testBooks } from '../testing';
import { sendCode } from './send-code';

const SECRET = 'a secret of forty characters or so, no more';
const ADDRESS = 'wren@firm.example';
let books: Books;
let mail: StandIn;
let folder: string;
let wren: Person;
let app: App;
beforeEach(async () => {
	books = await testBooks();
	folder = mkdtempSync(join(tmpdir(), 'odd-penny-mail-'));
	mail = await startStandIn(folder);
	wren = await letIn(books, 'Wren', 'clerk', 'x');
	app = {
		books,
		postOffice: { route: async () => ({ server: mail.url, signing: null, isStandIn: true }) },
		context: async (who: Person) => as(who),
		codeText: (purpose, code) => codeText(SECRET, purpose, code)
	} as App;
});
afterEach(async () => {
	await mail.close();
	await books.close();
});
const came = () => readdirSync(folder).map((file) => readFileSync(join(folder, file), 'utf8'));
const send = (email: string) => sendCode(app, email, { publicUrl: 'https://books.firm.example' });

it('a code goes to who signs in there, with a link to the address that was set; it is good for half an hour, and once', async () => {
	await send(ADDRESS);
	await vi.waitFor(() => expect(came()).toHaveLength(1));
	// A line may be broken where it is long (RFC 2045, 6.7).
	const text = came()[0]!.replace(/=\r\n/g, '').replaceAll('=3D', '=');
	const code = /([2-9A-Z]{4}-){3}[2-9A-Z]{4}/.exec(text)![0];
	expect(text).toContain(`https://books.firm.example/set-password?email=wren%40firm.example#${code}`);
	const at = (minutes: number) =>
		personOfCode(app, ADDRESS, code, new Date(Date.parse(as(wren).now()) + minutes * 60_000));
	expect([(await at(29))?.person.name, await at(31)]).toEqual(['Wren', null]);
	await proves(books);
});

it('nobody is told by how the application answers whether somebody signs in there', async () => {
	await send('nobody@firm.example');
	expect(came()).toEqual([]);
	expect((await books.db.select().from(act)).some(({ kind }) => kind === 'send-sign-in-code')).toBe(false);
});

it('what a supervisor made stays good; what was mailed before does not; three in an hour are enough', async () => {
	const only = await letIn(books, 'Hollis', 'supervisor', 'y');
	const made = await done(books, makeSignInCode, { id: wren.id }, only);
	const handed = app.codeText('sign-in code', { id: 'codeId' in made ? made.codeId : 0, userId: wren.id });
	for (let n = 0; n < 5; n++) await send(ADDRESS);
	const rows = await books.db.select().from(signInCode);
	expect(rows.map(({ mailed, endedAt }) => [mailed, endedAt === null])).toEqual([
		...[
			[false, true],
			[true, false],
			[true, false],
			[true, true]
		]
	]);
	expect(await personOfCode(app, ADDRESS, handed, new Date(as(wren).now()))).not.toBe(null);
	await proves(books);
});

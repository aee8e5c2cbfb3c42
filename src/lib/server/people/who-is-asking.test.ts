import { createHmac } from 'node:crypto';
import { beforeEach, describe, expect, it, test } from 'vitest';
import type { Books } from '../platform/db/open';
import { hashPassword } from 'better-auth/crypto';
import { APPLICATION } from '../act/person';
import { session } from '../platform/db/schema';
import { done, testBooks } from '../testing';
import { CLIENT_HEADER, openAuth, type Auth } from './auth';
import { addPersonWithPassword, changeRole } from './commands/people';
import { whoIsAsking } from './who-is-asking';

const SECRET = 'a secret of forty characters or so, no more';
const HOME = 'http://127.0.0.1';
let books: Books;
let auth: Auth;
let id: string;
/** Attempts are counted by address: each test comes from another one. */
let from: string;
let tests = 0;
beforeEach(async () => {
	books = await testBooks();
	from = `192.0.2.${++tests}`;
	const passwordHash = await hashPassword('salt glaze at dawn');
	const letIn = (name: string, email: string, role: 'clerk' | 'supervisor') =>
		done(books, addPersonWithPassword, { name, email, role, passwordHash }, APPLICATION);
	({ id } = await letIn('Wren', 'wren@firm.example', 'clerk'));
	await letIn('Hollis', 'hollis@firm.example', 'supervisor');
	auth = openAuth(books, SECRET, false);
});

const ask = (path: string, body: object, cookie = '') =>
	auth.handler(
		new Request(`${HOME}/api/auth${path}`, {
			method: 'POST',
			headers: { 'content-type': 'application/json', origin: HOME, cookie, [CLIENT_HEADER]: from },
			body: JSON.stringify(body)
		})
	);
/** The cookie that a sign-in gives. */
async function signedIn(): Promise<string> {
	const answer = await ask('/sign-in/email', { email: 'wren@firm.example', password: 'salt glaze at dawn' });
	return answer.headers
		.getSetCookie()
		.map((one) => one.split(';')[0])
		.join('; ');
}
const who = (cookie: string, now?: Date) => whoIsAsking(auth, new Headers({ cookie }), now);

describe('who is asking', () => {
	it('is the person who signed in, with the role that they have now', async () => {
		const cookie = await signedIn();
		expect((await who(cookie))?.who).toEqual({ id, name: 'Wren', role: 'clerk' });
		await done(books, changeRole, { id, role: 'reader' }, APPLICATION);
		expect((await who(cookie))?.who).toEqual({ id, name: 'Wren', role: 'reader' });
	});

	it('is nobody once the session ran out', async () => {
		const cookie = await signedIn();
		const hours = (n: number) => new Date(Date.now() + n * 3_600_000);
		expect(await who(cookie, hours(11))).not.toBeNull();
		expect(await who(cookie, hours(13))).toBeNull();
	});

	it('is nobody after signing out, or once shut out', async () => {
		const [first, second] = [await signedIn(), await signedIn()];
		await ask('/sign-out', {}, first);
		expect(await who(first)).toBeNull();
		expect(await who(second)).not.toBeNull();
		await done(books, changeRole, { id, role: 'none' }, APPLICATION);
		expect(await who(second)).toBeNull();
	});

	test.each([
		'',
		'odd-penny.session_token=',
		'odd-penny.session_token=made-up.signature',
		"odd-penny.session_token=' or 1=1 --",
		'another=cookie',
		'odd-penny.session_token=%ZZ'
	])('is nobody with the cookie “%s”', async (cookie) => expect(await who(cookie)).toBeNull());

	it('is nobody with a token that this application did not sign, though somebody knows it', async () => {
		const cookie = await signedIn();
		const [name, value] = cookie.split('=') as [string, string];
		const token = decodeURIComponent(value).split('.')[0]!;
		expect(await who(cookie)).not.toBeNull();
		for (const forged of [token, `${token}.`, `${token}.AAAA`, `${token}.${'A'.repeat(43)}=`])
			expect(await who(`${name}=${encodeURIComponent(forged)}`)).toBeNull();
		const elsewhere = openAuth(books, 'the secret of another application, not ours', false);
		expect(await whoIsAsking(elsewhere, new Headers({ cookie }))).toBeNull();
	});

	it('is nobody with what the books keep of a session: its token lies there as a hash', async () => {
		const cookie = await signedIn();
		const [kept] = await books.db.select().from(session);
		const [name, value] = cookie.split('=') as [string, string];
		const [token] = decodeURIComponent(value).split('.') as [string];
		expect(kept!.token).not.toContain(token);
		expect(kept!.token).toHaveLength(43);
		const signature = createHmac('sha256', SECRET).update(kept!.token).digest('base64');
		expect(await who(`${name}=${encodeURIComponent(`${kept!.token}.${signature}`)}`)).toBeNull();
		// The same way of signing, over the token itself, is what a cookie has.
		const own = createHmac('sha256', SECRET).update(token).digest('base64');
		expect((await who(`${name}=${encodeURIComponent(`${token}.${own}`)}`))?.sessionId).toBe(kept!.id);
	});

	it('keeps nobody waiting while a password is worked out: no turn to write is held for it', async () => {
		const signing = Array.from({ length: 4 }, () =>
			ask('/sign-in/email', { email: 'wren@firm.example', password: 'wrong but long' })
		);
		let ended = 0;
		for (const one of signing) void one.then(() => ended++);
		await books.write(async () => undefined);
		expect(ended).toBe(0);
		await Promise.all(signing);
	});

	it('is nobody with a wrong password, and nobody signs up', async () => {
		const wrong = await ask('/sign-in/email', { email: 'wren@firm.example', password: 'salt glaze at dusk' });
		expect([wrong.status, wrong.headers.getSetCookie()]).toEqual([401, []]);
		const up = await ask('/sign-up/email', {
			email: 'x@firm.example',
			password: 'salt glaze at dawn',
			name: 'X'
		});
		expect(up.ok).toBe(false);
	});
});

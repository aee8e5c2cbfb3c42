import { eq } from 'drizzle-orm';
import { hashPassword } from 'better-auth/crypto';
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, test } from 'vitest';
import { perform } from '../act/perform';
import { APPLICATION, type Person } from '../act/person';
import type { App } from '../app';
import type { Books } from '../platform/db/open';
import { credential, session, signInCode } from '../platform/db/schema';
import { as, done, letIn, proves, testBooks, TODAY } from '../testing';
import { passwordFault } from './check-password';
import { endSessions } from './end-sessions';
import { makeSignInCode } from './commands/make-sign-in-code';
import { addPerson, changeRole } from './commands/people';
import { setOwnPassword } from './commands/set-own-password';
import { passwordFits } from './password-fits';
import { lookAtOwnSessions } from './queries/own-sessions';
import { codeText, isCode } from './code-text';
import { personOfCode } from './use-code';

const PASSWORD = 'salt glaze at dawn';
let books: Books;
let hash: string;
beforeEach(async () => {
	books = await testBooks();
	hash ??= await hashPassword(PASSWORD);
});
afterEach(() => books.close());

const codesOf = (result: Awaited<ReturnType<typeof perform>>) =>
	result.ok ? [] : result.problems.map(({ code }) => code);
const newcomer = { name: 'Ada', email: 'ada@firm.example', role: 'clerk' as const };

describe('a code', () => {
	const secret = 'a secret of forty characters or so, no more';
	const app = () => ({ books, codeText: (purpose, code) => codeText(secret, purpose, code) }) as App;
	const find = (typed: string, at = new Date('2026-10-30T11:00:00Z')) =>
		personOfCode(app(), newcomer.email, typed, at);
	const codes = () => books.db.select().from(signInCode);
	const textOf = async (i: number) => codeText(secret, 'sign-in code', (await codes())[i]!);

	it('lets a person set a password, once, within a week; it is kept nowhere', async () => {
		const only = await letIn(books, 'Hollis', 'supervisor', hash);
		const added = await done(books, addPerson, newcomer, only);
		const text = await textOf(0);
		expect(text).toMatch(/^([2-9A-HJ-NP-Z]{4}-){3}[2-9A-HJ-NP-Z]{4}$/);
		expect(await find(text.toLowerCase().replaceAll('-', ' '))).toMatchObject({ person: { name: 'Ada' } });
		expect(await find(`${text}2`)).toBeNull();
		expect(await find('')).toBeNull();
		expect(await find(text, new Date('2026-11-06T10:00:01Z'))).toBeNull();
		const { person, codeId } = (await find(text))!;
		const who = { id: person.id, name: person.name, role: person.role };
		expect('id' in added && added.id).toBe(who.id);
		expect(await passwordFits(books.db, newcomer.email, PASSWORD)).toBeNull();
		await done(books, setOwnPassword, { hash, by: { codeId } }, who);
		expect(await passwordFits(books.db, newcomer.email, PASSWORD)).toMatchObject({ id: who.id });
		expect(await passwordFits(books.db, newcomer.email, 'another one of it')).toBeNull();
		expect(await find(text)).toBeNull();
		// Two at once with the same code: who comes second is refused.
		expect(codesOf(await perform(books, setOwnPassword, { hash, by: { codeId } }, as(who)))).toEqual([
			'field'
		]);
		await proves(books);
	});

	it('is good no longer once another is made, or the person is shut out', async () => {
		const only = await letIn(books, 'Hollis', 'supervisor', hash);
		const added = await done(books, addPerson, newcomer, only);
		const id = 'id' in added ? added.id : '';
		await done(books, makeSignInCode, { id }, only);
		expect(await find(await textOf(0))).toBeNull();
		expect(await find(await textOf(1))).not.toBeNull();
		await done(books, changeRole, { id, role: 'none' }, only);
		expect(await find(await textOf(1))).toBeNull();
		expect(codesOf(await perform(books, makeSignInCode, { id }, as(only)))).toEqual(['not-found']);
	});

	it('differs by secret, number and person', () => {
		const text = codeText(secret, 'sign-in code', { id: 1, userId: 'u1' });
		expect(isCode(text, text)).toBe(true);
		const others = [
			codeText(`${secret}.`, 'sign-in code', { id: 1, userId: 'u1' }),
			codeText(secret, 'sign-in code', { id: 2, userId: 'u1' }),
			codeText(secret, 'sign-in code', { id: 1, userId: 'u2' })
		];
		for (const other of others) expect(isCode(other, text)).toBe(false);
	});
});

describe('a password', () => {
	const own = ['Wren Tolliver', 'wren@ashlock-kiln.example', 'Ashlock Kiln & Clay Ltd'];
	test.each([
		['eleven chars', 'elevenchars', /12 characters/],
		['too long', 'x'.repeat(129), /128 characters at most/],
		['one character again and again', 'aaaaaaaaaaaaaaaa', /repeats/],
		['a common one', 'qwertyuiop123', /tried first/],
		['a common one with a tail', 'Password2026!!', /tried first/],
		['a common one twice', 'sunshinesunshine', /tried first/],
		['a common one with figures before', '2026password', /tried first/],
		['the name', 'WrenTolliver1', /your own name/],
		['the firm', 'ashlock-kiln-1', /your own name/]
	])('is refused: %s', (_, password, want) => expect(passwordFault(password, own)).toMatch(want));
	test.each([
		'salt glaze at dawn',
		'correct kiln tolliver staple',
		'ЁжикВТумане-2026',
		'🦉🦉🦊🦊🐝🐝🐢🐢🦔🦔🐌🐌'
	])('is taken: %s', (password) => expect(passwordFault(password, own)).toBeNull());
	it('whatever it is, the answer comes, and twelve to 128 that nobody tries are taken', () => {
		fc.assert(
			fc.property(fc.string({ unit: 'grapheme', maxLength: 200 }), (password) => {
				const fault = passwordFault(password, own);
				const length = [...password].length;
				if (length < 12 || length > 128) expect(fault).not.toBeNull();
			})
		);
	});

	it('takes as long where nobody has the address, and nobody fits it', async () => {
		expect(await passwordFits(books.db, 'nobody@firm.example', 'nobody has this one')).toBeNull();
		const shut = await letIn(books, 'Wren', 'clerk', hash);
		await done(books, changeRole, { id: shut.id, role: 'none' }, APPLICATION);
		expect(await passwordFits(books.db, 'wren@firm.example', PASSWORD)).toBeNull();
	});

	it('set anew ends all sessions, and no other person’s', async () => {
		const [wren, hollis] = [
			await letIn(books, 'Wren', 'clerk', hash),
			await letIn(books, 'Hollis', 'supervisor', hash)
		];
		const at = new Date('2026-10-30T10:00:00Z');
		const made = (id: string, userId: string) => ({
			...{ id, token: id, userId, createdAt: at, updatedAt: at, expiresAt: new Date('2026-10-30T20:00:00Z') }
		});
		await books.db.insert(session).values([made('a', wren.id), made('b', wren.id), made('c', hollis.id)]);
		const seen = async (who: Person) =>
			(await lookAtOwnSessions(books.db, at, { who, today: TODAY })).sessions.map(({ id }) => id).sort();
		await endSessions(books, hollis.id, { id: 'a' });
		expect(await seen(wren)).toEqual(['a', 'b']);
		await endSessions(books, wren.id, { allBut: 'a' });
		expect(await seen(wren)).toEqual(['a']);
		await done(books, setOwnPassword, { hash, by: 'password' }, wren);
		expect([await seen(wren), await seen(hollis)]).toEqual([[], ['c']]);
		expect(await books.db.$count(credential, eq(credential.userId, wren.id))).toBe(1);
		await proves(books);
	});
});

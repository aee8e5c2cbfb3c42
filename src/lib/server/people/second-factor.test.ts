import type { RequestEvent } from '@sveltejs/kit';
import { eq } from 'drizzle-orm';
import { hashPassword } from 'better-auth/crypto';
import { createOTP } from '@better-auth/utils/otp';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { perform } from '../act/perform';
import type { Person } from '../act/person';
import type { App } from '../app';
import { lookAtApprovals } from '../approvals/queries/approvals';
import { answerApproval } from '../approvals/commands/answer-approval';
import type { Books } from '../platform/db/open';
import { secondFactor, session } from '../platform/db/schema';
import { as, done, letIn, proves, testBooks, TODAY } from '../testing';
import { appKey } from './app-codes';
import { Attempts } from './attempts';
import { Challenges } from './challenges';
import { codeText } from './code-text';
import { demandSecondFactor } from './commands/demand-second-factor';
import { addSecondFactor, remakeRecoveryCodes, removeSecondFactor } from './commands/second-factors';
import { takeOffSecondFactors } from './commands/take-off-second-factors';
import { passkeysWork } from './passkeys';
import { showSecondFactor } from './show-second-factor';
import { goodRecoveryCodes } from './store/recovery-codes';
import { signInStage } from './store/sign-in-stage';

const SECRET = 'a secret of forty characters or so, no more';
let books: Books;
let wren: Person;
beforeEach(async () => {
	books = await testBooks();
	wren = await letIn(books, 'Wren', 'clerk', await hashPassword('salt glaze at dawn'));
	for (const id of ['s1', 's2']) await openSession(id, wren);
});
afterEach(() => books.close());

async function openSession(id: string, who: Person): Promise<void> {
	const at = new Date();
	const expiresAt = new Date(at.getTime() + 1e7);
	const row = { id, token: id, userId: who.id, expiresAt, createdAt: at, updatedAt: at };
	await books.write((tx) => tx.insert(session).values(row));
}

const app = {
	get books() {
		return books;
	},
	attempts: new Attempts(),
	challenges: new Challenges(),
	codeText: (purpose, code) => codeText(SECRET, purpose, code),
	appKey: (userId, mark) => appKey(SECRET, userId, mark),
	context: async (who: Person) => as(who)
} as App;
const event = (sessionId: string) =>
	({
		locals: { app, sessionId },
		url: new URL('https://books.firm.example/sign-in/second-step'),
		getClientAddress: () => `origin of ${sessionId} ${wren.id}`
	}) as unknown as RequestEvent;
const stage = (sessionId: string, who = wren) =>
	signInStage(books.db, { userId: who.id, role: who.role, sessionId });
const show = (sessionId: string, code: string, who = wren) =>
	showSecondFactor(event(sessionId), who, { code });
const codeNow = (mark: string) => createOTP(new Uint8Array(app.appKey(wren.id, mark))).totp();
const addApp = (mark: string, sessionId = 's1', counter = 0) =>
	done(
		books,
		addSecondFactor,
		{ kind: 'app', name: 'My phone', mark, counter, sessionId, publicKey: null, transports: null },
		wren
	);
const faultsOf = (result: Awaited<ReturnType<typeof perform>>) =>
	result.ok ? [] : result.problems.map(({ code }) => code);

it('who has none is in by the password; who added one goes on where they did so, and nowhere else without it', async () => {
	expect([await stage('s1'), await stage('s2')]).toEqual(['in', 'in']);
	await addApp('m1');
	expect([await stage('s1'), await stage('s2')]).toEqual(['in', 'second-factor']);
	expect(await show('s2', '000')).toContain('no code of now');
	expect(await stage('s2')).toBe('second-factor');
	expect(await show('s2', await codeNow('m1'))).toBe(null);
	expect(await stage('s2')).toBe('in');
	await proves(books);
});

it('a code is taken once, also of two at once', async () => {
	await addApp('m1');
	const code = await codeNow('m1');
	await openSession('s3', wren);
	const both = await Promise.all([show('s2', code), show('s3', code)]);
	expect(both.filter((why) => why === null)).toHaveLength(1);
	await openSession('s4', wren);
	expect(await show('s4', code)).toContain('used already');
	// Another person's app makes no codes for this one.
	expect(await show('s4', await createOTP(new Uint8Array(app.appKey('u9', 'm1'))).totp())).not.toBe(null);
});

it('recovery codes come with the first one, each is good once, and new ones end the old', async () => {
	await addApp('m1');
	await addApp('m2');
	const codes = await goodRecoveryCodes(books.db, wren.id);
	expect(codes).toHaveLength(10);
	const text = app.codeText('recovery code', codes[3]!);
	expect(text).not.toBe(app.codeText('sign-in code', codes[3]!));
	expect(await show('s2', text.toLowerCase())).toBe(null);
	expect(await stage('s2')).toBe('in');
	await openSession('s3', wren);
	expect(await show('s3', text)).not.toBe(null);
	expect(await goodRecoveryCodes(books.db, wren.id)).toHaveLength(9);
	await done(books, remakeRecoveryCodes, {}, wren);
	expect(await show('s3', app.codeText('recovery code', codes[4]!))).not.toBe(null);
	expect(
		await show('s3', app.codeText('recovery code', (await goodRecoveryCodes(books.db, wren.id))[0]!))
	).toBe(null);
	await proves(books);
});

it('who guesses is stopped after ten', async () => {
	await addApp('m1');
	for (let i = 0; i < 10; i++) expect(await show('s2', `00000${i}`)).toContain('no code of now');
	expect(await show('s2', await codeNow('m1'))).toContain('Too many attempts');
});

it('is taken off by who has it, but for the last one where the firm asks for it', async () => {
	const only = await letIn(books, 'Hollis', 'supervisor', 'x');
	await addApp('m1');
	await addApp('m2');
	const [one, two] = await books.db.select().from(secondFactor);
	await done(books, demandSecondFactor, { roles: ['clerk'] }, only);
	expect(faultsOf(await perform(books, removeSecondFactor, { factorId: one!.id }, as(only)))).toEqual([
		'not-found'
	]);
	await done(books, removeSecondFactor, { factorId: one!.id }, wren);
	expect(faultsOf(await perform(books, removeSecondFactor, { factorId: two!.id }, as(wren)))).toEqual([
		'field'
	]);
	await done(books, demandSecondFactor, { roles: [] }, only);
	await done(books, removeSecondFactor, { factorId: two!.id }, wren);
	expect([await stage('s2'), await goodRecoveryCodes(books.db, wren.id)]).toEqual(['in', []]);
	expect(faultsOf(await perform(books, remakeRecoveryCodes, {}, as(wren)))).toEqual(['field']);
	await proves(books);
});

it('where a role has to have one, who has none sets it up before anything else', async () => {
	const only = await letIn(books, 'Hollis', 'supervisor', 'x');
	await done(books, demandSecondFactor, { roles: ['supervisor', 'clerk'] }, only);
	await openSession('h1', only);
	expect([await stage('s1'), await stage('h1', only)]).toEqual(['set-up', 'set-up']);
	await addApp('m1');
	expect([await stage('s1'), await stage('s2')]).toEqual(['in', 'second-factor']);
});

it('a supervisor takes it off who lost it, where another one agrees; their sessions end', async () => {
	const [first, second] = [
		await letIn(books, 'Hollis', 'supervisor', 'x'),
		await letIn(books, 'Perrin', 'supervisor', 'y')
	];
	expect(faultsOf(await perform(books, takeOffSecondFactors, { id: wren.id }, as(first)))).toEqual([
		'not-found'
	]);
	await addApp('m1');
	await done(books, takeOffSecondFactors, { id: wren.id }, first);
	expect(await stage('s2')).toBe('second-factor');
	const { waiting } = await lookAtApprovals(books.db, null, { who: second, today: TODAY });
	await done(books, answerApproval, { asked: waiting[0]!.asked, answer: 'agree' }, second);
	expect(await books.db.$count(session, eq(session.userId, wren.id))).toBe(0);
	await openSession('s5', wren);
	expect(await stage('s5')).toBe('in');
	await proves(books);
});

it('a challenge is good once, and for five minutes', () => {
	const challenges = new Challenges();
	challenges.give('a', 'x', 0);
	challenges.give('b', 'y', 0);
	expect([challenges.take('a', 1), challenges.take('a', 2), challenges.take('b', 300_000)]).toEqual([
		'x',
		null,
		null
	]);
});

it.each([
	['https://books.firm.example/', true],
	['http://localhost:3000/', true],
	['http://books.firm.example/', false],
	['http://127.0.0.1:3000/', false],
	['https://[::1]/', false]
])('passkeys at %s: %s', (address, works) => expect(passkeysWork(new URL(address))).toBe(works));

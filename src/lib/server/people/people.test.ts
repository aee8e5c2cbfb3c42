import { eq, sql } from 'drizzle-orm';
import { hashPassword } from 'better-auth/crypto';
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, test } from 'vitest';
import { NO_LIMITS } from '../../core/4-allocation/over-limits';
import { perform } from '../act/perform';
import type { Act } from '../act/define-act';
import { APPLICATION, type Person } from '../act/person';
import type { App } from '../app';
import { answerApproval } from '../approvals/commands/answer-approval';
import { agreesToTwoPersonAct, lookAtApprovals } from '../approvals/queries/approvals';
import { addBankAccount } from '../firm/commands/add-bank-account';
import { setAuditor } from '../firm/commands/set-auditor';
import { setBankFiles } from '../firm/commands/set-bank-files';
import { setLimits } from '../firm/commands/set-limits';
import { lockPeriod, unlockPeriod } from '../periods/commands/lock-period';
import { readSetting } from '../firm/store/settings';
import type { Books } from '../platform/db/open';
import {
	approval,
	bankAccount,
	credential,
	securityEvent,
	session,
	signInCode,
	user
} from '../platform/db/schema';
import { as, CLERK, done, proves, testBooks, TODAY } from '../testing';
import { Attempts } from './attempts';
import { passwordFault } from './check-password';
import { Confirmations } from './confirmations';
import { noteEvent } from './note-event';
import { lookAtSecurityEvents } from './queries/security-events';
import { securityEventSentence } from '../../words';
import { endSessions } from './end-sessions';
import { IdleSessions } from './idle-sessions';
import { makeSignInCode } from './commands/make-sign-in-code';
import { addPerson, addPersonWithPassword, changeRole } from './commands/people';
import { setOwnPassword } from './commands/set-own-password';
import { passwordFits } from './password-fits';
import { lookAtOwnSessions } from './queries/own-sessions';
import { isSignInCode, signInCodeText } from './sign-in-code';
import { personOfCode } from './use-code';

const PASSWORD = 'salt glaze at dawn';
let books: Books;
let hash: string;
beforeEach(async () => {
	books = await testBooks();
	hash ??= await hashPassword(PASSWORD);
});
afterEach(() => books.close());

async function letIn(name: string, role: Person['role']): Promise<Person> {
	const email = `${name.toLowerCase()}@firm.example`;
	const { id } = await done(
		books,
		addPersonWithPassword,
		{ name, email, role, passwordHash: hash },
		APPLICATION
	);
	return { id, name, role };
}
const codesOf = (result: Awaited<ReturnType<typeof perform>>) =>
	result.ok ? [] : result.problems.map(({ code }) => code);
const waiting = async (who: Person) => (await lookAtApprovals(books.db, null, { who, today: TODAY })).waiting;

const account = {
	...{
		name: 'Dollars',
		number: 'GB12ZZAM00000001',
		bic: '',
		bankName: 'Mere',
		currency: 'USD',
		ledger: '1220'
	}
};
const newcomer = { name: 'Ada', email: 'ada@firm.example', role: 'clerk' as const };

describe('what takes two people', () => {
	const acts: [string, Act<never, never, never, unknown>, object, (db: Books['db']) => Promise<unknown>][] = [
		['an account of the firm', addBankAccount as never, account, (db) => db.$count(bankAccount)],
		['limits', setLimits as never, { ...NO_LIMITS, tolerance: 7 }, (db) => readSetting(db, 'limits')],
		['a new person', addPerson as never, newcomer, (db) => db.$count(user)],
		[
			'who may bring in bank files',
			setBankFiles as never,
			{ from: 'folder' },
			(db) => readSetting(db, 'bankFiles')
		],
		['the auditor', setAuditor as never, { email: 'a@audit.example' }, (db) => readSetting(db, 'auditor')]
	];
	test.each(acts)(
		'%s: it waits for another supervisor, and is as it was until then',
		async (_, act, input, look) => {
			const [first, second] = [await letIn('Hollis', 'supervisor'), await letIn('Perrin', 'supervisor')];
			const before = await look(books.db);
			const result = await perform(books, act, input as never, as(first));
			expect(result).toMatchObject({ ok: true, value: { asked: expect.any(Number) } });
			expect(await look(books.db)).toEqual(before);
			const [asked] = await waiting(second);
			expect(asked!).toMatchObject({ by: 'Hollis', over: [], shows: [] });
			const answer = (who: Person) =>
				perform(books, answerApproval, { asked: asked!.asked, answer: 'agree' }, as(who));
			expect(codesOf(await answer(first))).toEqual(['own-request']);
			expect(codesOf(await answer(CLERK))).toEqual(['not-allowed']);
			expect(codesOf(await answer(second))).toEqual([]);
			expect(await look(books.db)).not.toEqual(before);
			await proves(books);
		}
	);

	test.each(acts)(
		'%s: where there is one supervisor, it is done by that one alone',
		async (_, act, input, look) => {
			const only = await letIn('Hollis', 'supervisor');
			await letIn('Wren', 'clerk');
			// Somebody who has not set a password yet cannot agree to anything.
			await done(books, addPerson, { ...newcomer, email: 'b@firm.example', role: 'supervisor' }, APPLICATION);
			const before = await look(books.db);
			const result = await perform(books, act, input as never, as(only));
			expect(JSON.stringify(result)).not.toContain('asked');
			expect(await look(books.db)).not.toEqual(before);
		}
	);

	it('opening a period, shutting out, and a code, too; what is wrong is refused before anybody is asked', async () => {
		const [first, second] = [await letIn('Hollis', 'supervisor'), await letIn('Perrin', 'supervisor')];
		await done(books, lockPeriod, { through: TODAY, reason: '' }, first);
		await done(books, unlockPeriod, { from: TODAY, reason: 'late invoice' }, first);
		await done(books, changeRole, { id: second.id, role: 'none' }, first);
		await done(books, makeSignInCode, { id: second.id }, first);
		expect((await waiting(second)).map(({ about }) => about.code)).toEqual([
			...['unlock-period', 'change-role', 'make-sign-in-code']
		]);
		expect(await readSetting(books.db, 'lockedThrough')).toBe(TODAY);
		expect(codesOf(await perform(books, changeRole, { id: 'x', role: 'none' }, as(first)))).toEqual([
			'not-found'
		]);
		const taken = { ...newcomer, email: 'hollis@firm.example' };
		expect(codesOf(await perform(books, addPerson, taken, as(first)))).toEqual(['field']);
		expect(await books.db.$count(approval)).toBe(3);
	});

	it('agreeing to it takes the password, agreeing to a posting does not', async () => {
		const [first, second] = [await letIn('Hollis', 'supervisor'), await letIn('Perrin', 'supervisor')];
		await done(books, setAuditor, { email: '' }, first);
		const [asked] = await waiting(second);
		const takes = (given: unknown) => agreesToTwoPersonAct(books.db, given, { who: second, today: TODAY });
		expect(await takes({ asked: asked!.asked, answer: 'agree' })).toBe(true);
		expect(await takes({ asked: asked!.asked, answer: 'refuse' })).toBe(false);
		for (const odd of [null, 'x', {}, { asked: 'x', answer: 'agree' }, { asked: 99, answer: 'agree' }])
			expect(await takes(odd)).toBe(false);
	});
});

describe('a code', () => {
	const secret = 'a secret of forty characters or so, no more';
	const app = () => ({ books, codeText: (code) => signInCodeText(secret, code) }) as App;
	const find = (typed: string, at = new Date('2026-10-30T11:00:00Z')) =>
		personOfCode(app(), newcomer.email, typed, at);
	const codes = () => books.db.select().from(signInCode);
	const textOf = async (i: number) => signInCodeText(secret, (await codes())[i]!);

	it('lets a person set a password, once, within a week; it is kept nowhere', async () => {
		const only = await letIn('Hollis', 'supervisor');
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
		const only = await letIn('Hollis', 'supervisor');
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
		const text = signInCodeText(secret, { id: 1, userId: 'u1' });
		expect(isSignInCode(text, text)).toBe(true);
		const others = [
			signInCodeText(`${secret}.`, { id: 1, userId: 'u1' }),
			signInCodeText(secret, { id: 2, userId: 'u1' }),
			signInCodeText(secret, { id: 1, userId: 'u2' })
		];
		for (const other of others) expect(isSignInCode(other, text)).toBe(false);
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
		const shut = await letIn('Wren', 'clerk');
		await done(books, changeRole, { id: shut.id, role: 'none' }, APPLICATION);
		expect(await passwordFits(books.db, 'wren@firm.example', PASSWORD)).toBeNull();
	});

	it('set anew ends all sessions, and no other person’s', async () => {
		const [wren, hollis] = [await letIn('Wren', 'clerk'), await letIn('Hollis', 'supervisor')];
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

describe('what is kept in memory', () => {
	const MINUTE = 60_000;
	it('a password that was typed counts for ten minutes, in its session', () => {
		const confirmations = new Confirmations();
		confirmations.keep('a', 0);
		expect([confirmations.has('a', 9 * MINUTE), confirmations.has('b', 0)]).toEqual([true, false]);
		expect(confirmations.has('a', 10 * MINUTE)).toBe(false);
	});
	it('ten wrong attempts in a quarter of an hour stop an account, and no other', () => {
		const attempts = new Attempts();
		for (let i = 0; i < 10; i++) {
			expect(attempts.mayTry('wren', i)).toBe(true);
			attempts.failed('wren', i);
		}
		expect([attempts.mayTry('wren', 10), attempts.mayTry('hollis', 10)]).toEqual([false, true]);
		expect(attempts.mayTry('wren', 15 * MINUTE)).toBe(true);
		attempts.succeeded('wren');
		expect(attempts.mayTry('wren', 11)).toBe(true);
	});
	it('forgets who tried long ago', () => {
		const attempts = new Attempts();
		for (let i = 0; i < 10_002; i++) attempts.failed(`a${i}`, 0);
		attempts.failed('last', 16 * MINUTE);
		expect(attempts.mayTry('a1', 16 * MINUTE)).toBe(true);
	});
	it('a session that lay idle for an hour ends; one that is used goes on', () => {
		const idle = new IdleSessions();
		expect([idle.use('a', 0), idle.use('a', 59 * MINUTE), idle.use('a', 118 * MINUTE)]).toEqual([
			...[true, true, true]
		]);
		expect(idle.use('a', 179 * MINUTE)).toBe(false);
	});
});

describe('events of security', () => {
	const look = (person: string | null = null, before: number | null = null) =>
		lookAtSecurityEvents(
			books.db,
			{ person, before },
			{ who: { ...CLERK, role: 'supervisor' }, today: TODAY }
		);

	it('are kept with who and from where, newest first, and cannot be changed unseen', async () => {
		const wren = await letIn('Wren', 'clerk');
		noteEvent(books, { kind: 'sign-in-refused', origin: '192.0.2.200' });
		noteEvent(books, { kind: 'signed-in', personId: wren.id, origin: '192.0.2.200' });
		noteEvent(books, { kind: 'exported', personId: wren.id, origin: '192.0.2.200', about: 'open items' });
		await books.write(async () => undefined);
		const { rows, people, next } = await look();
		expect(rows.map((row) => [row.person, securityEventSentence(row)])).toEqual([
			['Wren', 'Took out: open items'],
			['Wren', 'Signed in'],
			[null, 'Was refused: address and password did not go together']
		]);
		expect([people.map(({ name }) => name), next]).toEqual([['Wren'], null]);
		expect((await look(wren.id)).rows).toHaveLength(2);
		expect((await look(null, rows[1]!.id)).rows).toHaveLength(1);
		await expect(books.db.run(sql`update security_event set origin = 'x'`)).rejects.toThrow();
		await proves(books);
	});

	it('of one kind from one address do not fill the books', async () => {
		for (let i = 0; i < 100; i++) noteEvent(books, { kind: 'code-refused', origin: '192.0.2.201' });
		noteEvent(books, { kind: 'code-refused', origin: '192.0.2.202' });
		await books.write(async () => undefined);
		expect(await books.db.$count(securityEvent)).toBe(31);
	});

	it('are for supervisors', async () => {
		const clerk = { who: CLERK, today: TODAY };
		await expect(lookAtSecurityEvents(books.db, { person: null, before: null }, clerk)).rejects.toThrow(
			'not-allowed'
		);
	});
});

import { afterEach, beforeEach, describe, expect, it, test } from 'vitest';
import { NO_LIMITS } from '../../../core/4-allocation/over-limits';
import type { Act } from '../../act/define-act';
import { perform } from '../../act/perform';
import { APPLICATION, type Person } from '../../act/person';
import { addBankAccount } from '../../firm/commands/add-bank-account';
import { setAuditor } from '../../firm/commands/set-auditor';
import { setBankFiles } from '../../firm/commands/set-bank-files';
import { setLetters } from '../../firm/commands/set-letters';
import { setMailServer } from '../../firm/commands/set-mail-server';
import { setLimits } from '../../firm/commands/set-limits';
import { readSetting } from '../../firm/store/settings';
import { makeSignInCode } from '../../people/commands/make-sign-in-code';
import { addPerson, changeRole } from '../../people/commands/people';
import { lockPeriod, unlockPeriod } from '../../periods/commands/lock-period';
import type { Books } from '../../platform/db/open';
import { approval, bankAccount, user } from '../../platform/db/schema';
import { as, CLERK, done, letIn, proves, testBooks, TODAY } from '../../testing';
import { answerApproval } from '../commands/answer-approval';
import { agreesToTwoPersonAct, lookAtApprovals } from '../queries/approvals';

let books: Books;
beforeEach(async () => {
	books = await testBooks();
});
afterEach(() => books.close());

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
const LETTERS = {
	...{ inCredit: 'send' as const, payLink: '', perMinute: null },
	schedule: { when: 'none' as const, kind: 'open' as const }
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
		['the auditor', setAuditor as never, { email: 'a@audit.example' }, (db) => readSetting(db, 'auditor')],
		[
			'the page where letters are paid',
			setLetters as never,
			{ ...LETTERS, payLink: 'https://pay.ashlock-kiln.example' },
			(db) => readSetting(db, 'letters')
		],
		[
			'the server through which mail goes',
			setMailServer as never,
			{ host: 'mail.firm.example', port: 465, security: 'tls', user: 'accounts', sealed: '' },
			(db) => readSetting(db, 'mail')
		]
	];
	test.each(acts)(
		'%s: it waits for another supervisor, and is as it was until then',
		async (_, act, input, look) => {
			const [first, second] = [
				await letIn(books, 'Hollis', 'supervisor'),
				await letIn(books, 'Perrin', 'supervisor')
			];
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
			const only = await letIn(books, 'Hollis', 'supervisor');
			await letIn(books, 'Wren', 'clerk');
			// Somebody who has not set a password yet cannot agree to anything.
			await done(books, addPerson, { ...newcomer, email: 'b@firm.example', role: 'supervisor' }, APPLICATION);
			const before = await look(books.db);
			const result = await perform(books, act, input as never, as(only));
			expect(JSON.stringify(result)).not.toContain('asked');
			expect(await look(books.db)).not.toEqual(before);
		}
	);

	it('opening a period, shutting out, and a code, too; what is wrong is refused before anybody is asked', async () => {
		const [first, second] = [
			await letIn(books, 'Hollis', 'supervisor'),
			await letIn(books, 'Perrin', 'supervisor')
		];
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
		const [first, second] = [
			await letIn(books, 'Hollis', 'supervisor'),
			await letIn(books, 'Perrin', 'supervisor')
		];
		await done(books, setAuditor, { email: '' }, first);
		const [asked] = await waiting(second);
		const takes = (given: unknown) => agreesToTwoPersonAct(books.db, given, { who: second, today: TODAY });
		expect(await takes({ asked: asked!.asked, answer: 'agree' })).toBe(true);
		expect(await takes({ asked: asked!.asked, answer: 'refuse' })).toBe(false);
		for (const odd of [null, 'x', {}, { asked: 'x', answer: 'agree' }, { asked: 99, answer: 'agree' }])
			expect(await takes(odd)).toBe(false);
	});
});

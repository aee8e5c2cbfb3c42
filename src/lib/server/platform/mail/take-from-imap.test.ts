import { afterEach, beforeEach, expect, test } from 'vitest';
import { composeReport } from './compose-report';
import type { MailboxPlace } from './mailbox';
import { lookIntoMailbox, takeFromImap } from './take-from-imap';
import { testMailbox, type LyingMail, type TestMailbox } from './testing-imap';

const NOW = new Date('2026-10-30T10:00:00.000Z');
const report = (to: string) =>
	composeReport(
		{ from: 'accounts@ashlock-kiln.example', to, host: 'mx.hazel.example', at: NOW },
		{ status: '5.1.1', said: '550 no such person' },
		Buffer.from('Message-ID: <1@ashlock-kiln.example>\r\n\r\nhello')
	);
const letter = (from: string) => Buffer.from(`From: ${from}\r\nSubject: holidays\r\n\r\nPrivate.\r\n`);

let lying: LyingMail[];
let validity: number;
let server: TestMailbox;
beforeEach(async () => {
	[lying, validity] = [[], 7];
	server = await testMailbox({ user: 'accounts', password: 'a "quoted" one' }, () => ({
		validity,
		mails: lying
	}));
});
afterEach(() => server.close());

const account = (over: object = {}) => ({
	...{ host: '127.0.0.1', port: server.port, security: 'none' as const, folder: '' },
	...{ user: 'accounts', password: 'a "quoted" one', ...over }
});
async function taken(place: MailboxPlace | null): Promise<{ place: MailboxPlace; mails: string[] }> {
	const mails: string[] = [];
	const next = await takeFromImap(account(), place, NOW, async (source) => {
		mails.push(/^Final-Recipient: rfc822; (.*)$/m.exec(source.toString())?.[1]?.trim() ?? source.toString());
	});
	return { place: next, mails };
}

test('reports are read once each, in their order, and nothing else is fetched or changed', async () => {
	lying = [
		{ uid: 3, source: letter('Wren <wren@ashlock-kiln.example>') },
		{ uid: 5, source: report('a@hazel.example') },
		{ uid: 9, source: letter('Mail <mailer-daemon@mx.hazel.example>') },
		{ uid: 10, source: report('b@hazel.example') }
	];
	const first = await taken(null);
	expect(first.mails).toEqual([
		'a@hazel.example',
		expect.stringContaining('holidays') as string,
		'b@hazel.example'
	]);
	expect(first.place).toEqual({ validity: '7', last: 10 });
	const whole = server.asked.filter((one) => /BODY(?:\.PEEK)?\[\]/i.test(one));
	expect(whole.map((one) => one.split(' ')[2])).toEqual(['5', '9', '10']);
	expect(whole.every((one) => /BODY\.PEEK/i.test(one))).toBe(true);
	expect(server.asked.some((one) => /^(?:SELECT|STORE|UID STORE|EXPUNGE|APPEND|UID MOVE)/i.test(one))).toBe(
		false
	);

	// Nothing new: the last one, which the server names again, is not read again.
	const second = await taken(first.place);
	expect(second).toEqual({ place: first.place, mails: [] });
	lying = [...lying, { uid: 11, source: report('c@hazel.example') }];
	expect((await taken(second.place)).mails).toEqual(['c@hazel.example']);
});

test('a mailbox whose numbers began anew is read anew', async () => {
	lying = [{ uid: 50, source: report('a@hazel.example') }];
	const { place } = await taken(null);
	[validity, lying] = [8, [{ uid: 2, source: report('b@hazel.example') }]];
	expect(await taken(place)).toEqual({ place: { validity: '8', last: 2 }, mails: ['b@hazel.example'] });
});

test('an empty mailbox is read, and counted', async () => {
	expect(await taken(null)).toEqual({ place: { validity: '7', last: 0 }, mails: [] });
	expect(await lookIntoMailbox(account())).toBe(0);
	lying = [{ uid: 1, source: letter('a@b.example') }];
	expect(await lookIntoMailbox(account())).toBe(1);
});

test('what the server says against it is said', async () => {
	await expect(lookIntoMailbox(account({ password: 'wrong' }))).rejects.toMatchObject({
		responseText: expect.stringContaining('Authentication failed') as string
	});
	await expect(lookIntoMailbox(account({ folder: 'Elsewhere' }))).rejects.toMatchObject({
		responseText: expect.stringContaining('No such folder') as string
	});
	await expect(lookIntoMailbox(account({ port: 1 }))).rejects.toThrow(/ECONNREFUSED/);
	// Where STARTTLS is demanded and not offered, nobody signs in.
	const before = server.asked.length;
	await expect(lookIntoMailbox(account({ security: 'starttls' }))).rejects.toThrow();
	expect(server.asked.slice(before).some((one) => one.startsWith('LOGIN'))).toBe(false);
});

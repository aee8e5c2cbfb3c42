import { mkdtempSync, readdirSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { perform } from '../../act/perform';
import { setMailServer } from '../../firm/commands/set-mail-server';
import { setMailbox } from '../../firm/commands/set-mailbox';
import { makeSigningKey, useSigningKey } from '../../firm/commands/signing-key';
import { lookAtMailSettings } from '../../firm/queries/mail-settings';
import { writeSetting } from '../../firm/store/settings';
import type { Books } from '../../platform/db/open';
import { openTransport } from '../../platform/mail/open-transport';
import { startStandIn, type StandIn } from '../../platform/mail/stand-in';
import { isSignedBy } from '../../platform/mail/testing-dkim';
import { sealSecret } from '../../platform/sealed-secret';
import { as, CLERK, codesOf, done, proves, SUPERVISOR, testBooks, TODAY } from '../../testing';
import { newSigningKey, notPublished, signingRecord } from '../signing-keys';
import { mailRoute, returnsFrom, SealedOtherwise, type MailGiven } from './mail-route';

const secret = 's'.repeat(64);
const sealed = sealSecret(secret, 'a long password');
const account = { host: 'mail.firm.example', port: 465, security: 'tls' as const, user: 'accounts', sealed };
let books: Books;
let folder: string;
let server: StandIn;
beforeEach(async () => {
	books = await testBooks();
	folder = mkdtempSync(join(tmpdir(), 'odd-penny-mail-'));
	server = await startStandIn(folder);
});
afterEach(async () => {
	await server.close();
	await books.close();
});
const given = (over: Partial<MailGiven> = {}): MailGiven => ({
	...{ smtpUrl: null, standIn: async () => server.url, returned: join(folder, 'returned'), secret, ...over }
});
const route = (over: Partial<MailGiven> = {}) => mailRoute(books.db, given(over));
const demo = () => books.write((tx) => writeSetting(tx, 'demo', true));

describe('mail goes', () => {
	it('nowhere before anybody says where, then through the server of the settings, else the operator’s', async () => {
		expect(await route()).toMatchObject({ server: server.url, isStandIn: true });
		await done(books, setMailServer, account, SUPERVISOR);
		const { sealed: _, ...shown } = account;
		expect(await route()).toEqual({
			...{ server: { ...shown, password: 'a long password' }, signing: null, isStandIn: false }
		});
		const smtpUrl = 'smtps://a:b@mail.operator.example';
		expect(await route({ smtpUrl })).toMatchObject({ server: smtpUrl, isStandIn: false });
		await done(books, setMailServer, { ...account, host: '' }, SUPERVISOR);
		expect(await route()).toMatchObject({ isStandIn: true });
		await proves(books);
	});

	it('nowhere from the demo’s books, whoever said where, but to a server of this network', async () => {
		await demo();
		await done(books, setMailServer, account, SUPERVISOR);
		expect((await route()).isStandIn).toBe(true);
		expect((await route({ smtpUrl: 'smtps://mail.operator.example' })).isStandIn).toBe(true);
		expect((await route({ smtpUrl: 'smtp://127.0.0.1:2525' })).isStandIn).toBe(false);
		await done(books, setMailServer, { ...account, host: '10.0.0.7' }, SUPERVISOR);
		expect((await route()).isStandIn).toBe(false);
	});

	it('nowhere with a password that was sealed with another secret, and that is said', async () => {
		await done(books, setMailServer, account, SUPERVISOR);
		await expect(route({ secret: 't'.repeat(64) })).rejects.toThrow(SealedOtherwise);
	});

	it('with TLS: what has none is refused but for the own network', async () => {
		const without = { ...account, security: 'none' as const };
		const refused = await perform(books, setMailServer, without, as(SUPERVISOR));
		expect(refused).toMatchObject({ ok: false, problems: [{ code: 'field', field: 'security' }] });
		await done(books, setMailServer, { ...without, host: '192.168.1.5' }, SUPERVISOR);
		expect(codesOf(await perform(books, setMailServer, account, as(CLERK)))).toEqual(['not-allowed']);
		// The stand-in has no STARTTLS: where that is demanded, nothing is handed over, and nobody signs in.
		const { port } = new URL(server.url);
		const plain = {
			host: '127.0.0.1',
			port: Number(port),
			security: 'starttls' as const,
			user: '',
			password: ''
		};
		const transport = openTransport({ server: plain, signing: null });
		await expect(transport.sendMail({ from: 'a@b.example', to: 'c@d.example', text: 'x' })).rejects.toThrow(
			/STARTTLS/i
		);
		transport.close();
		expect(readdirSync(folder)).toEqual([]);
	});

	it.each([
		['a host that is none', { host: 'mail firm' }, 'host'],
		['a port that is none', { port: 70_000 }, 'port'],
		['a user of a thousand letters', { user: 'x'.repeat(1_000) }, 'user']
	])('not by %s', async (_, over, field) => {
		const refused = await perform(books, setMailServer, { ...account, ...over }, as(SUPERVISOR));
		expect(refused).toMatchObject({ ok: false, problems: [{ code: 'field', field }] });
	});
});

describe('what was not delivered', () => {
	it('comes back to the mailbox of the settings, or to the stand-in where nothing leaves', async () => {
		expect(await returnsFrom(books.db, given())).toEqual({ folder: join(folder, 'returned') });
		expect(await returnsFrom(books.db, given({ smtpUrl: 'smtps://mail.operator.example' }))).toBe(null);
		const mailbox = { ...account, port: 993, folder: 'Returned', address: 'returned@firm.example' };
		await done(books, setMailbox, mailbox, SUPERVISOR);
		expect(await returnsFrom(books.db, given())).toMatchObject({
			mailbox: { host: 'mail.firm.example', password: 'a long password', folder: 'Returned' }
		});
		expect((await route({ smtpUrl: 'smtps://mail.operator.example' })).returnTo).toBe(
			'returned@firm.example'
		);
		await proves(books);
	});

	it('is shown without anything that is kept secret', async () => {
		await done(books, setMailServer, account, SUPERVISOR);
		const shown = await lookAtMailSettings(books.db, null, { who: SUPERVISOR, today: TODAY });
		expect(shown.server).toMatchObject({ host: 'mail.firm.example', hasPassword: true });
		expect(JSON.stringify(shown)).not.toContain(sealed);
	});
});

describe('messages are signed', () => {
	it('once the key is used, so that who has its public half can tell', async () => {
		const { publicKey, privateKey } = await newSigningKey();
		const key = { domain: 'ashlock-kiln.example', selector: 'oddpenny1', publicKey };
		await done(books, makeSigningKey, { ...key, sealedKey: sealSecret(secret, privateKey) }, SUPERVISOR);
		const smtpUrl = server.url;
		expect((await route({ smtpUrl })).signing).toBe(null);
		await done(books, useSigningKey, { on: true }, SUPERVISOR);
		const transport = openTransport(await route({ smtpUrl }));
		const raw = Buffer.from(
			'From: accounts@ashlock-kiln.example\r\nTo: h1@hazel.example\r\nSubject: A  statement\r\n' +
				'Message-ID: <1@ashlock-kiln.example>\r\n\r\nTwo   spaces \r\nand a line.\r\n\r\n\r\n'
		);
		await transport.sendMail({ envelope: { from: 'a@b.example', to: ['c@d.example'] }, raw });
		transport.close();
		const eml = readFileSync(join(folder, readdirSync(folder)[0]!), 'latin1');
		expect(isSignedBy(eml, publicKey)).toEqual({ domain: 'ashlock-kiln.example', isGood: true });
		expect(isSignedBy(eml.replace('Two', 'Too'), publicKey).isGood).toBe(false);
		expect(isSignedBy(eml.replace('Subject: A', 'Subject: B'), publicKey).isGood).toBe(false);
		expect(isSignedBy(eml, (await newSigningKey()).publicKey).isGood).toBe(false);
		await done(books, useSigningKey, { on: false }, SUPERVISOR);
		expect((await route({ smtpUrl })).signing).toBe(null);
		await proves(books);
	});

	it('by no key that was not made', async () => {
		expect(codesOf(await perform(books, useSigningKey, { on: true }, as(SUPERVISOR)))).toEqual(['not-found']);
	});

	it('only once the public half is published', async () => {
		const key = { domain: 'ashlock-kiln.example', selector: 'k1', publicKey: 'MIIB' };
		const { name, text } = signingRecord(key);
		expect(name).toBe('k1._domainkey.ashlock-kiln.example');
		expect(await notPublished(key, async () => [[text.slice(0, 20), text.slice(20)]])).toBe(null);
		expect(await notPublished(key, async () => [['v=DKIM1; p=MIIC']])).toContain('another key');
		const not = (code: string) => () => Promise.reject(Object.assign(new Error(code), { code }));
		expect(await notPublished(key, not('ENOTFOUND'))).toContain('Nothing is published at k1._domainkey');
		expect(await notPublished(key, not('ETIMEOUT'))).toContain('could not be looked up (ETIMEOUT)');
	});
});

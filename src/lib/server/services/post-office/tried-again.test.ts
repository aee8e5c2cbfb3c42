import { mkdtempSync, readdirSync } from 'node:fs';
import { createServer, type AddressInfo, type Socket } from 'node:net';
import { hostname, tmpdir } from 'node:os';
import { join } from 'node:path';
import { asc } from 'drizzle-orm';
import { beforeEach, describe, expect, it } from 'vitest';
import { sendAgain } from '../../letters/commands/send-again';
import { sendLetters } from '../../letters/commands/send-letters';
import { perform } from '../../act/perform';
import type { Books } from '../../platform/db/open';
import { delivery } from '../../platform/db/schema';
import { openTransport } from '../../platform/mail/open-transport';
import { startStandIn } from '../../platform/mail/stand-in';
import { as, CLERK, done, invoices, newDocument, testBooks, TODAY } from '../../testing';
import { prepareLetters } from '../prepare-letters';
import { deliverWaiting } from './deliver';
import { SendRate } from './send-rate';

const now = () => '2026-10-30T10:00:00.000Z';
let books: Books;
let folder: string;
beforeEach(async () => {
	books = await testBooks();
	folder = mkdtempSync(join(tmpdir(), 'odd-penny-mail-'));
	await invoices(books, newDocument('AK-1', 1, 1000), newDocument('AK-2', 2, 2000));
});
async function send(kind: 'statement' | 'reminder'): Promise<void> {
	const accounts = [1, 2].map((customerId) => ({ customerId, currency: 'GBP' }));
	const prepared = await prepareLetters(books, { kind, accounts }, { today: TODAY }, now());
	if (!prepared.ok) throw new Error(JSON.stringify(prepared.problems));
	await perform(books, sendLetters, { kind, letters: prepared.value }, as(CLERK));
}
const states = async () => (await fates()).map(([state]) => state);
const fates = async () =>
	(await books.db.select().from(delivery).orderBy(asc(delivery.letterId))).map(
		(row) => [row.state, row.tries, row.nextAt] as const
	);
/** A server that says one thing and goes. */
const answering = (greeting: string) => serving((socket) => socket.end(`${greeting}\r\n`));
/** A server that takes what it is told, and is gone once it hears a line that begins so; it does not answer that. */
const leaving = (last: string) =>
	serving((socket) => {
		let isMessage = false;
		socket.write('220 hello\r\n');
		socket.on('error', () => undefined);
		socket.on('data', (data) => {
			for (const line of data.toString('latin1').split('\r\n')) {
				if (line.startsWith(last) && isMessage === (last === '.')) {
					if (last !== '.' || line === '.') return socket.destroy();
				} else if (line === 'DATA') {
					isMessage = true;
					socket.write('354 go on\r\n');
				} else if (!isMessage && line !== '') socket.write('250 fine\r\n');
			}
		});
	});
async function serving(
	heard: (socket: Socket) => void
): Promise<{ url: string; close: () => Promise<void> }> {
	const server = createServer(heard);
	await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
	return {
		url: `smtp://127.0.0.1:${(server.address() as AddressInfo).port}`,
		close: () => new Promise((closed) => server.close(() => closed()))
	};
}

describe('letters', () => {
	it('that a server is too busy for wait, are tried again later, and go once it has time', async () => {
		await send('reminder');
		let at = Date.parse('2026-10-30T10:00:00.000Z');
		const clock = () => new Date(at).toISOString();
		const busy = await answering('421 4.3.2 too busy');
		await deliverWaiting(books, { server: busy.url, signing: null }, clock);
		// The second is not even tried: nobody has time for it either.
		expect(await fates()).toEqual([
			['waiting', 1, '2026-10-30T10:01:00.000Z'],
			['waiting', 0, null]
		]);
		await deliverWaiting(books, { server: busy.url, signing: null }, clock);
		expect((await fates()).map(([, tries]) => tries)).toEqual([1, 1]);
		await busy.close();
		const standIn = await startStandIn(folder);
		await deliverWaiting(books, { server: standIn.url, signing: null }, clock);
		expect(await states()).toEqual(['waiting', 'waiting']);
		at += 60_000;
		await deliverWaiting(books, { server: standIn.url, signing: null }, clock);
		await standIn.close();
		expect(await states()).toEqual(['sent', 'sent']);
		expect(readdirSync(folder)).toHaveLength(2);
	});
	it('that no server takes for a day fail with what was said, and can be sent again; one that waits can go at once', async () => {
		await send('reminder');
		let at = Date.parse('2026-10-30T10:00:00.000Z');
		const clock = () => new Date(at).toISOString();
		// Nobody listens there.
		const nobody = 'smtp://127.0.0.1:1';
		for (let minutes = 0; minutes < 30 * 60; minutes++, at += 60_000)
			await deliverWaiting(books, { server: nobody, signing: null }, clock);
		expect(await states()).toEqual(['failed', 'failed']);
		expect((await fates())[0]![1]).toBe(10);
		await done(books, sendAgain, { letterId: 1 }, CLERK);
		await deliverWaiting(books, { server: nobody, signing: null }, clock);
		expect((await fates())[0]).toEqual(['waiting', 1, new Date(at + 60_000).toISOString()]);
		await done(books, sendAgain, { letterId: 1 }, CLERK);
		const standIn = await startStandIn(folder);
		await deliverWaiting(books, { server: standIn.url, signing: null }, clock);
		await standIn.close();
		expect(await states()).toEqual(['sent', 'failed']);
	});
	it.each([
		['before the message was given', 'RCPT', ['waiting', 1, '2026-10-30T10:01:00.000Z']],
		['after it, when it may have been taken', '.', ['failed', 1, null]]
	] as const)('whose connection is lost %s', async (_, at, fate) => {
		await send('reminder');
		const server = await leaving(at);
		await deliverWaiting(books, { server: server.url, signing: null }, now);
		await server.close();
		expect((await fates())[0]).toEqual(fate);
	});
	it('go so many in a minute as the firm says', async () => {
		await send('statement');
		await send('reminder');
		const standIn = await startStandIn(folder);
		const rate = new SendRate(3);
		const went: number[] = [];
		for (const at of ['10:00:00', '10:00:30', '10:01:01']) {
			await deliverWaiting(
				books,
				{ server: standIn.url, signing: null },
				() => `2026-10-30T${at}.000Z`,
				`${hostname()} 1 a`,
				rate
			);
			went.push((await states()).filter((state) => state === 'sent').length);
		}
		await standIn.close();
		expect(went).toEqual([3, 3, 4]);
	});
	it('are told when the next may go', () => {
		const rate = new SendRate(2);
		for (const at of ['00', '10', '20']) rate.went(`2026-10-30T10:00:${at}.000Z`);
		expect(rate.waits('2026-10-30T10:00:30.000Z')).toBe(40_000);
		expect(rate.mayGo('2026-10-30T10:01:09.999Z')).toBe(false);
		expect(rate.mayGo('2026-10-30T10:01:10.000Z')).toBe(true);
		expect(new SendRate(null).waits('2026-10-30T10:00:30.000Z')).toBe(0);
	});
	it('do not wait for ever on a server that never says a word', async () => {
		const silent = createServer(() => undefined);
		await new Promise<void>((resolve) => silent.listen(0, '127.0.0.1', resolve));
		const { port } = silent.address() as AddressInfo;
		const transport = openTransport(
			{ server: `smtp://127.0.0.1:${port}`, signing: null },
			{ greetingTimeout: 50 }
		);
		const sent = transport.sendMail({
			envelope: { from: 'a@hazel.example', to: ['b@hazel.example'] },
			raw: 'x'
		});
		await expect(sent).rejects.toMatchObject({ code: 'ETIMEDOUT' });
		transport.close();
		silent.close();
	});
});

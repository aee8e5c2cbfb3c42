import { createServer, type Socket } from 'node:net';
import type { AddressInfo } from 'node:net';

/** A message that lies in the mailbox. */
export interface LyingMail {
	readonly uid: number;
	readonly source: Buffer;
}

export interface TestMailbox {
	readonly port: number;
	/** What clients asked for, in order, without their tags. */
	readonly asked: string[];
	close(): Promise<void>;
}

const quoted = (text: string) => `"${text.replace(/["\\]/g, '\\$&')}"`;

/** The structure of a message as far as a reader of reports looks (RFC 9051, section 7.5.2). */
function structureOf(source: string): string {
	const text = '("text" "plain" ("charset" "utf-8") NIL NIL "7bit" 10 1 NIL NIL NIL NIL)';
	const status = '("message" "delivery-status" NIL NIL NIL "7bit" 10 NIL NIL NIL NIL)';
	return /content-type: message\/delivery-status/i.test(source)
		? `(${text}${status} "report" ("report-type" "delivery-status") NIL NIL NIL)`
		: text;
}

function envelopeOf(source: string): string {
	const line = /^From: (.*)$/im.exec(source)?.[1] ?? '';
	const [, name, host] = /([^<>@\s]{1,64})@([^<>@\s]{1,200})/.exec(line) ?? [];
	const from = name && host ? `((NIL NIL ${quoted(name)} ${quoted(host)}))` : 'NIL';
	return `(NIL "a subject" ${from} ${from} ${from} NIL NIL NIL NIL NIL)`;
}

/** A mailbox by IMAP (RFC 9051), as much of it as a reader needs: one account, one folder, `INBOX`. */
export async function testMailbox(
	{ user, password }: { readonly user: string; readonly password: string },
	mails: () => { readonly validity: number; readonly mails: readonly LyingMail[] }
): Promise<TestMailbox> {
	const asked: string[] = [];
	const sockets = new Set<Socket>();
	const answer = (socket: Socket, tag: string, command: string) => {
		const { validity, mails: lying } = mails();
		const say = (...lines: string[]) => socket.write(lines.map((line) => `${line}\r\n`).join(''));
		const fetched = (uids: ReadonlySet<number>) =>
			lying.map((mail, at) => ({ ...mail, at: at + 1 })).filter((mail) => uids.has(mail.uid));
		if (/^CAPABILITY/i.test(command)) say('* CAPABILITY IMAP4rev1', `${tag} OK done`);
		else if (/^LOGIN/i.test(command))
			say(
				command.includes(quoted(user)) && command.includes(quoted(password))
					? `${tag} OK in`
					: `${tag} NO [AUTHENTICATIONFAILED] Authentication failed`
			);
		else if (/^LIST/i.test(command))
			say(
				...(/""$/.test(command)
					? ['* LIST (\\Noselect) "/" ""']
					: /"?INBOX"?$|\*/i.test(command)
						? ['* LIST () "/" "INBOX"']
						: []),
				`${tag} OK done`
			);
		else if (/^EXAMINE/i.test(command))
			if (/INBOX"?$/i.test(command))
				say(
					'* FLAGS (\\Seen)',
					`* ${lying.length} EXISTS`,
					`* OK [UIDVALIDITY ${validity}] valid`,
					`* OK [UIDNEXT ${(lying.at(-1)?.uid ?? 0) + 1}] next`,
					`${tag} OK [READ-ONLY] opened`
				);
			else say(`${tag} NO [NONEXISTENT] No such folder`);
		else if (/^UID SEARCH/i.test(command)) {
			const from = Number(/UID (\d+):\*/i.exec(command.slice('UID SEARCH'.length))?.[1] ?? 0);
			// A range up to * holds the last message, whatever it begins with (RFC 9051, section 9).
			const found = lying.filter((mail, at) => mail.uid >= from || at === lying.length - 1);
			say(`* SEARCH ${found.map((mail) => mail.uid).join(' ')}`, `${tag} OK done`);
		} else if (/^UID FETCH/i.test(command)) {
			const uids = new Set(
				command
					.split(' ')[2]!
					.split(',')
					.flatMap((part) => {
						const [from, to] = part.split(':').map(Number);
						return Array.from({ length: (to ?? from!) - from! + 1 }, (_, n) => from! + n);
					})
			);
			for (const { uid, source, at } of fetched(uids)) {
				const text = source.toString('latin1');
				const parts = [`UID ${uid}`, `RFC822.SIZE ${source.length}`];
				if (/ENVELOPE/i.test(command)) parts.push(`ENVELOPE ${envelopeOf(text)}`);
				if (/BODYSTRUCTURE/i.test(command)) parts.push(`BODYSTRUCTURE ${structureOf(text)}`);
				socket.write(`* ${at} FETCH (${parts.join(' ')}`);
				if (/BODY(?:\.PEEK)?\[\]/i.test(command)) {
					socket.write(` BODY[] {${source.length}}\r\n`);
					socket.write(source);
				}
				socket.write(')\r\n');
			}
			say(`${tag} OK done`);
		} else if (/^LOGOUT/i.test(command)) {
			say('* BYE', `${tag} OK out`);
			socket.end();
		} else say(`${tag} OK done`);
	};
	const server = createServer((socket) => {
		sockets.add(socket);
		socket.on('error', () => undefined);
		socket.write('* OK [CAPABILITY IMAP4rev1] ready\r\n');
		let rest = '';
		socket.on('data', (chunk) => {
			rest += chunk.toString('latin1');
			for (let end = rest.indexOf('\r\n'); end >= 0; end = rest.indexOf('\r\n')) {
				const [, tag, command] = /^(\S+) (.*)$/.exec(rest.slice(0, end)) ?? [];
				rest = rest.slice(end + 2);
				if (tag === undefined || command === undefined) continue;
				asked.push(command);
				answer(socket, tag, command);
			}
		});
	});
	await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
	return {
		port: (server.address() as AddressInfo).port,
		asked,
		close: () => {
			for (const socket of sockets) socket.destroy();
			return new Promise((resolve) => server.close(() => resolve()));
		}
	};
}

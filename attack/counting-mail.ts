import type { AddressInfo } from 'node:net';
import { SMTPServer } from 'smtp-server';

/** A mail server that takes everything and counts how often each message came, by its Message-ID (RFC 5322, 3.6.4). */
export interface CountingMail {
	readonly url: string;
	readonly came: ReadonlyMap<string, number>;
	close(): Promise<void>;
}

/** @param slowness milliseconds that a message takes to be taken, so that there is time to be at the same one twice, or to be killed */
export async function countMail(slowness: number): Promise<CountingMail> {
	const came = new Map<string, number>();
	const server = new SMTPServer({
		...{
			authOptional: true,
			disabledCommands: ['STARTTLS', 'AUTH'],
			disableReverseLookup: true,
			logger: false
		},
		onData(stream, _session, done) {
			const chunks: Buffer[] = [];
			stream.on('data', (chunk: Buffer) => chunks.push(chunk));
			stream.on('error', done);
			stream.on('end', () => {
				const id = /^message-id:\s*(<[^>]+>)/im.exec(Buffer.concat(chunks).toString('latin1'))?.[1] ?? 'none';
				came.set(id, (came.get(id) ?? 0) + 1);
				setTimeout(done, slowness);
			});
		}
	});
	server.on('error', () => undefined);
	await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
	const { port } = server.server.address() as AddressInfo;
	return {
		url: `smtp://127.0.0.1:${port}`,
		came,
		close: () => new Promise((closed) => server.close(() => closed()))
	};
}

import { createHash, randomUUID } from 'node:crypto';
import { mkdirSync, renameSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { SMTPServer } from 'smtp-server';
import { composeReport } from './compose-report';

export interface StandIn {
	readonly url: string;
	close(): Promise<void>;
}

/**
 * A mail server that sends nothing on: it takes each message by SMTP as a real one would and keeps it as `.eml` in a folder.
 * It refuses (550) an address at a host called `no-such-…`, and one without a host, so that refusals can be seen; what it takes for a
 * host called `gone-…` is reported as undelivered.
 * @param returned where such reports are laid; nowhere if it is not said
 */
export async function startStandIn(folder: string, returned?: string): Promise<StandIn> {
	mkdirSync(folder, { recursive: true });
	if (returned) mkdirSync(returned, { recursive: true });
	const report = (from: string, to: string, eml: Buffer) => {
		const host = to.split('@')[1]!;
		if (!returned || !host.startsWith('gone-')) return;
		const said = `550 5.1.1 <${to}>: no such person here`;
		const name = `${Date.now()}-${randomUUID()}`;
		const text = composeReport({ from, to, host, at: new Date() }, { status: '5.1.1', said }, eml);
		writeFileSync(join(returned, `${name}.part`), text);
		renameSync(join(returned, `${name}.part`), join(returned, `${name}.eml`));
	};
	const server = new SMTPServer({
		authOptional: true,
		disabledCommands: ['STARTTLS', 'AUTH'],
		disableReverseLookup: true,
		logger: false,
		onRcptTo({ address }, _session, done) {
			const host = address.split('@')[1] ?? '';
			if (!host || host.startsWith('no-such-')) {
				const error: Error & { responseCode?: number } = new Error(`5.1.2 No such host: ${host || address}`);
				error.responseCode = 550;
				return done(error);
			}
			done();
		},
		onData(stream, { envelope }, done) {
			const chunks: Buffer[] = [];
			stream.on('data', (chunk: Buffer) => chunks.push(chunk));
			stream.on('error', done);
			stream.on('end', () => {
				const eml = Buffer.concat(chunks);
				// The same message goes to several: each has its own copy of it.
				const to = envelope.rcptTo.map(({ address }) => address).join(' ');
				const name = createHash('sha256').update(to).update(eml).digest('hex').slice(0, 24);
				try {
					writeFileSync(join(folder, `${name}.eml`), eml);
					const from = envelope.mailFrom ? envelope.mailFrom.address : '';
					for (const one of envelope.rcptTo) report(from, one.address, eml);
					done();
				} catch (error) {
					done(error as Error);
				}
			});
		}
	});
	await new Promise<void>((resolve, reject) => {
		server.once('error', reject);
		server.listen(0, '127.0.0.1', resolve);
	});
	server.on('error', () => undefined);
	const { port } = server.server.address() as AddressInfo;
	return {
		url: `smtp://127.0.0.1:${port}`,
		close: () => new Promise((resolve) => server.close(() => resolve()))
	};
}

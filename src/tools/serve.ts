import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { logFailure } from '../lib/server/platform/log';
import { isDemoBooksProcess, offerDemoBooks } from '../lib/server/services/demo-books';
import { checkedConfig } from './checked-config';
import { DemoProcess } from './demo-process';

type Handler = (request: IncomingMessage, response: ServerResponse) => void;

/**
 * Serves the built application on `HOST`:`PORT`. What protocol the reader used is told by the connection, or by a proxy only
 * where `TRUST_PROXY` says that there is one: cross-site checks compare with it.
 */
export async function serve(): Promise<void> {
	const { root, port, host, trustProxy: proxied } = checkedConfig();
	process.env['PROTOCOL_HEADER'] = 'x-odd-penny-protocol';
	process.env['BODY_SIZE_LIMIT'] ??= '210M';
	if (proxied) process.env['ADDRESS_HEADER'] ??= 'x-forwarded-for';
	const { handler } = (await import(pathToFileURL(join(root, 'build/web/handler.js')).href)) as {
		handler: Handler;
	};
	const demo = isDemoBooksProcess() ? null : new DemoProcess(root, proxied);
	if (demo) offerDemoBooks(demo);
	process.once('exit', () => demo?.stop());
	const server = createServer((request, response) => {
		if (demo?.take(request, response)) return;
		const forwarded = proxied ? String(request.headers['x-forwarded-proto'] ?? 'http') : 'http';
		request.headers['x-odd-penny-protocol'] = forwarded === 'https' ? 'https' : 'http';
		handler(request, response);
	});
	await new Promise<void>((resolve, reject) => {
		server.once('error', reject);
		server.listen(port, host, resolve);
	}).catch((error: NodeJS.ErrnoException) => {
		if (error.code === 'EADDRINUSE')
			console.error(`Port ${port} is taken. Choose another: PORT=3001 npm start`);
		else console.error(error.message);
		process.exit(1);
	});
	console.log(`Odd Penny is at http://${host.includes(':') ? `[${host}]` : host}:${port}`);
	// What no handler caught may quote what was worked on: only where it happened is logged.
	for (const what of ['uncaughtException', 'unhandledRejection'] as const)
		process.on(what, (error: unknown) => {
			logFailure(what, error);
			process.exit(1);
		});
	let stopping = false;
	const stop = () => {
		if (stopping) return;
		stopping = true;
		server.close(() => process.emit('sveltekit:shutdown' as never));
		server.closeIdleConnections();
		setTimeout(() => server.closeAllConnections(), 2000).unref();
		setTimeout(() => process.exit(0), 2500).unref();
		server.on('close', () => setTimeout(() => process.exit(0), 300));
	};
	process.once('SIGINT', stop);
	process.once('SIGTERM', stop);
}

if (process.argv[1]?.endsWith('serve.js')) await serve();

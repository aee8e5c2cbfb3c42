import { spawn, type ChildProcess } from 'node:child_process';
import { join, resolve } from 'node:path';

export { freePort } from '../src/tools/free-port';

export interface StartOptions {
	readonly over?: Readonly<Record<string, string>>;
	/** Told what the server writes to its output. */
	readonly heard?: (text: string) => void;
	/** Where the repository is; here where it is left out. */
	readonly root?: string;
}

/** The built application on books in a folder, on this machine alone; resolves once it answers. */
export async function startServer(
	port: number,
	folder: string,
	{ over = {}, heard, root = '.' }: StartOptions = {}
): Promise<ChildProcess> {
	const env = {
		...process.env,
		DATA_DIR: folder,
		PORT: String(port),
		HOST: '127.0.0.1',
		ODD_PENNY_ROOT: resolve(root),
		NODE_ENV: 'production',
		LOG_LEVEL: heard ? 'info' : 'silent',
		// Whoever attacks asks more often than a person does.
		RATE_LIMIT: '0',
		...over
	};
	const server = spawn(process.execPath, [join(resolve(root), 'build/tools/serve.js')], {
		env,
		stdio: ['ignore', heard ? 'pipe' : 'ignore', 'inherit']
	});
	if (heard) server.stdout!.on('data', (part) => heard(String(part)));
	for (let tries = 0; tries < 1_000; tries++) {
		const up = await fetch(`http://127.0.0.1:${port}/health`).then(
			(answer) => answer.ok,
			() => false
		);
		if (up) return server;
		await new Promise((done) => setTimeout(done, 20));
	}
	server.kill('SIGKILL');
	throw new Error(`the server for ${folder} does not answer`);
}

/** Ends a server the hard way, and waits until it is no more. */
export function killed(server: ChildProcess): Promise<void> {
	return new Promise((done) => {
		if (server.exitCode !== null || server.signalCode !== null) return done();
		server.once('exit', () => done());
		server.kill('SIGKILL');
	});
}

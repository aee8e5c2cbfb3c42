import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { request as ask, type IncomingMessage, type ServerResponse } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
	DEMO_BOOKS_COOKIE,
	DEMO_BOOKS_SETTING,
	LEAVE_DEMO_BOOKS,
	type DemoBooks
} from '../lib/server/services/demo-books';
import { freePort } from './free-port';

/** So long they stay where nobody asks for anything, in milliseconds. */
const IDLE_MS = 2 * 3_600_000;
/** So long making them may take, in milliseconds. */
const MAKING_MS = 180_000;
const LOOK_EVERY_MS = 200;
/** What of the environment goes along: no mail server, no database and no key of the firm's. */
const ENVIRONMENT = ['PATH', 'HOME', 'TMPDIR', 'TZ', 'LANG', 'NODE_ENV'] as const;
const HERE = '127.0.0.1';

/**
 * Demo books for whoever wants to look around before they have any: made and served by a process of their own, in a folder that is thrown
 * away. Requests of those who chose them (by a cookie) are handed on as they are; nothing of the firm's own books is reached that way.
 */
export class DemoProcess implements DemoBooks {
	#child: ChildProcess | null = null;
	#port: number | null = null;
	#folder: string | null = null;
	#starting: Promise<void> | null = null;
	#idle: NodeJS.Timeout | null = null;
	readonly #root: string;
	readonly #proxied: boolean;

	/** @param root of the repository; @param proxied whether a proxy in front tells protocol and address */
	constructor(root: string, proxied: boolean) {
		this.#root = root;
		this.#proxied = proxied;
	}

	start(): Promise<void> {
		this.#starting ??= this.#begin().catch((error: unknown) => {
			this.stop();
			throw error;
		});
		return this.#starting;
	}

	/** Answers a request of somebody who looks around; false where it is none. */
	take(request: IncomingMessage, response: ServerResponse): boolean {
		if (!hasCookie(request.headers.cookie)) return false;
		if (this.#port === null || request.url === LEAVE_DEMO_BOOKS) leave(response);
		else this.#handOn(this.#port, request, response);
		return true;
	}

	/** Ends them, and throws away what was in them. */
	stop(): void {
		if (this.#idle) clearTimeout(this.#idle);
		this.#child?.kill('SIGKILL');
		if (this.#folder) rmSync(this.#folder, { recursive: true, force: true });
		[this.#child, this.#port, this.#folder, this.#starting, this.#idle] = [null, null, null, null, null];
	}

	async #begin(): Promise<void> {
		const port = await freePort();
		this.#folder = mkdtempSync(join(tmpdir(), 'odd-penny-demo-'));
		const given = ENVIRONMENT.flatMap((name) => {
			const value = process.env[name];
			return value === undefined ? [] : [[name, value] as const];
		});
		const child = spawn(process.execPath, [join(this.#root, 'build/tools/demo.js'), '--with-todays-files'], {
			env: {
				...Object.fromEntries(given),
				...{ ODD_PENNY_ROOT: this.#root, DATA_DIR: this.#folder, PORT: String(port), HOST: HERE },
				...{ TRUST_PROXY: '1', LOG_LEVEL: 'warn', [DEMO_BOOKS_SETTING]: '1' }
			},
			stdio: ['ignore', 'ignore', 'inherit']
		});
		this.#child = child;
		child.once('exit', () => this.#child === child && this.stop());
		const until = Date.now() + MAKING_MS;
		while (!(await answers(port))) {
			if (this.#child !== child || Date.now() > until) throw new Error('the demo books could not be made');
			await new Promise((done) => setTimeout(done, LOOK_EVERY_MS));
		}
		this.#port = port;
		this.#used();
	}

	#handOn(port: number, request: IncomingMessage, response: ServerResponse): void {
		this.#used();
		const { connection: _connection, ...headers } = request.headers;
		const told = this.#proxied ? headers : {};
		const onward = ask(
			{
				...{ host: HERE, port, method: request.method, path: request.url },
				headers: {
					...headers,
					'x-forwarded-proto': told['x-forwarded-proto'] ?? 'http',
					'x-forwarded-for': told['x-forwarded-for'] ?? request.socket.remoteAddress ?? ''
				}
			},
			(answer) => {
				const { connection: _hop, 'transfer-encoding': _encoding, ...kept } = answer.headers;
				response.writeHead(answer.statusCode ?? 502, kept);
				answer.pipe(response);
			}
		);
		onward.on('error', () => {
			if (response.headersSent) response.destroy();
			else response.writeHead(502, { 'content-type': 'text/plain' }).end('The demo books do not answer.');
		});
		response.on('close', () => onward.destroy());
		request.pipe(onward);
	}

	#used(): void {
		if (this.#idle) clearTimeout(this.#idle);
		this.#idle = setTimeout(() => this.stop(), IDLE_MS);
		this.#idle.unref();
	}
}

function hasCookie(header: string | undefined): boolean {
	return header?.split(';').some((one) => one.trim() === `${DEMO_BOOKS_COOKIE}=1`) ?? false;
}

/** Back to the firm's own books. */
function leave(response: ServerResponse): void {
	response.writeHead(303, {
		location: '/',
		'set-cookie': `${DEMO_BOOKS_COOKIE}=; Path=/; Max-Age=0; HttpOnly; SameSite=Lax`
	});
	response.end();
}

function answers(port: number): Promise<boolean> {
	return fetch(`http://${HERE}:${port}/health`).then(
		(answer) => answer.ok,
		() => false
	);
}

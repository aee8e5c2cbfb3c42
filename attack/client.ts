/** What a form's act was answered with. */
export interface Told {
	/** The status of the act: that of its failure, not of the answer that carries it. */
	readonly status: number;
	/** `success`, `failure`, `redirect` or `error`; `none` where the answer is no act's. */
	readonly type: string;
	readonly text: string;
}

/** Somebody who talks to the application without its pages. */
export class Client {
	constructor(
		readonly base: string,
		readonly cookie: string = ''
	) {}

	/** Signs in with one of the demo's people, by role. */
	static async asDemo(base: string, role: string): Promise<Client> {
		return new Client(base, await signIn(base, 'demo', { role }));
	}

	static async withPassword(base: string, email: string, password: string): Promise<Client> {
		return new Client(base, await signIn(base, 'person', { email, password }));
	}

	async get(path: string): Promise<{ readonly status: number; readonly text: string }> {
		const answer = await fetch(this.base + path, { headers: { cookie: this.cookie }, redirect: 'manual' });
		return { status: answer.status, text: await answer.text() };
	}

	/** Sends a form's fields as the interface does, as JSON with a key. @param json text that need not be JSON */
	async act(path: string, json: string, key?: string): Promise<Told> {
		const body = new FormData();
		body.set('json', json);
		if (key !== undefined) body.set('key', key);
		return this.post(path, body);
	}

	async post(path: string, body: FormData | URLSearchParams | string): Promise<Told> {
		const headers = {
			...{ cookie: this.cookie, origin: this.base, accept: 'application/json' },
			...(path.includes('?/') || !path.startsWith('/api/') ? { 'x-sveltekit-action': 'true' } : {})
		};
		const answer = await fetch(this.base + path, { method: 'POST', body, headers, redirect: 'manual' });
		const text = await answer.text();
		const told = told200(text);
		return { status: told?.status ?? answer.status, type: told?.type ?? 'none', text };
	}
}

function told200(text: string): { type: string; status?: number } | null {
	try {
		const told = JSON.parse(text) as { type?: unknown; status?: number };
		return typeof told.type === 'string'
			? { type: told.type, ...(told.status && { status: told.status }) }
			: null;
	} catch {
		return null;
	}
}

async function signIn(base: string, how: string, fields: Record<string, string>): Promise<string> {
	const answer = await fetch(`${base}/sign-in?/${how}`, {
		...{ method: 'POST', body: new URLSearchParams(fields), headers: { origin: base }, redirect: 'manual' }
	});
	const cookie = answer.headers
		.getSetCookie()
		.map((one) => one.split(';')[0])
		.join('; ');
	if (!cookie) throw new Error(`signing in was answered with ${answer.status}`);
	return cookie;
}

import { addresses } from './odd-addresses';
import type { Client } from './client';
import { listActions } from './list-actions';
import { SEEN_BY, SENT_BY } from './who-may';

const RANK = { anybody: 0, reader: 1, clerk: 2, supervisor: 3 } as const;
type Level = keyof typeof RANK;

/** Answers to whoever asks, also before signing in. */
const OPEN = [
	...['/sign-in', '/sign-in/second-step', '/set-password'],
	...['/first-start', '/first-start/demo-books', '/health']
];

export interface RolesReport {
	readonly asked: number;
	/** Requests that were answered otherwise than they should be, each in a line. */
	readonly wrong: readonly string[];
}

/**
 * Asks for every page and sends every form as everybody: who is not signed in, a reader, a clerk, a supervisor, and a session that is
 * made up. Each is let through or refused as `who-may` says; forms and pages that are not in it, or not in the code, are named.
 */
export async function tryRoles(
	root: string,
	clients: Readonly<Record<Level, Client>>,
	forged: Client
): Promise<RolesReport> {
	const wrong: string[] = [];
	let asked = 0;
	const actions = listActions(root);
	for (const { path } of actions)
		if (!(path in SENT_BY)) wrong.push(`${path} is in the code, not in the table`);
	for (const path of Object.keys(SENT_BY))
		if (!actions.some((one) => one.path === path)) wrong.push(`${path} is in the table, not in the code`);
	const { paths } = addresses(root);
	for (const path of Object.keys(SEEN_BY))
		if (!paths.includes(path)) wrong.push(`${path} is in the table, not in the code`);
	const everybody: readonly (readonly [string, Level, Client])[] = [
		['nobody', 'anybody', clients.anybody],
		['a forged session', 'anybody', forged],
		['a reader', 'reader', clients.reader],
		['a clerk', 'clerk', clients.clerk],
		['a supervisor', 'supervisor', clients.supervisor]
	];
	for (const path of paths)
		for (const [who, level, client] of everybody) {
			asked++;
			const { status } = await client.get(path.replace(/\[\w+\]/g, '1'));
			const needs = OPEN.includes(path) ? 'anybody' : (SEEN_BY[path] ?? 'reader');
			// Who is not signed in is led to signing in, or told to; who is and may not is told that.
			const turnedAway = level === 'anybody' ? [303, 307, 401] : [403];
			const refused = turnedAway.includes(status);
			const should = RANK[level] < RANK[needs];
			// What is open to all may lead on by itself; what takes forms alone has nothing to see.
			if (status >= 500 || (should && !refused) || (!should && refused && !OPEN.includes(path)))
				wrong.push(`${who} asks for ${path}: ${status}`);
		}
	for (const { path } of actions)
		for (const [who, level, client] of everybody) {
			const needs = SENT_BY[path];
			if (needs === undefined || needs === 'anybody') continue;
			asked++;
			const { status, text } = await client.act(path.replace(/\[\w+\]/g, '1'), '{}');
			const refused = level === 'anybody' ? status === 401 : status === 403 && text.includes('not-allowed');
			if (status >= 500 || refused !== RANK[level] < RANK[needs])
				wrong.push(`${who} sends ${path}: ${status} ${text.slice(0, 100)}`);
		}
	return { asked, wrong };
}

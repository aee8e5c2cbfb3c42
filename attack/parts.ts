import { copyFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { config } from '../src/lib/server/platform/config';
import { copyOf, PASSWORD, PEOPLE } from './attack-books';
import { sendBadInputs } from './bad-inputs';
import { Client } from './client';
import { letCrowdLoose } from './crowd';
import { forgeBooks } from './forgeries';
import { killAtRandom } from './kills';
import { lookInto, proofOf } from './look-into';
import type { PartReport } from './part-report';
import { walkOddAddresses } from './odd-addresses';
import { tryRoles } from './roles';
import { freePort, killed, startServer } from './start-server';
import { sendTwice } from './two-senders';

/** A part of the attack. @param folder books to copy, which stay as they are @param short whether a part of it will do */
type Part = (folder: string, short: boolean) => Promise<PartReport>;

const { root } = config();

/** Does something to a server on books of its own; the books have to prove afterwards. */
async function withServer(
	books: string,
	what: (base: string, folder: string) => Promise<PartReport>
): Promise<PartReport> {
	const folder = copyOf(books);
	const port = await freePort();
	const server = await startServer(port, folder, { root });
	try {
		const { wrong, ...report } = await what(`http://127.0.0.1:${port}`, folder);
		await killed(server);
		const broken = await proofOf(folder);
		return { ...report, wrong: [...wrong, ...broken.map((line) => `the books do not prove: ${line}`)] };
	} finally {
		await killed(server);
		rmSync(folder, { recursive: true, force: true });
	}
}

/** The parts, by the names that the command line knows them by. */
export const PARTS: Readonly<Record<string, Part>> = {
	roles: (books) =>
		withServer(books, async (base) => {
			const clients = {
				anybody: new Client(base),
				reader: await Client.asDemo(base, 'reader'),
				clerk: await Client.asDemo(base, 'clerk'),
				supervisor: await Client.asDemo(base, 'supervisor')
			};
			const cookie = clients.supervisor.cookie.replace(/=[^;]{20}/, `=${'A'.repeat(20)}`);
			const { asked, wrong } = await tryRoles(root, clients, new Client(base, cookie));
			return { said: `${asked} requests by role`, reached: asked, wrong };
		}),
	addresses: (books, short) =>
		withServer(books, async (base) => {
			const client = await Client.asDemo(base, 'supervisor');
			const { asked, failed } = await walkOddAddresses(root, (path) => client.get(path), short ? 4 : 1);
			return { said: `${asked} odd addresses`, reached: asked, wrong: failed };
		}),
	inputs: (books, short) =>
		withServer(books, async (base) => {
			const client = await Client.asDemo(base, 'supervisor');
			const report = await sendBadInputs(root, client, short ? 1_000 : 10_000);
			const { sent, refused, failed, slowest } = report;
			const up = (await fetch(`${base}/health`)).ok ? [] : ['the application does not answer any more'];
			return {
				said: `${sent} bad inputs, ${refused} refused, the slowest ${slowest[0]} ms (${slowest[1]})`,
				reached: sent,
				wrong: [...failed, ...up]
			};
		}),
	crowd: (books, short) =>
		withServer(books, async (base, folder) => {
			const people = await Promise.all(PEOPLE.map(({ email }) => Client.withPassword(base, email, PASSWORD)));
			const db = lookInto(folder);
			const { done, wrong } = await letCrowdLoose(db, people, short ? 8 : 60);
			db.close();
			const told = Object.entries(done).map(([what, { tried, through }]) => `${what} ${through} of ${tried}`);
			const reached = Object.values(done).reduce((sum, { through }) => sum + through, 0);
			return { said: `${people.length} people at once (${told.sort().join(', ')})`, reached, wrong };
		}),
	senders: async (books, short) => sendTwice(copyOf(books), short ? 12 : 60),
	kills: (books, short) => killAtRandom(copyOf(books), short ? 6 : 200),
	letters: (books, short) => killAtRandom(copyOf(books), short ? 4 : 50, { only: 'sending', within: 2_500 }),
	forgeries: async (books) => {
		const copy = join(books, 'forged.db');
		copyFileSync(join(books, 'odd-penny.db'), copy);
		const { made, unnoticed, refused, left } = await forgeBooks(`file:${copy}`);
		for (const why of left) console.log(`  not covered: ${why}`);
		return {
			said: `${made} forgeries, ${made - unnoticed.length} noticed, ${refused.length} refused by the tables`,
			reached: made,
			wrong: unnoticed
		};
	}
};

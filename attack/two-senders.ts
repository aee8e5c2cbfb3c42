import { askForStatement } from './ask-for-statements';
import { rmSync } from 'node:fs';
import { setTimeout as pause } from 'node:timers/promises';
import { append } from '../src/lib/core/append';
import { config } from '../src/lib/server/platform/config';
import { Client } from './client';
import { countMail } from './counting-mail';
import { lookInto, proofOf } from './look-into';
import type { PartReport } from './part-report';
import { freePort, killed, startServer } from './start-server';

/** Two processes serve the same books, and two people send the same letters through both at once: each letter goes once. */
export async function sendTwice(folder: string, most: number): Promise<PartReport> {
	const { root } = config();
	const mail = await countMail(20);
	const over = { SMTP_URL: mail.url };
	const ports = [await freePort(), await freePort()];
	const servers = await Promise.all(ports.map((port) => startServer(port, folder, { root, over })));
	const db = lookInto(folder);
	const wrong: string[] = [];
	try {
		const people = await Promise.all(
			ports.map((port, n) => Client.asDemo(`http://127.0.0.1:${port}`, n === 0 ? 'clerk' : 'supervisor'))
		);
		const { rows } = await db.execute({
			sql: `select distinct i.customer_id as customer, d.currency from item_state s join item i on i.id = s.item_id
				join document d on d.id = i.document_id where s.open > 0 limit ?`,
			args: [most]
		});
		const newest = async (table: string) =>
			Number((await db.execute(`select coalesce(max(id), 0) as id from ${table}`)).rows[0]!['id']);
		const before = await newest('letter');
		const seen = { letter: before, run: await newest('letter_run') };
		for (let n = 0; n < rows.length; n++) {
			const told = await Promise.all(
				people.map((person) =>
					askForStatement(
						person,
						{ customerId: rows[n]!['customer'], currency: rows[n]!['currency'] },
						seen,
						`${n} ${person.base}`
					)
				)
			);
			for (const { status, text } of told) if (status >= 500) wrong.push(`${status}: ${text.slice(0, 200)}`);
		}
		const waiting = `select (select count(*) from delivery where state in ('waiting', 'sending'))
			+ (select count(*) from run_letter where state = 'to-write') as n`;
		for (let tries = 0; tries < 300 && Number((await db.execute(waiting)).rows[0]!['n']) > 0; tries++)
			await pause(100);
		const letters = (
			await db.execute({
				sql: `select l.id, l.customer_id as customer, l.currency, d.state, d.tries, d.message_id as mid from letter l
					join delivery d on d.letter_id = l.id where l.id > ?`,
				args: [before]
			})
		).rows;
		const accounts = letters.map((row) => `${String(row['customer'])} ${String(row['currency'])}`);
		const doubled = accounts.filter((one, i) => accounts.indexOf(one) !== i);
		for (const account of doubled) wrong.push(`two letters were written to account ${account}`);
		let sent = 0;
		for (const row of letters) {
			const times = mail.came.get(String(row['mid'])) ?? 0;
			if (row['state'] === 'sent') sent++;
			if (times !== (row['state'] === 'sent' ? 1 : 0) || Number(row['tries']) > 1)
				wrong.push(
					`letter ${String(row['id'])} is ${String(row['state'])} and arrived ${times} times, tried ${String(row['tries'])} times`
				);
		}
		if (letters.length < Math.min(most, rows.length) / 2)
			wrong.push(`only ${letters.length} letters were written`);
		await Promise.all(servers.map(killed));
		append(wrong, await proofOf(folder));
		return {
			said: `${letters.length} letters by two people through two processes, ${sent} sent`,
			reached: sent,
			wrong
		};
	} finally {
		await Promise.all(servers.map(killed));
		await mail.close();
		db.close();
		rmSync(folder, { recursive: true, force: true });
	}
}

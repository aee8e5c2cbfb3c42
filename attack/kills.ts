import { askForStatement } from './ask-for-statements';
import type { ChildProcess } from 'node:child_process';
import { rmSync } from 'node:fs';
import { setTimeout as pause } from 'node:timers/promises';
import type { Client as Db } from '@libsql/client';
import { append } from '../src/lib/core/append';
import { camtXml } from '../src/demo/camt-xml';
import { STERLING } from '../src/demo/firm';
import { chance } from '../src/demo/random';
import { config } from '../src/lib/server/platform/config';
import { Client } from './client';
import { countMail, type CountingMail } from './counting-mail';
import { keysNotOnce, lookInto, overAllocated, proofOf } from './look-into';
import type { PartReport } from './part-report';
import { freePort, killed, startServer } from './start-server';

/** What goes on when the process is killed. Each says what it was told had been done, by the keys of those acts. */
interface Work {
	readonly name: string;
	go(at: At): Promise<void>;
}

interface At {
	readonly db: Db;
	readonly clerk: Client;
	readonly supervisor: Client;
	readonly n: number;
	/** An act that was acknowledged, by its key. */
	acknowledged(key: string): void;
	/** Statements that were sent so far, by their names. */
	readonly statements: Map<string, string>;
	/** A statement that was said to be in. */
	imported(name: string): void;
}

const WORK: readonly Work[] = [
	{
		name: 'import',
		async go({ db, clerk, n, imported, statements }) {
			// The one before once more, for it may have been cut off: what of it is there already does not come twice.
			const names = [`KILL${n}`, ...statements.keys()].slice(-2);
			for (const name of names.reverse()) {
				const text = statements.get(name) ?? statement(name, await closingOf(db), n);
				statements.set(name, text);
				const form = new FormData();
				form.set('files', new File([text], `${name}.xml`));
				const told = await clerk.post('/money-in/bring-in', form);
				if (told.text.includes(' entries')) imported(name);
			}
		}
	},
	{
		name: 'posting',
		async go({ db, clerk, n, acknowledged }) {
			const { rows } = await db.execute(`select s.receipt_id as id, s.version from receipt_state s
				join receipt r on r.id = s.receipt_id where s.state = 'waiting' and r.amount > 0 and r.currency = 'GBP' limit 40`);
			for (const { id, version } of rows) {
				const key = `kill ${n} ${String(id)}`;
				const order = { receiptId: id, receiptVersion: version, customerId: 1, lines: [], date: null };
				const { type } = await clerk.act('/money-in?/post', JSON.stringify(order), key);
				if (type === 'success') acknowledged(key);
			}
		}
	},
	{
		name: 'sending',
		async go({ db, clerk, n }) {
			const { rows } =
				await db.execute(`select distinct i.customer_id as customerId, d.currency from item_state s
				join item i on i.id = s.item_id join document d on d.id = i.document_id where s.open > 0 order by 1 limit 8 offset ${(n * 8) % 80}`);
			const newest = async (table: string) =>
				Number((await db.execute(`select coalesce(max(id), 0) as id from ${table}`)).rows[0]!['id']);
			const seen = { letter: await newest('letter'), run: await newest('letter_run') };
			for (const [i, { customerId, currency }] of rows.entries())
				await askForStatement(clerk, { customerId, currency }, seen, `kill ${n} letter ${i}`);
			await pause(2_000);
		}
	},
	{
		name: 'month end',
		async go({ db, supervisor, n, acknowledged }) {
			const { rows } = await db.execute(`select value from setting where key = 'lockedThrough'`);
			const from = Date.parse(rows.length ? (JSON.parse(String(rows[0]!['value'])) as string) : '2025-11-01');
			const key = `kill ${n} lock`;
			const through = new Date(from + 86_400_000).toISOString().slice(0, 10);
			const { type } = await supervisor.act(
				'/books/periods?/lock',
				JSON.stringify({ through, reason: 'month end' }),
				key
			);
			if (type === 'success') acknowledged(key);
			await supervisor.get('/books/proof');
		}
	}
];

export interface KillOptions {
	readonly seed?: number;
	/** This work alone. */
	readonly only?: string;
	/** Milliseconds in which it is killed. */
	readonly within?: number;
}

/**
 * Kills the server at a random moment of importing, posting, sending letters or locking a month, again and again on the same books:
 * nothing that was acknowledged is missing, nothing is there twice, no letter arrives twice by itself, and the books prove each time. At
 * last it is left to run: every letter that was asked for is then sent, or said to have been cut off.
 */
export async function killAtRandom(
	folder: string,
	times: number,
	{ seed = 11, only, within = 700 }: KillOptions = {}
): Promise<PartReport> {
	const { root } = config();
	const all = WORK.filter(({ name }) => only === undefined || name === only);
	const random = chance(seed);
	const mail = await countMail(30);
	const db = lookInto(folder);
	const before = Number((await db.execute('select coalesce(max(id), 0) as id from letter')).rows[0]!['id']);
	const wrong: string[] = [];
	const keys = new Set<string>();
	const [statements, said] = [new Map<string, string>(), new Set<string>()];
	const counts: Record<string, number> = {};
	let underWay = 0;
	try {
		for (let n = 0; n < times; n++) {
			const work = all[n % all.length]!;
			const port = await freePort();
			const server = await startServer(port, folder, { root, over: { SMTP_URL: mail.url } });
			const base = `http://127.0.0.1:${port}`;
			const [clerk, supervisor] = [
				await Client.asDemo(base, 'clerk'),
				await Client.asDemo(base, 'supervisor')
			];
			const going = work
				.go({
					...{ db, clerk, supervisor, n, statements },
					acknowledged: (key) => keys.add(key),
					imported: (name) => said.add(name)
				})
				.then(
					() => false,
					() => true
				);
			const cutOff = await killAfter(server, random.int(0, within), going);
			counts[work.name] = (counts[work.name] ?? 0) + 1;
			if (cutOff) underWay++;
			const broken = await proofOf(folder);
			for (const line of broken) wrong.push(`after kill ${n} (${work.name}): ${line}`);
			if (broken.length) break;
		}
		append(wrong, await keysNotOnce(db, keys));
		append(wrong, await overAllocated(db));
		append(wrong, await statementsNotOnce(db, said));
		append(wrong, await lettersLeft(db, folder, mail.url));
		append(wrong, await lettersTwice(db, mail, before));
	} finally {
		db.close();
		await mail.close();
		rmSync(folder, { recursive: true, force: true });
	}
	const reached = keys.size + said.size + mail.came.size;
	const each = Object.entries(counts).map(([name, count]) => `${name} ${count}`);
	return {
		said: `${times} kills (${each.join(', ')}), ${underWay} of them in the middle of it, ${keys.size + said.size} acts acknowledged, ${mail.came.size} letters arrived`,
		reached,
		wrong
	};
}

/** Kills after some milliseconds, or when the work is done. @returns whether it cut something off */
async function killAfter(
	server: ChildProcess,
	milliseconds: number,
	going: Promise<boolean>
): Promise<boolean> {
	await Promise.race([pause(milliseconds), going]);
	await killed(server);
	return going;
}

/** A statement that was said to be in is in whole; one that was cut off is in whole, or not at all. */
async function statementsNotOnce(db: Db, said: ReadonlySet<string>): Promise<string[]> {
	const { rows } = await db.execute(
		`select bank_reference as reference, count(*) as n from bank_entry where bank_reference like 'KILL%' group by 1`
	);
	const there = new Map<string, number>();
	for (const row of rows) {
		const statement = String(row['reference']).split('-')[0]!;
		there.set(statement, (there.get(statement) ?? 0) + Number(row['n']));
	}
	return [
		...[...there].flatMap(([name, n]) => (n === ENTRIES ? [] : [`${name} has ${n} of ${ENTRIES} entries`])),
		...[...said].flatMap((name) => (there.has(name) ? [] : [`${name} was said to be in and is not`]))
	];
}

/** How long what was cut off may take to be done. */
const REST_MS = 60_000;

/** Lets the application do what is left: no letter that was asked for stays unwritten, or in line. */
async function lettersLeft(db: Db, folder: string, mailUrl: string): Promise<string[]> {
	const { root } = config();
	const server = await startServer(await freePort(), folder, { root, over: { SMTP_URL: mailUrl } });
	const left = async () => {
		const { rows } =
			await db.execute(`select (select count(*) from run_letter where state = 'to-write') as unwritten,
			(select count(*) from delivery where state in ('waiting', 'sending')) as waiting`);
		return [Number(rows[0]!['unwritten']), Number(rows[0]!['waiting'])] as const;
	};
	let [unwritten, waiting] = await left();
	for (const until = Date.now() + REST_MS; unwritten + waiting > 0 && Date.now() < until;) {
		await pause(200);
		[unwritten, waiting] = await left();
	}
	await killed(server);
	return unwritten + waiting > 0
		? [`${unwritten} letters are still unwritten, ${waiting} are still in line`]
		: [];
}

/** A letter that is marked as sent arrived, once; one that was cut off is marked as failed, and does not go again by itself. */
async function lettersTwice(db: Db, mail: CountingMail, before: number): Promise<string[]> {
	const { rows } = await db.execute({
		sql: `select message_id as mid, state from delivery where letter_id > ?`,
		args: [before]
	});
	return rows.flatMap(({ mid, state }) => {
		const times = mail.came.get(String(mid)) ?? 0;
		return times > 1 || (state === 'sent' && times === 0)
			? [`${String(mid)} is ${String(state)} and arrived ${times} times`]
			: [];
	});
}

const ENTRIES = 300;

/** What the account stands at by the last statement that is in. */
async function closingOf(db: Db): Promise<number> {
	const { rows } =
		await db.execute(`select s.closing from bank_statement s join bank_account a on a.id = s.bank_account_id
		where a.currency = 'GBP' order by s.id desc limit 1`);
	return Number(rows[0]!['closing']);
}

/** A statement of made-up entries that goes on where the account stands. */
function statement(reference: string, opening: number, sequence: number): string {
	return [
		...camtXml(
			[
				{
					...{ reference, sequence, account: STERLING, currency: 'GBP', opening },
					...{ openingOn: '2026-10-30', closingOn: '2026-10-30' },
					entries: Array.from({ length: ENTRIES }, (_, i) => ({
						...{ amount: 1_000 + i, booked: '2026-10-30' as const, reference: `${reference}-${i}` },
						details: [{ amount: 1_000 + i, name: `PAYER ${i}`, account: `ACC${i}`, text: `KILL ${i}` }]
					}))
				}
			],
			reference
		)
	].join('');
}

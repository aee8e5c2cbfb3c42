import { createClient, type Client as Db } from '@libsql/client';
import { execFile } from 'node:child_process';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { config } from '../src/lib/server/platform/config';

const run = promisify(execFile);

/** The books of a folder, to be looked into from outside. */
export function lookInto(folder: string): Db {
	return createClient({ url: `file:${join(folder, 'odd-penny.db')}` });
}

/** What the proof says against the books of a folder; empty where they prove. */
export async function proofOf(folder: string): Promise<string[]> {
	const env = { ...process.env, DATA_DIR: folder, ODD_PENNY_ROOT: config().root, NODE_ENV: 'production' };
	try {
		await run(process.execPath, [join(config().root, 'build/tools/prove.js')], { env, maxBuffer: 1e8 });
		return [];
	} catch (error) {
		const { stdout, stderr } = error as { stdout?: string; stderr?: string };
		return `${stdout ?? ''}${stderr ?? ''}`.split('\n').filter((line) => !line.startsWith('holds'));
	}
}

/** Of the keys of acts that were acknowledged those that are not in the record once. */
export async function keysNotOnce(db: Db, keys: Iterable<string>): Promise<string[]> {
	const counts = new Map<string, number>();
	for (const row of (
		await db.execute('select key, count(*) as n from act where key is not null group by key')
	).rows)
		counts.set(String(row['key']), Number(row['n']));
	return [...keys].flatMap((key) => {
		const n = counts.get(key) ?? 0;
		return n === 1 ? [] : [`${key} was acknowledged and is in the record ${n} times`];
	});
}

/** Money that was given away twice: receipts of which more is allocated than came, items that are owed less than nothing. */
export async function overAllocated(db: Db): Promise<string[]> {
	const { rows } = await db.execute(`
		select 'receipt ' || r.id as what from receipt r join receipt_state s on s.receipt_id = r.id
		where r.amount > 0 and (s.on_account < 0 or
			coalesce((select sum(a.credit_amount) from standing_allocation a where a.receipt_id = r.id), 0) + s.on_account >
			r.amount + coalesce((select sum(c.amount) from standing_receipt_adjustment c where c.receipt_id = r.id), 0))
		union all
		select 'item ' || i.id from item i join item_state s on s.item_id = i.id
		where (i.total >= 0 and (s.open < 0 or s.open > i.total)) or (i.total < 0 and (s.open > 0 or s.open < i.total))`);
	return rows.map((row) => `${String(row['what'])} is over-allocated`);
}

import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { readSetting, writeSetting } from '../../firm/store/settings';
import { openForReading } from './open-for-reading';
import { openBooks } from './open';

it('reads one moment and stops no writer meanwhile', async () => {
	const url = `file:${join(mkdtempSync(join(tmpdir(), 'odd-penny-')), 'books.db')}`;
	const books = await openBooks(url, { migrations: 'drizzle' });
	const rule = (account: string) => ({ MOWE: { account, by: 'Ada' } });
	const account = async (db: Parameters<typeof readSetting>[0]) =>
		(await readSetting(db, 'asideRules'))?.['MOWE']?.account;
	await books.write((tx) => writeSetting(tx, 'asideRules', rule('2150')));
	const reading = openForReading(url);
	const seen = await reading.transaction(async (tx) => {
		const before = await account(tx);
		await books.write((other) => writeSetting(other, 'asideRules', rule('6100')));
		return [before, await account(tx)];
	});
	expect(seen).toEqual(['2150', '2150']);
	expect(await account(reading)).toBe('6100');
	await books.close();
});

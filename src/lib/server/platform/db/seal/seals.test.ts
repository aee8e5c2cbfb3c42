import { copyFileSync } from 'node:fs';
import { createClient, type Client } from '@libsql/client';
import { sql } from 'drizzle-orm';
import { getTableConfig, SQLiteTable } from 'drizzle-orm/sqlite-core';
import { is } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { allocateReceipt } from '../../../allocation/commands/allocate-receipt';
import { setAddress } from '../../../customers/commands/set-address';
import { bankXml, bringIn, CLERK, credit, done, newDocument, payment, testBooks } from '../../../testing';
import { openBooks, type Books } from '../open';
import * as schema from '../schema';
import { checkSeals, type SealCheck } from './check-seals';
import { ROW_FORMS } from './row-form';
import { SEALED_TABLES } from './sealed-tables';

const SOUND = { unsound: [], foreign: [], pending: [], unguarded: [] };
const findings = ({ chain, ...rest }: SealCheck) => ({
	...rest,
	...(chain.broken.length > 0 && { broken: chain.broken })
});

async function someBooks() {
	const books = await testBooks(newDocument('AK-1', 1, 1000), newDocument('AK-2', 1, 2000));
	await bringIn(books, bankXml([credit(1000, 'AK-1'), credit(2000, 'AK-2')]));
	await done(books, allocateReceipt, payment(1, 1, [1, 1000]), CLERK);
	return books;
}

/** Writes to the file beside the application, as somebody who may do anything to it. */
async function forge(books: { readonly file: string }, ...statements: readonly string[]): Promise<void> {
	const client = createClient({ url: `file:${books.file}` });
	await quietly(client, statements);
	client.close();
}

/** With the triggers lifted for the while, so that nothing is noted or refused. */
async function quietly(client: Client, statements: readonly string[]): Promise<void> {
	const { rows } = await client.execute(`select name, sql from sqlite_master where type = 'trigger'`);
	await client.execute('PRAGMA foreign_keys = off');
	for (const row of rows) await client.execute(`drop trigger "${String(row.name)}"`);
	for (const statement of statements) await client.execute(statement);
	for (const row of rows) await client.execute(String(row.sql));
}

describe('what is sealed', () => {
	it('is every table, or there is a reason; what is posted cannot be changed', async () => {
		const tables = Object.values(schema)
			.filter((one) => is(one, SQLiteTable))
			.map((table) => getTableConfig(table).name);
		expect(tables.sort()).toEqual(Object.keys(SEALED_TABLES).sort());
		const books = await testBooks();
		const triggers = new Set(
			(await books.db.all<{ name: string }>(sql`select name from sqlite_master where type = 'trigger'`)).map(
				({ name }) => name
			)
		);
		for (const { name, posted } of ROW_FORMS.values())
			if (posted)
				expect([name, triggers.has(`${name}_no_update`), triggers.has(`${name}_no_delete`)]).toEqual([
					name,
					true,
					true
				]);
	});
	it('is all that acts write, read back as it is stored', async () => {
		const books = await someBooks();
		expect(findings(await checkSeals(books.db))).toEqual(SOUND);
		const seals = await books.db.select().from(schema.seal);
		expect(seals.at(-1)!.actId).toBe((await books.db.select().from(schema.act)).length);
	});
	it('goes on over a stop and another process', async () => {
		const books = await someBooks();
		const again = await openBooks(`file:${books.file}`, { migrations: 'drizzle' });
		await done(again, allocateReceipt, payment(2, 1, [2, 2000]), CLERK);
		await done(books, setAddress, { customerId: 1, kind: 'statement', email: 'new@hazel.example' }, CLERK);
		expect(findings(await checkSeals(again.db))).toEqual(SOUND);
	});
	it('is whole in a copy of the file alone once the books are closed', async () => {
		const books = await someBooks();
		const before = (await books.db.select().from(schema.seal)).length;
		await books.close();
		const copy = `${books.file}.copy`;
		copyFileSync(books.file, copy);
		const again = await openBooks(`file:${copy}`, { migrations: 'drizzle' });
		expect((await again.db.select().from(schema.seal)).length).toBe(before);
		expect(findings(await checkSeals(again.db))).toEqual(SOUND);
	});
	it('is not what was taken back', async () => {
		const books = await someBooks();
		const before = (await books.db.select().from(schema.seal)).length;
		await expect(
			books.write(async (tx) => {
				await tx.insert(schema.setting).values({ key: 'x', value: '1' });
				throw new Error('no');
			})
		).rejects.toThrow('no');
		expect((await books.db.select().from(schema.seal)).length).toBe(before);
		expect(findings(await checkSeals(books.db))).toEqual(SOUND);
	});
});

describe('a forgery shows', () => {
	const cases: readonly (readonly [string, readonly string[], { readonly unsound?: readonly object[] }])[] = [
		[
			'an amount moved',
			['update allocation set amount = 999 where id = 1'],
			{ unsound: [row('allocation', 1, 'changed')] }
		],
		[
			'who did it',
			[`update act set user_name = 'Nobody' where id = 2`],
			{ unsound: [row('act', 2, 'changed')] }
		],
		[
			'a row added',
			[`insert into rate (currency, day, millionths) values ('EUR', '2026-10-01', 1)`],
			{ unsound: [row('rate', 1, 'added')] }
		],
		[
			'a row taken out',
			['delete from customer_name where id = 2'],
			{ unsound: [row('customer_name', 2, 'missing')] }
		],
		['the last taken out', ['delete from journal_line where id = (select max(id) from journal_line)'], {}],
		[
			'a file',
			[`update bank_file_part set gzip = x'00'`],
			{ unsound: [row('bank_file_part', '[1,0]', 'changed')] }
		],
		[
			'a limit',
			[`update setting set value = '1' where key = 'firm'`],
			{ unsound: [row('setting', 'firm', 'changed')] }
		],
		[
			'a person',
			[`insert into user (id, name, email, created_at, updated_at) values ('x', 'x', 'x@y.example', 1, 1)`],
			{ unsound: [row('user', 'x', 'added')] }
		]
	];
	it.each(cases)('%s', async (_, statements, want) => {
		const books = await someBooks();
		await forge(books, ...statements);
		const { unsound } = await checkSeals(books.db);
		expect(unsound.length).toBeGreaterThan(0);
		if (want.unsound) expect(unsound.map(({ sealId, ...rest }) => (void sealId, rest))).toEqual(want.unsound);
	});
	it('though what follows is sealed: a row that was changed before the application changes it is put down', async () => {
		const books = await someBooks();
		await forge(books, `update customer set notes = 'pays my cousin' where id = 1`);
		await done(books, setAddress, { customerId: 1, kind: 'statement', email: 'new@hazel.example' }, CLERK);
		const { unsound, foreign } = await checkSeals(books.db);
		expect(unsound).toEqual([]);
		expect(foreign).toMatchObject([{ tableName: 'customer', rowKey: 1 }]);
	});
	it('though the triggers noted it: it is not sealed with what the application writes next', async () => {
		const books: Books & { readonly file: string } = await someBooks();
		const client = createClient({ url: `file:${books.file}` });
		await client.execute(`update customer set phone = '666' where id = 1`);
		client.close();
		expect((await checkSeals(books.db)).pending).toEqual([{ tableName: 'customer', rowKey: 1 }]);
		await done(books, allocateReceipt, payment(2, 1, [2, 2000]), CLERK);
		const after = await checkSeals(books.db);
		expect(after.pending).toEqual([]);
		expect(after.foreign).toMatchObject([{ tableName: 'customer', rowKey: 1 }]);
		expect(after.unsound).toMatchObject([row('customer', 1, 'changed')]);
	});
	it.each([
		['a seal changed', 'update seal set at = 1 where id = 2', [{ sealId: 2, what: 'changed' }]],
		[
			'a seal taken out',
			'delete from seal where id = 2',
			[
				{ sealId: 2, what: 'missing' },
				{ sealId: 2, what: 'stray' },
				{ sealId: 3, what: 'changed' }
			]
		],
		[
			'what it covers',
			`update sealed_rows set hash = '' where seal_id = 3`,
			[{ sealId: 3, what: 'changed' }]
		],
		[
			'more covered',
			`insert into sealed_rows (seal_id, table_name, first_key, last_key, rows, hash) values (999, 'act', 1, 1, 1, '')`,
			[{ sealId: 999, what: 'stray' }]
		]
	])('in the chain: %s', async (_, statement, want) => {
		const books = await someBooks();
		await forge(books, statement);
		expect((await checkSeals(books.db)).chain.broken).toEqual(want);
	});
});

function row(tableName: string, key: number | string, what: 'changed' | 'missing' | 'added') {
	return { tableName, firstKey: key, lastKey: key, what };
}

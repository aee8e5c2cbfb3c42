import { createClient } from '@libsql/client';
import { is, sql, type SQL } from 'drizzle-orm';
import { getTableConfig, SQLiteTable } from 'drizzle-orm/sqlite-core';
import { drizzle } from 'drizzle-orm/libsql';
import { generateKeyPairSync } from 'node:crypto';
import { publicText, signAnchor } from '../src/lib/server/platform/anchors/anchor';
import { checkAnchors } from '../src/lib/server/platform/anchors/check-anchors';
import type { Tx } from '../src/lib/server/platform/db/open';
import * as schema from '../src/lib/server/platform/db/schema';
import { checkChain } from '../src/lib/server/platform/db/seal/check-chain';
import { checkTable } from '../src/lib/server/platform/db/seal/check-table';
import { missingGuards } from '../src/lib/server/platform/db/seal/guards';
import { installSealsIn } from '../src/lib/server/platform/db/seal/install-seals';
import { ROW_FORMS } from '../src/lib/server/platform/db/seal/row-form';
import { SEALED_TABLES } from '../src/lib/server/platform/db/seal/sealed-tables';

/** An edit of the file of the books, made by somebody who may write to it. */
interface Forgery {
	readonly what: string;
	/** The statements; none where the books hold nothing that could be edited so. */
	readonly edit: readonly SQL[];
	/** Whether it shows. */
	readonly shows: (tx: Tx) => Promise<boolean>;
}

export interface Forgeries {
	readonly made: number;
	readonly unnoticed: readonly string[];
	/** Edits that the tables themselves refuse, however it is tried. */
	readonly refused: readonly string[];
	/** Tables whose rows are not covered, each with its reason. */
	readonly left: readonly string[];
}

const CHAIN = ['seal', 'sealed_rows'];

/**
 * Forges the books in every way that their tables allow, one edit at a time, each taken back: every column changed, rows taken out, added
 * and exchanged, guards removed, the last postings cut off, the chain made anew.
 * @param url of a copy of the books
 */
export async function forgeBooks(url: string): Promise<Forgeries> {
	const client = createClient({ url });
	const db = drizzle(client, { schema });
	const { privateKey } = generateKeyPairSync('ed25519');
	const hashes: string[] = [];
	const { head } = await checkChain(db, (hash) => hashes.push(hash));
	const anchor = signAnchor(
		{ books: hashes[0]!, seals: hashes.length, head, acts: 1, day: '2026-10-30', at: '', reason: 'day' },
		privateKey
	);
	const beyondAnchor = async (tx: Tx) => {
		const now: string[] = [];
		await checkChain(tx, (hash) => now.push(hash));
		return checkAnchors([{ name: 'a', anchor }], now, publicText(privateKey)).length > 0;
	};
	const unnoticed: string[] = [];
	const refused: string[] = [];
	let made = 0;
	const attempt = async (within: Tx, { what, edit, shows }: Forgery) => {
		await takenBack(within, async (tx) => {
			try {
				for (const statement of edit) await tx.run(statement);
			} catch {
				refused.push(what);
				return;
			}
			made++;
			if (!(await shows(tx))) unnoticed.push(what);
		});
	};
	const triggers = await db.all<{ name: string; text: string }>(
		sql`select name, sql as text from sqlite_master where type = 'trigger'`
	);
	await takenBack(db, async (tx) => {
		for (const { name } of triggers.filter(
			({ name: own }) => /_no_|^note_|^bound_/.test(own) && !/_state_no/.test(own)
		))
			await attempt(tx, {
				what: `guard ${name} taken away`,
				edit: [sql`drop trigger ${sql.identifier(name)}`],
				shows: async (at) => (await missingGuards(at)).length > 0
			});
	});
	await takenBack(db, async (tx) => {
		// Whoever edits the file lifts its guards first.
		await tx.run(sql`pragma defer_foreign_keys = on`);
		for (const { name } of triggers) await tx.run(sql`drop trigger ${sql.identifier(name)}`);
		for (const name of [...ROW_FORMS.keys(), ...CHAIN])
			for (const one of await editsOf(tx, name)) await attempt(tx, one);
		for (const seals of [1, 2, 3, 10, 50])
			await attempt(tx, { what: `the last ${seals} cut off`, edit: cutOff(seals), shows: beyondAnchor });
		await attempt(tx, {
			what: 'the chain made anew over an amount changed',
			edit: [
				sql`update journal_line set amount = amount + 1 where id = 1`,
				...CHAIN.map(emptied),
				emptied('sealed_form')
			],
			shows: async (at) => {
				await installSealsIn(at, () => '2026-10-30T10:00:00.000Z');
				return beyondAnchor(at);
			}
		});
	});
	client.close();
	return { made, unnoticed, refused, left: reasons() };
}

class TakenBack extends Error {}

/** Does something to the books, in a transaction or a part of one, and takes it all back. */
async function takenBack(within: Pick<Tx, 'transaction'>, work: (tx: Tx) => Promise<void>): Promise<void> {
	await within
		.transaction(async (tx) => {
			await work(tx);
			throw new TakenBack();
		})
		.catch((error: unknown) => {
			if (!(error instanceof TakenBack)) throw error;
		});
}

interface Column {
	readonly name: string;
	readonly type: string;
	readonly pk: number;
}

/** Every edit of one table: of a row in its middle, and of its last. */
async function editsOf(db: Pick<Tx, 'all'>, table: string): Promise<Forgery[]> {
	const t = sql.identifier(table);
	const columns = await db.all<Column>(sql`select name, type, pk from pragma_table_info(${table})`);
	const rows = await db.all<{ id: number }>(sql`select rowid as id from ${t} order by rowid`);
	const shows = noticedIn(table);
	const edits: Forgery[] = [];
	const middle = rows[Math.floor(rows.length / 2)]?.id;
	const last = rows.at(-1)?.id;
	if (middle === undefined || last === undefined) return [];
	for (const { name, type } of columns)
		edits.push({
			what: `${table}.${name} changed`,
			edit: [sql`update ${t} set ${sql.identifier(name)} = ${other(name, type)} where rowid = ${middle}`],
			shows
		});
	for (const [which, row] of [
		['one', middle],
		['the last', last]
	] as const)
		edits.push({
			what: `${table}: ${which} taken out`,
			edit: [sql`delete from ${t} where rowid = ${row}`],
			shows
		});
	edits.push({ what: `${table}: all taken out`, edit: [emptied(table)], shows });
	edits.push({ what: `${table}: one doubled`, edit: [doubled(table, columns, middle)], shows });
	if (middle !== last && (await differ(db, table, columns, middle, last)))
		edits.push({ what: `${table}: two exchanged`, edit: exchanged(table, columns, middle, last), shows });
	return edits;
}

/** Whether two rows say different things beside their keys: if not, exchanging them is no edit. */
async function differ(
	db: Pick<Tx, 'all'>,
	table: string,
	columns: readonly Column[],
	one: number,
	two: number
): Promise<boolean> {
	const rest = columns.filter(({ pk }) => pk === 0).map(({ name }) => sql`quote(${sql.identifier(name)})`);
	if (rest.length === 0) return false;
	const said = sql.join(rest, sql` || ',' || `);
	const rows = await db.all<{ said: string }>(
		sql`select distinct ${said} as said from ${sql.identifier(table)} where rowid in (${one}, ${two})`
	);
	return rows.length > 1;
}

function noticedIn(table: string): Forgery['shows'] {
	if (CHAIN.includes(table)) return async (tx) => (await checkChain(tx)).broken.length > 0;
	const form = ROW_FORMS.get(table)!;
	return async (tx) => {
		const [since] = await tx.all<{ since: number }>(
			sql`select since_seal as since from sealed_form where table_name = ${table}`
		);
		for await (const one of checkTable(tx, form, since?.since ?? 0)) return one !== null;
		// A form that is gone shows by its own row; what is left of the chain shows the rest.
		return false;
	};
}

/** Another value of a column's type than the one that stands there. */
function other(name: string, type: string): SQL {
	const column = sql.identifier(name);
	if (type === 'INTEGER' || type === 'integer') return sql`coalesce(${column}, 0) + 1000003`;
	if (type === 'blob' || type === 'BLOB')
		return sql`case typeof(${column}) when 'integer' then ${column} + 1000003 else cast(${column} || x'00' as blob) end`;
	return sql`coalesce(${column}, '') || 'x'`;
}

function emptied(table: string): SQL {
	return sql`delete from ${sql.identifier(table)}`;
}

/** A second row like one; its key, and what must be unique, are its own. */
function doubled(table: string, columns: readonly Column[], row: number): SQL {
	const values = columns.map(({ name, type, pk }) => {
		const unique = pk > 0 || UNIQUE.has(`${table}.${name}`);
		return unique ? other(name, type) : sql.identifier(name);
	});
	return sql`insert into ${sql.identifier(table)} select ${sql.join(values, sql`, `)} from ${sql.identifier(table)} where rowid = ${row}`;
}

/** Columns that must differ from row to row: `table.column`. */
const UNIQUE = new Set(
	Object.values(schema)
		.filter((table) => is(table, SQLiteTable))
		.flatMap((table) => {
			const { name, columns, indexes } = getTableConfig(table);
			const own = columns.filter((column) => column.isUnique).map((column) => column.name);
			const indexed = indexes
				.filter((index) => index.config.unique)
				.map((index) => (index.config.columns.at(-1) as { name: string }).name);
			return [...own, ...indexed].map((column) => `${name}.${column}`);
		})
);

/** Two rows exchange their keys; where a key has several parts, everything else. */
function exchanged(table: string, columns: readonly Column[], one: number, two: number): SQL[] {
	const t = sql.identifier(table);
	const [key, ...more] = columns.filter(({ pk }) => pk > 0);
	if (key && more.length === 0) {
		const name = sql.identifier(key.name);
		const of = (row: number) => sql`(select ${name} from forged_rows where forged_id = ${row})`;
		return [
			sql`create temp table forged_rows as select rowid as forged_id, * from ${t} where rowid in (${one}, ${two})`,
			sql`update ${t} set ${name} = -1 where ${name} = ${of(one)}`,
			sql`update ${t} set ${name} = ${of(one)} where ${name} = ${of(two)}`,
			sql`update ${t} set ${name} = ${of(two)} where ${name} = -1`
		];
	}
	const rest = columns.filter(({ pk }) => pk === 0).map(({ name }) => sql.identifier(name));
	const list = sql.join(rest, sql`, `);
	const aside = sql`select ${list} from forged_rows where forged_id =`;
	return [
		sql`create temp table forged_rows as select rowid as forged_id, * from ${t} where rowid in (${one}, ${two})`,
		sql`update ${t} set (${list}) = (${aside} ${two}) where rowid = ${one}`,
		sql`update ${t} set (${list}) = (${aside} ${one}) where rowid = ${two}`
	];
}

/** Takes out the last seals with all rows that they alone cover. */
function cutOff(seals: number): SQL[] {
	const from = sql`(select max(id) - ${seals} from seal)`;
	return [
		...[...ROW_FORMS.values()]
			.filter((form) => form.posted && form.numbered)
			.map(
				(form) => sql`delete from ${sql.identifier(form.name)} where ${sql.identifier(form.key[0]!)} in (
				select first_key from sealed_rows where table_name = ${form.name} and seal_id > ${from})`
			),
		sql`delete from sealed_rows where seal_id > ${from}`,
		sql`delete from seal where id > ${from}`
	];
}

function reasons(): string[] {
	return Object.entries(SEALED_TABLES).flatMap(([name, how]) =>
		typeof how === 'string' || CHAIN.includes(name) ? [] : [`${name}: ${how.notSealed}`]
	);
}

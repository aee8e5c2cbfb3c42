import { append } from '../../../../core/append';
import { sql, type SQL } from 'drizzle-orm';
import { chunks } from '../chunks';
import { foreignChange } from '../schema';
import type { Tx } from '../types';
import { readForms, readRun, ROW_FORMS, type FormRow, type RowForm } from './row-form';
import { OpenRun, oneRow } from './open-run';
import { rowHash, RowsHash, wholeForm, type SealedRun } from './rows-hash';
import { lastSeal, SealWriter } from './seal-writer';
import { NOTED_WHOLE } from './triggers';

/** So many noted changes are looked at together, and so many rows with files. */
const NOTED_AT_ONCE = 20_000;
const FILES_AT_ONCE = 20;

/**
 * Runs a transaction's work and seals what it wrote: its rows as they are stored, read back. What somebody else wrote to the books
 * meanwhile is not sealed with it but put down as a foreign change.
 */
export async function sealed<T>(tx: Tx, now: () => string, work: () => Promise<T>): Promise<T> {
	const before = await lastSeal(tx);
	if (before.pending > 0) await putDownPending(tx, now());
	const done = await work();
	const gathered = await gather(tx);
	if (gathered === null) return done;
	const { foreign, actId } = gathered;
	if (foreign.length > 0) {
		// The rows that say so are written, and sealed, too.
		const foundAt = now();
		await tx.insert(foreignChange).values(foreign.map((one) => ({ ...one, foundAt })));
		append(gathered.runs, (await gather(tx))!.runs);
	}
	const writer = new SealWriter(tx, before, now(), actId);
	await writer.add(gathered.runs);
	await writer.close();
	return done;
}

/** What stands noted before a transaction begins was written by somebody else: it is put down, and not sealed. */
async function putDownPending(tx: Tx, foundAt: string): Promise<void> {
	await tx.run(sql`insert into foreign_change (found_at, table_name, row_key, found)
		select ${foundAt}, table_name, row_key, after from unsealed_change order by id`);
	await tx.run(sql`delete from unsealed_change where table_name <> 'foreign_change'`);
}

interface Noted {
	readonly id: number;
	readonly tableName: string;
	readonly rowKey: number | string;
	readonly before: string | null;
	readonly after: string | null;
	/** The hash under which the row was sealed last; null where it never was. */
	readonly sealed: string | null;
}

/** Rows of a table whose numbers may follow each other. */
interface NotedRun {
	readonly tableName: string;
	/** The first part of their keys, where those have two. */
	readonly head: number | null;
	readonly first: number;
	readonly last: number;
	readonly rows: number;
}

interface Gathered {
	readonly runs: SealedRun[];
	readonly foreign: { tableName: string; rowKey: number | string; found: string | null }[];
	/** The last act that was written. */
	readonly actId: number | null;
}

/** Takes what the triggers noted: the rows to seal, and those that were not as their last seal says. Null where there is nothing. */
async function gather(tx: Tx): Promise<Gathered | null> {
	const gathering = new Gathering();
	const noted = await readNoted(tx, sql`true`, sql`limit ${NOTED_WHOLE}`);
	for (const one of noted) gathering.add(one);
	const last = noted.at(-1)?.id;
	if (last === undefined) return null;
	if (noted.length === NOTED_WHOLE) await gatherMany(tx, gathering, last);
	await tx.run(sql`delete from unsealed_change`);
	return gathering.close(tx);
}

/** Of many changes, rows that are never changed are read back and hashed in their runs, without looking at each. */
async function gatherMany(tx: Tx, gathering: Gathering, after: number): Promise<void> {
	const { most } = await tx.get<{ most: number }>(sql`select max(id) as most from unsealed_change`);
	for (let from = after; from < most; from += NOTED_AT_ONCE) {
		const these = sql`c.id > ${from} and c.id <= ${from + NOTED_AT_ONCE}`;
		const runs = await tx.all<NotedRun>(sql`
			select table_name as "tableName", iif(typeof(row_key) = 'text', row_key ->> 0, null) as head,
				min(iif(typeof(row_key) = 'text', row_key ->> 1, row_key)) as first,
				max(iif(typeof(row_key) = 'text', row_key ->> 1, row_key)) as last, count(*) as rows
			from unsealed_change c where ${these} and table_name in (${IN_RUNS}) group by 1, 2`);
		for (const run of runs) append(gathering.runs, await sealedRun(tx, run, these));
		for (const one of await readNoted(tx, sql`${these} and table_name not in (${IN_RUNS})`))
			gathering.add(one);
		const acts = runs.find((run) => run.tableName === 'act');
		if (acts) gathering.actId = acts.last;
	}
}

/** Reads a run of rows back; row by row where their numbers do not follow each other. */
async function sealedRun(tx: Tx, run: NotedRun, these: SQL): Promise<SealedRun[]> {
	const { tableName, head, first, last, rows } = run;
	const form = ROW_FORMS.get(tableName)!;
	if (last - first + 1 !== rows) {
		const keys = await tx.all<{ key: number | string }>(
			sql`select row_key as "key" from unsealed_change c where ${these} and table_name = ${tableName}
				and iif(typeof(row_key) = 'text', row_key ->> 0, null) is ${head}`
		);
		const own = keys.map(({ key }) => key);
		return readBack(tx, form, own);
	}
	const [firstKey, lastKey] = head === null ? [first, last] : [`[${head},${first}]`, `[${head},${last}]`];
	const { forms } = await tx.get<{ forms: string }>(readRun(form, head, first, last));
	return [{ tableName, firstKey, lastKey, rows, hash: new RowsHash(tableName).add(forms).digest() }];
}

/** Changes as they were noted, with the hash of the last seal of rows that change. */
async function readNoted(tx: Tx, these: SQL, limit = sql``): Promise<Noted[]> {
	return tx.all<Noted>(sql`
		select c.id, c.table_name as "tableName", c.row_key as "rowKey", c.before, c.after,
			case when c.table_name in (${KEPT_NAMES}) then (select s.hash from sealed_rows s
				where s.table_name = c.table_name and s.first_key = c.row_key order by s.id desc limit 1) end as sealed
		from unsealed_change c where ${these} order by c.id ${limit}`);
}

class Gathering {
	readonly runs: SealedRun[] = [];
	readonly foreign: Gathered['foreign'] = [];
	readonly #posted = new Map<string, OpenRun>();
	readonly #kept = new Map<string, Map<number | string, string | null>>();
	readonly #withFiles = new Map<RowForm, (number | string)[]>();
	/** The last act that was written. */
	actId: number | null = null;

	add(noted: Noted): void {
		const form = ROW_FORMS.get(noted.tableName)!;
		if (form.files.length > 0) listOf(this.#withFiles, form).push(noted.rowKey);
		else if (form.posted) addToRun(this.#posted, this.runs, noted);
		else noteVersion(this.#kept, this.foreign, noted);
		if (noted.tableName === 'act') this.actId = Number(noted.rowKey);
	}

	async close(tx: Tx): Promise<Gathered> {
		const { runs, foreign } = this;
		for (const open of this.#posted.values()) runs.push(open.close());
		for (const [table, rows] of this.#kept)
			for (const [key, form] of rows) runs.push(oneRow(table, key, form));
		for (const [form, keys] of this.#withFiles) append(runs, await readBack(tx, form, keys));
		return { runs, foreign, actId: this.actId };
	}
}

const KEPT_NAMES = names((form) => !form.posted);
const IN_RUNS = names(
	(form) => form.posted && form.files.length === 0 && (form.numbered || form.key.length === 2)
);

function names(which: (form: RowForm) => boolean): SQL {
	const those = [...ROW_FORMS.values()].filter(which).map((form) => `'${form.name}'`);
	return sql.raw(those.join(', '));
}

function addToRun(open: Map<string, OpenRun>, runs: SealedRun[], { tableName, rowKey, after }: Noted): void {
	let run = open.get(tableName);
	if (run && !run.goesOn(rowKey)) {
		runs.push(run.close());
		run = undefined;
	}
	if (!run) open.set(tableName, (run = new OpenRun(tableName, rowKey)));
	run.add(rowKey, after!);
}

/** Keeps the last version of a row; the first change of it in this transaction tells whether it was as its last seal says. */
function noteVersion(
	kept: Map<string, Map<number | string, string | null>>,
	foreign: Gathered['foreign'],
	{ tableName, rowKey, before, after, sealed }: Noted
): void {
	let rows = kept.get(tableName);
	if (!rows) kept.set(tableName, (rows = new Map()));
	if (!rows.has(rowKey)) {
		const was = before === null ? '' : rowHash(tableName, before);
		if (was !== (sealed ?? '')) foreign.push({ tableName, rowKey, found: before });
	}
	rows.set(rowKey, after);
}

/** Rows with files, each sealed by itself. */
async function readBack(tx: Tx, form: RowForm, keys: readonly (number | string)[]): Promise<SealedRun[]> {
	const runs: SealedRun[] = [];
	for (const some of chunks(keys, FILES_AT_ONCE)) {
		const rows = await tx.all<FormRow>(readForms(form, keyIn(form, some), FILES_AT_ONCE));
		for (const row of rows) runs.push(oneRow(form.name, row.key, wholeForm(form, row)));
	}
	return runs;
}

function keyIn({ key }: RowForm, keys: readonly (number | string)[]) {
	const given = sql`(select value from json_each(${JSON.stringify(keys)}))`;
	if (key.length === 1) return sql`t.${sql.identifier(key[0]!)} in ${given}`;
	const columns = sql.join(
		key.map((column) => sql`t.${sql.identifier(column)}`),
		sql`, `
	);
	const parts = sql.join(
		key.map((_, at) => sql.raw(`value ->> ${at}`)),
		sql`, `
	);
	return sql`(${columns}) in (select ${parts} from json_each(${JSON.stringify(keys.map((one) => JSON.parse(String(one)) as unknown))}))`;
}

function listOf<K, V>(map: Map<K, V[]>, key: K): V[] {
	let list = map.get(key);
	if (!list) map.set(key, (list = []));
	return list;
}

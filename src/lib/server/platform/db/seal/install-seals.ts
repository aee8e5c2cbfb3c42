import { sql } from 'drizzle-orm';
import { foreignChange, sealedForm } from '../schema';
import type { Db, Tx } from '../types';
import { checkTable } from './check-table';
import { ROW_FORMS, type RowForm } from './row-form';
import { lastSeal, SealWriter } from './seal-writer';
import { sealed } from './seal-transaction';
import { sealTriggers } from './triggers';
import { runsOf } from './whole-table';

/** Takes the triggers away while tables themselves are changed: some changes are refused where a trigger names a column. */
export async function liftSeals(tx: Pick<Tx, 'all' | 'run'>): Promise<void> {
	for (const { name } of await ownTriggers(tx)) await tx.run(sql`drop trigger ${sql.identifier(name)}`);
}

/**
 * Sees to it that everything written is noted and sealed: the triggers of every table, and a seal over every table that has none
 * yet, or none of its present form. What was sealed before in another form is compared first, as far as its columns are still there.
 */
export async function installSeals(db: Db, now: () => string): Promise<void> {
	if (!(await isInstalled(db))) await db.transaction((tx) => installSealsIn(tx, now));
}

/** The same within a transaction that is open already. */
export async function installSealsIn(tx: Tx, now: () => string): Promise<void> {
	await putTriggers(tx);
	const forms = await sealedForms(tx);
	const anew = [...ROW_FORMS.values()].filter((form) => forms.get(form.name)?.columns !== columnsOf(form));
	if (anew.length > 0) await sealTables(tx, now, anew);
}

/**
 * Does what an upgrade changes of posted rows: their tables are compared with their seals before, and sealed anew as a whole after.
 * @param names of the tables
 */
export async function withTablesSealedAnew<T>(
	tx: Tx,
	now: () => string,
	names: readonly string[],
	work: () => Promise<T>
): Promise<T> {
	const known = await sealedForms(tx);
	const forms = names.filter((name) => known.has(name)).map((name) => ROW_FORMS.get(name)!);
	for (const form of forms) await putDownUnsound(tx, now, form, known.get(form.name)!.sinceSeal);
	const done = await sealed(tx, now, work);
	const posted = forms.filter((form) => form.posted);
	if (posted.length > 0) await sealWhole(tx, now, posted);
	return done;
}

async function sealTables(tx: Tx, now: () => string, forms: readonly RowForm[]): Promise<void> {
	const known = await sealedForms(tx);
	for (const form of forms) {
		const before = known.get(form.name);
		if (!before) continue;
		const columns = JSON.parse(before.columns) as string[];
		const there = await tx.all<{ name: string }>(sql`select name from pragma_table_info(${form.name})`);
		const names = new Set(there.map((column) => column.name));
		const comparable = columns.every((column) => names.has(column)) && form.files.length === 0;
		if (comparable) await putDownUnsound(tx, now, { ...form, columns }, before.sinceSeal);
	}
	await sealWhole(tx, now, forms);
}

/** Seals whole tables in one seal, and notes their form. */
async function sealWhole(tx: Tx, now: () => string, forms: readonly RowForm[]): Promise<void> {
	const last = await lastSeal(tx);
	const writer = new SealWriter(tx, last, now(), null);
	for (const form of forms) for await (const runs of runsOf(tx, form)) await writer.add(runs);
	await writer.close();
	const rows = forms.map((form) => ({
		tableName: form.name,
		columns: columnsOf(form),
		sinceSeal: writer.id
	}));
	await sealed(tx, now, async () => {
		for (const row of rows)
			await tx.insert(sealedForm).values(row).onConflictDoUpdate({ target: sealedForm.tableName, set: row });
	});
}

/** Rows that are not as they were sealed are put down before they are sealed anew. */
async function putDownUnsound(tx: Tx, now: () => string, form: RowForm, since: number): Promise<void> {
	const found: (typeof foreignChange.$inferInsert)[] = [];
	for await (const one of checkTable(tx, form, since))
		if (found.length < 100)
			found.push({ foundAt: now(), tableName: form.name, rowKey: one.firstKey, found: one.what });
	if (found.length > 0) await sealed(tx, now, () => tx.insert(foreignChange).values(found));
}

function columnsOf(form: RowForm): string {
	return JSON.stringify(form.columns);
}

async function sealedForms(
	tx: Pick<Tx, 'select'>
): Promise<Map<string, { readonly columns: string; readonly sinceSeal: number }>> {
	return new Map((await tx.select().from(sealedForm)).map((row) => [row.tableName, row]));
}

async function ownTriggers(tx: Pick<Tx, 'all'>): Promise<{ name: string; text: string }[]> {
	return tx.all(
		sql`select name, sql as text from sqlite_master where type = 'trigger' and (name glob 'note_*' or name glob 'bound_*')`
	);
}

const WANTED: ReadonlyMap<string, string> = new Map(
	[...ROW_FORMS.values()].flatMap((form) => [...sealTriggers(form)])
);

async function isInstalled(db: Db): Promise<boolean> {
	const there = new Map((await ownTriggers(db)).map(({ name, text }) => [name, text]));
	if (there.size !== WANTED.size || [...WANTED].some(([name, text]) => there.get(name) !== text))
		return false;
	const forms = await sealedForms(db);
	return [...ROW_FORMS.values()].every((form) => forms.get(form.name)?.columns === columnsOf(form));
}

async function putTriggers(tx: Tx): Promise<void> {
	const there = new Map((await ownTriggers(tx)).map(({ name, text }) => [name, text]));
	for (const [name, text] of there)
		if (WANTED.get(name) !== text) await tx.run(sql`drop trigger ${sql.identifier(name)}`);
	for (const [name, text] of WANTED) if (there.get(name) !== text) await tx.run(sql.raw(text));
}

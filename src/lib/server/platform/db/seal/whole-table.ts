import { sql } from 'drizzle-orm';
import type { Reader, Tx } from '../types';
import { OpenRun, oneRow } from './open-run';
import { readForms, type FormRow, type RowForm } from './row-form';
import { wholeForm, type SealedRun } from './rows-hash';

const ROWS_AT_ONCE = 5_000;
const FILES_AT_ONCE = 50;

/** All rows of a table as they are sealed, in the order of their keys, some at a time. */
export async function* formsOf(
	db: Reader,
	form: RowForm
): AsyncGenerator<readonly { readonly key: number | string; readonly form: string }[]> {
	const most = form.files.length > 0 ? FILES_AT_ONCE : ROWS_AT_ONCE;
	for (let after: FormRow | undefined; ;) {
		const rows: FormRow[] = await db.all<FormRow>(
			readForms(form, after ? beyond(form, after) : sql`true`, most)
		);
		if (rows.length > 0) yield rows.map((row) => ({ key: row.key, form: wholeForm(form, row) }));
		if (rows.length < most) return;
		after = rows.at(-1);
	}
}

function beyond({ key }: RowForm, row: FormRow) {
	const parts = key.length === 1 ? [row.key] : (JSON.parse(String(row.key)) as (number | string)[]);
	const columns = sql.join(
		key.map((column) => sql`t.${sql.identifier(column)}`),
		sql`, `
	);
	const values = sql.join(
		parts.map((part) => sql`${part}`),
		sql`, `
	);
	return sql`(${columns}) > (${values})`;
}

/** Everything that a table holds, as it is sealed when it is sealed as a whole. */
export async function* runsOf(tx: Tx, form: RowForm): AsyncGenerator<readonly SealedRun[]> {
	let open: OpenRun | undefined;
	for await (const rows of formsOf(tx, form)) {
		const runs: SealedRun[] = [];
		for (const row of rows) {
			if (!form.posted || form.files.length > 0) {
				runs.push(oneRow(form.name, row.key, row.form));
				continue;
			}
			if (open && !open.goesOn(row.key)) {
				runs.push(open.close());
				open = undefined;
			}
			open ??= new OpenRun(form.name, row.key);
			open.add(row.key, row.form);
		}
		yield runs;
	}
	if (open) yield [open.close()];
}

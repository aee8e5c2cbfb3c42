import { is, sql, type SQL } from 'drizzle-orm';
import { getTableConfig, SQLiteTable } from 'drizzle-orm/sqlite-core';
import * as schema from '../schema';
import { SEALED_TABLES } from './sealed-tables';

/** How rows of a table are told apart and written down for their seal. */
export interface RowForm {
	readonly name: string;
	readonly posted: boolean;
	/** The columns that are sealed, in order; contents of files by their hash. */
	readonly columns: readonly string[];
	readonly files: readonly string[];
	/** The columns of its key: one number or text, or several. */
	readonly key: readonly string[];
	/** Whether keys are numbers in the order of the table. */
	readonly numbered: boolean;
}

/** The form of every table whose rows are sealed, by name. */
export const ROW_FORMS: ReadonlyMap<string, RowForm> = new Map(
	Object.values(schema)
		.filter((one) => is(one, SQLiteTable))
		.flatMap((table) => {
			const config = getTableConfig(table);
			const how = SEALED_TABLES[config.name];
			if (how !== 'posted' && how !== 'kept') return [];
			const own = config.columns.filter((column) => column.primary);
			const key = own.length > 0 ? own : config.primaryKeys[0]!.columns;
			const files = config.columns.filter(
				(column) => column.getSQLType() === 'blob' && !isKeyOfAny(column.name)
			);
			const form: RowForm = {
				name: config.name,
				posted: how === 'posted',
				columns: config.columns.filter((column) => !files.includes(column)).map((column) => column.name),
				files: files.map((column) => column.name),
				key: key.map((column) => column.name),
				numbered: key.length === 1 && key[0]!.getSQLType() === 'integer'
			};
			return [[config.name, form] as const];
		})
);

/** Keys of rows of other tables have no affinity, as files have none. */
function isKeyOfAny(column: string): boolean {
	return column === 'row_key';
}

/** What tells a row apart: its key, or its keys as JSON. `row` is an alias of the table, or NEW or OLD in a trigger. */
export function keyText({ key }: RowForm, row: string): string {
	return key.length === 1 ? `${row}."${key[0]}"` : `json_array(${listed(key, row)})`;
}

/** The row as it is stored, without its files, as JSON. */
export function formText({ columns }: Pick<RowForm, 'columns'>, row: string): string {
	return `json_array(${listed(columns, row)})`;
}

function listed(columns: readonly string[], row: string): string {
	return columns.map((column) => `${row}."${column}"`).join(', ');
}

/** Reads rows of a table as they are sealed, in the order of their keys. */
export function readForms(form: RowForm, where: SQL, limit: number): SQL {
	const files = form.files.map((file) => `, t."${file}" as "file_${file}"`).join('');
	const columns = sql.raw(`${keyText(form, 't')} as "key", ${formText(form, 't')} as "form"${files}`);
	const order = sql.raw(listed(form.key, 't'));
	return sql`select ${columns} from ${sql.identifier(form.name)} t where ${where} order by ${order} limit ${limit}`;
}

/**
 * Reads a run of rows, their forms line by line.
 * @param head the first part of their keys, where those have two
 */
export function readRun(form: RowForm, head: number | null, first: number, last: number): SQL {
	const number = sql.raw(`t."${form.key.at(-1)}"`);
	const under = head === null ? sql`true` : sql`${sql.raw(`t."${form.key[0]}"`)} = ${head}`;
	return sql`select group_concat(${sql.raw(formText(form, 't'))}, char(10)) as forms from (
		select * from ${sql.identifier(form.name)} t where ${under} and ${number} between ${first} and ${last} order by ${number}) t`;
}

/** A row as `readForms` gives it. */
export type FormRow = { readonly key: number | string; readonly form: string } & Readonly<
	Record<string, unknown>
>;

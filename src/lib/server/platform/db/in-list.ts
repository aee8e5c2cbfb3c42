import { sql, type Column, type SQL } from 'drizzle-orm';

/** Condition that a column is one of many values, handed over as one JSON value: no limit of bound values, one plan for any number. */
export function inList(column: Column, values: readonly (string | number)[]): SQL {
	return sql`${column} in (select value from json_each(${JSON.stringify(values)}))`;
}

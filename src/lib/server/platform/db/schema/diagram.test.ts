import { is } from 'drizzle-orm';
import { getTableConfig, SQLiteTable } from 'drizzle-orm/sqlite-core';
import { expect, it } from 'vitest';
import * as schema from './';

/** The tables and what they refer to, as Mermaid draws entities: written anew with `npx vitest run diagram -u`. */
it('docs/tables.md shows the tables as they are', async () => {
	const tables = Object.values(schema)
		.flatMap((one) => (is(one, SQLiteTable) ? getTableConfig(one) : []))
		.filter((one, at, all) => all.findIndex(({ name }) => name === one.name) === at)
		.sort((a, b) => (a.name < b.name ? -1 : 1));
	expect(tables.length).toBeGreaterThan(40);
	const links = tables.flatMap(({ name, foreignKeys }) =>
		foreignKeys.map((key) => {
			const { columns, foreignTable } = key.reference();
			const optional = columns.some((column) => !column.notNull);
			return `\t${getTableConfig(foreignTable).name} ${optional ? '|o' : '||'}--o{ ${name} : ${columns.map((column) => column.name).join('_')}`;
		})
	);
	const entities = tables.flatMap(({ name, columns }) => [
		`\t${name} {`,
		...columns.map(
			(column) =>
				`\t\t${column.getSQLType()} ${column.name}${column.primary ? ' PK' : ''}${column.notNull ? '' : ' "may be empty"'}`
		),
		'\t}'
	]);
	await expect(
		[
			'# Tables',
			'',
			'What each is for stands in [glossary.md](glossary.md). Written from the schema by its test.',
			'',
			'```mermaid',
			'erDiagram',
			...[...new Set(links)].sort(),
			...entities,
			'```',
			''
		].join('\n')
	).toMatchFileSnapshot('../../../../../../docs/tables.md');
});

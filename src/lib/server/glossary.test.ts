import { readFileSync, readdirSync } from 'node:fs';
import { getTableConfig, SQLiteTable } from 'drizzle-orm/sqlite-core';
import { is } from 'drizzle-orm';
import { expect, it } from 'vitest';
import { ACT_KINDS_IN_WORDS } from '../words';
import * as schema from './platform/db/schema';

const glossary = readFileSync('docs/glossary.md', 'utf8');
const named = new Set([...glossary.matchAll(/`([^`\s]+)`/g)].map((found) => found[1]));

const tables = Object.values(schema).flatMap((one) => (is(one, SQLiteTable) ? getTableConfig(one).name : []));
it.each([...new Set(tables)])('the table %s is in the glossary', (name) => expect(named).toContain(name));

it.each(ACT_KINDS_IN_WORDS)('acts of the kind %s are in the glossary', (kind) =>
	expect(named).toContain(kind)
);

const pages = readdirSync('src/routes', { recursive: true, encoding: 'utf8' })
	.filter((file) => file.endsWith('+page.svelte') && file.includes('/'))
	.map((file) => `/${file.replace(/\/\+page\.svelte$/, '').replace(/\/\([^)]+\)/g, '')}`);
it.each(pages)('the page %s is in the glossary', (page) => expect(named).toContain(page));

it('says nothing twice', () => {
	const terms = [...glossary.matchAll(/^\| ([^|:`-][^|:]*?)(?::[^|]*)? \|/gm)].map((found) =>
		found[1]!.trim()
	);
	expect(terms.filter((term, at) => terms.indexOf(term) !== at && term !== 'trade term')).toEqual([]);
});

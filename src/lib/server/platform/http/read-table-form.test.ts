import { expect, it } from 'vitest';
import { readFormSources } from './read-form-text';
import { readCustomerTables, readDocumentTables } from './read-table-form';

async function sourcesOf(form: FormData) {
	const sources = await readFormSources(form);
	if (!sources.ok) throw new Error('the form was refused');
	return { sources: sources.value, answers: [], currency: 'GBP' };
}

it('a table of more rows than a stack holds is read', async () => {
	const form = new FormData();
	const rows = Array.from({ length: 130_000 }, (_, n) => `C${n},Kiln ${n},GBP`);
	form.set('file', new File([`code,name,currency\n${rows.join('\n')}`], 'customers.csv'));
	const read = await readCustomerTables(await sourcesOf(form));
	expect([read.rows.length, read.rows.at(-1)!.code]).toEqual([130_000, 'C129999']);
});

it('what is wrong names the file as it is kept, cleaned and cut', async () => {
	const form = new FormData();
	form.set(
		'file',
		new File(['number,customer_code,issue_date,open\n1,H1,soon,5'], `a\u202E${'x'.repeat(300)}.csv`)
	);
	const read = await readDocumentTables(await sourcesOf(form));
	expect(read.refused[0]!.problem).toMatchObject({
		code: 'csv-field',
		field: 'issue_date',
		file: `a${'x'.repeat(195)} […]`
	});
});

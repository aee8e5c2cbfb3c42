import fc from 'fast-check';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { previewCustomers } from '../../customers/commands/bring-in-customers';
import { previewDocuments } from '../../documents/commands/bring-in-documents';
import { isAsking } from '../../../tables/table-seen';
import type { Books } from '../../platform/db/open';
import { readCustomerTables, readDocumentTables } from '../../platform/http/read-table-form';
import { as, CLERK, codesOf, invoices, newDocument, testBooks } from '../../testing';
import { HEAVY_ACTS } from './heavy-acts';
import { countRefused, keyOfRefused, refusedFiles, siftRows } from './sift-rows';

let books: Books;
beforeEach(async () => {
	books = await testBooks();
	await invoices(books, newDocument('AK-1', 1, 1_000));
});
afterEach(() => books.close());

const given = (...files: readonly (readonly [name: string, text: string])[]) => ({
	sources: files.map(([file, content]) => ({ file, content })),
	...{ answers: [], currency: 'GBP' }
});
/** Our own names: they are meant, whatever stands below them. */
const OWN = 'number,customer_code,issue_date,open';
const HEAD = 'Invoice no,Customer code,Invoice date,Open';
async function documents(...files: readonly (readonly [name: string, text: string])[]) {
	const read = await readDocumentTables(given(...files));
	return { read, sifted: await siftRows(read, (rows) => previewDocuments(books.db, rows)) };
}

it('divides rows into those that can be taken and those that cannot, whatever the fault', async () => {
	const text = [
		HEAD,
		'AK-2,H1,2026-10-01,5.00',
		'AK-3,H1,2026-02-30,5.00',
		'AK-4,X9,2026-10-01,5.00',
		'AK-1,H1,2026-10-01,99.00',
		'AK-2,H1,2026-10-01,7.00',
		'AK-5,W2,2026-10-01,six'
	].join('\n');
	const { read, sifted } = await documents(['a.csv', text]);
	expect(sifted.rows.map((row) => row.number)).toEqual(['AK-2']);
	expect(sifted.refused.map(({ line, problem }) => [line, problem.code])).toEqual([
		[3, 'csv-field'],
		[4, 'code-unknown'],
		[5, 'differs'],
		[6, 'csv-field'],
		[7, 'csv-field']
	]);
	const [file] = refusedFiles(read, sifted.refused);
	expect([file!.name, file!.rows, file!.of]).toEqual(['a-not-taken.csv', 5, 5]);
	expect(file!.text.split('\r\n').slice(0, 3)).toEqual([
		`${HEAD},Why it was not taken`,
		'AK-3,H1,2026-02-30,5.00,“2026-02-30” in issue date cannot be taken: it is not a date; write 2026-10-30.',
		'AK-4,X9,2026-10-01,5.00,There is no customer “X9”.'
	]);
});

it('tells rows of several tables apart, though their lines are the same', async () => {
	const { read, sifted } = await documents(
		['a.csv', `${HEAD}\nAK-2,H1,2026-10-01,5.00`],
		['b.csv', `${HEAD}\nAK-3,X9,2026-10-01,5.00`]
	);
	expect(sifted.rows.map((row) => row.number)).toEqual(['AK-2']);
	expect(refusedFiles(read, sifted.refused).map(({ name, rows }) => [name, rows])).toEqual([
		['b-not-taken.csv', 1]
	]);
});

it('tells rows of several files of customers apart by more than their lines', async () => {
	const head = 'code,name,currency,email';
	const read = await readCustomerTables(
		given(['a.csv', `${head}\nN1,New,GBP,nobody`], ['b.csv', `${head}\nN2,Newer,GBP,n2@new.example`])
	);
	const sifted = await siftRows(read, (rows) => previewCustomers(books.db, rows));
	expect(sifted.rows.map((row) => row.code)).toEqual(['N2']);
	expect(sifted.refused.map((one) => one.problem)).toMatchObject([{ file: 'a.csv', line: 2 }]);
});

it('leaves out what hangs on a row that is left out', async () => {
	const read = await readCustomerTables(
		given(['c.csv', 'code,name,currency,parent_code,email\nP1,Parent,GBP,,nobody\nB1,Branch,GBP,P1,'])
	);
	const sifted = await siftRows(read, (rows) => previewCustomers(books.db, rows));
	expect(sifted.rows).toEqual([]);
	expect(sifted.refused.map(({ line, problem }) => [line, problem.code])).toEqual([
		[2, 'csv-field'],
		[3, 'code-unknown']
	]);
});

it('brings the others in where somebody agreed to leave out just those', async () => {
	const text = `${HEAD}\nAK-2,H1,2026-10-01,5.00\nAK-3,X9,2026-10-01,5.00`;
	const bring = (leaveOut?: string) =>
		HEAVY_ACTS['bring-in-documents'].run(
			books,
			{ ...given(['a.csv', text]), opening: null, ...(leaveOut === undefined ? {} : { leaveOut }) },
			as(CLERK)
		);
	const key = async (of: string) => {
		const { read, sifted } = await documents(['a.csv', of]);
		return keyOfRefused(read, sifted.refused);
	};
	// As many, and on the same line, but not those that were seen.
	const another = await key(text.replace('AK-3', 'AK-9'));
	for (const leaveOut of [undefined, '', another])
		expect(codesOf(await bring(leaveOut))).toEqual(['code-unknown']);
	expect(await bring(await key(text))).toMatchObject({ ok: true, value: { added: 1 } });
});

it('takes or gives back each row, and gives back just the same when it is brought again', async () => {
	const cell = fc.constantFrom('H1', 'X9', '2026-10-01', '2026-02-30', '5.00', 'six', '"a, b"', "'=x", '+44');
	const row = fc.tuple(fc.constantFrom('H1', 'X9'), cell, cell).map((cells) => cells.join(','));
	await fc.assert(
		fc.asyncProperty(fc.array(row, { minLength: 1, maxLength: 8 }), async (rows) => {
			const lines = rows.map((text, i) => `AK-${100 + i},${text}`);
			const { read, sifted } = await documents(['a.csv', [OWN, ...lines].join('\n')]);
			fc.pre(read.problems.length === 0 && !read.tables.some(isAsking));
			const left = read.tables.flatMap((one) => [...one.leftOut, ...one.settled]).length;
			expect(sifted.rows.length + countRefused(sifted.refused) + left).toBe(rows.length);
			const [file] = refusedFiles(read, sifted.refused);
			if (!file) return;
			const again = await documents([file.name, file.text]);
			expect(countRefused(again.sifted.refused)).toBe(file.rows);
			expect(again.read.tables[0]!.key).toBe(read.tables[0]!.key);
			expect(refusedFiles(again.read, again.sifted.refused)[0]!.rows).toBe(file.rows);
		}),
		{ numRuns: 60 }
	);
});

import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { hashOfPaper, openPapers, packPaper, papersUrl } from './papers';

const folder = () => `file:${join(mkdtempSync(join(tmpdir(), 'odd-penny-papers-')), 'books-papers.db')}`;

test('what is kept is read as it was, and kept once', async () => {
	const url = folder();
	const papers = openPapers(url);
	await fc.assert(
		fc.asyncProperty(fc.array(fc.uint8Array({ maxLength: 2000 }), { maxLength: 60 }), async (all) => {
			const packed = await Promise.all(all.map(packPaper));
			await papers.keep(packed);
			await papers.keep(packed.slice(0, 1));
			for (const [n, { hash }] of packed.entries())
				expect((await papers.read(hash)).equals(Buffer.from(all[n]!))).toBe(true);
		}),
		{ numRuns: 20 }
	);
	papers.close();
	const again = openPapers(url);
	const one = await packPaper(Buffer.from('a letter'));
	await again.keep([one, one]);
	const client = createClient({ url });
	const found = await client.execute({
		sql: 'select count(*) as n from paper where hash = ?',
		args: [one.hash]
	});
	expect(found.rows[0]!['n']).toBe(1);
	client.close();
	again.close();
});

test('what is missing, and what was changed, is said', async () => {
	const url = folder();
	const papers = openPapers(url);
	const one = await packPaper(Buffer.from('a letter'));
	await expect(papers.read(one.hash)).rejects.toThrow('is not kept');
	await papers.keep([{ hash: hashOfPaper(Buffer.from('another')), packed: one.packed }]);
	await expect(papers.read(hashOfPaper(Buffer.from('another')))).rejects.toThrow('is not as it was kept');
	papers.close();
});

test.each([
	['file:/srv/data/odd-penny.db', 'file:/srv/data/odd-penny-papers.db'],
	['file:books', 'file:books-papers.db'],
	['libsql://books.firm.example', 'libsql://books.firm.example']
])('papers of %s lie at %s', (books, papers) => expect(papersUrl(books)).toBe(papers));

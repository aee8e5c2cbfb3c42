import { createClient } from '@libsql/client';
import { desc, sql } from 'drizzle-orm';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { APPLICATION } from '../../act/person';
import { perform } from '../../act/perform';
import type { Books } from '../../platform/db/open';
import { act } from '../../platform/db/schema';
import { lockPeriod } from '../../periods/commands/lock-period';
import { as, bankXml, bringIn, credit, done, newDocument, SUPERVISOR, testBooks } from '../../testing';
import { breachSentence } from '../../../words';
import { proveBooks } from '../queries/proof';
import { acknowledgeFindings } from './acknowledge-findings';

let books: Books & { readonly file: string };
beforeEach(async () => {
	books = await testBooks(newDocument('AK-1', 1, 1_000));
});
afterEach(() => books.close());

const found = async () => (await proveBooks(books.db)).breaches.map(breachSentence);
const putDown = () => perform(books, acknowledgeFindings, { reason: 'an earlier version' }, as(APPLICATION));
/** Somebody writes to the file beside the application. */
async function fromOutside(statement: string): Promise<void> {
	const other = createClient({ url: `file:${books.file}` });
	await other.execute(statement);
	other.close();
}

/** A record as an earlier version wrote it: its hash is of the text as it was in memory, and the database keeps another. */
async function brokenText(): Promise<number> {
	const [last] = await books.db.select().from(act).orderBy(desc(act.id)).limit(1);
	const row = { ...last!, id: last!.id + 1, key: null, previousHash: last!.hash, hash: 'f'.repeat(64) };
	await books.write((tx) => tx.insert(act).values(row));
	return row.id;
}

it('a record whose text an earlier version broke is put down by name, and the books prove from then on', async () => {
	const id = await brokenText();
	expect(await found()).toEqual([expect.stringContaining(`record ${id} `)]);
	expect(await putDown()).toMatchObject({ ok: true, value: { records: [id], foreign: [] } });
	expect(await found()).toEqual([]);
	expect((await proveBooks(books.db)).counts.acknowledged).toBe(1);
	// Work goes on behind it, and another one shows.
	await bringIn(books, bankXml([credit(1_000, 'AK-1')]));
	await done(books, lockPeriod, { through: '2026-10-01', reason: '' }, SUPERVISOR);
	expect(await found()).toEqual([]);
	const next = await brokenText();
	expect(await found()).toEqual([expect.stringContaining(`record ${next} `)]);
	await putDown();
	expect(await putDown()).toMatchObject({ ok: true, value: { records: [], foreign: [] } });
});

it('what is changed after it was put down shows again', async () => {
	const id = await brokenText();
	await putDown();
	await books.write(async (tx) => {
		await tx.run(sql`drop trigger act_no_update`);
		await tx.run(sql`update act set summary = '{"firm":"another"}' where id = ${id}`);
	});
	expect((await found()).join('\n')).toContain(`record ${id} `);
	expect(await putDown()).toMatchObject({ ok: true });
	// The seals say so still: they are put down by nothing.
	expect((await found()).join('\n')).toContain('is not as it was written');
});

it('a record at a wrong place in the chain is never put down', async () => {
	const [last] = await books.db.select().from(act).orderBy(desc(act.id)).limit(1);
	const row = { ...last!, id: last!.id + 1, key: null, previousHash: '0'.repeat(64), hash: 'f'.repeat(64) };
	await books.write((tx) => tx.insert(act).values(row));
	expect(await putDown()).toMatchObject({ ok: true, value: { records: [] } });
	expect(await found()).toHaveLength(1);
});

it('a change by something else that was found is put down, and the next one is not', async () => {
	await fromOutside(`update customer set phone = '1' where id = 1`);
	await bringIn(books, bankXml([credit(1_000, 'AK-1')]));
	expect((await found()).join('\n')).toContain('was changed by something else');
	// It is sealed as it is now, which finds it once more.
	for (let n = 0; n < 2; n++)
		expect(await putDown()).toMatchObject({ ok: true, value: { records: [], foreign: ['customer 1'] } });
	expect(await putDown()).toMatchObject({ ok: true, value: { foreign: [] } });
	expect(await found()).toEqual([]);
	await fromOutside(`update customer set phone = '2' where id = 1`);
	await done(books, lockPeriod, { through: '2026-10-01', reason: '' }, SUPERVISOR);
	expect((await found()).join('\n')).toContain('was changed by something else');
});

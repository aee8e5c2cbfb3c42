import { afterEach, beforeEach, expect, it } from 'vitest';
import type { TableAnswer } from '../../../tables/table-seen';
import { perform } from '../../act/perform';
import type { Books } from '../../platform/db/open';
import { customer, document, item, itemState } from '../../platform/db/schema';
import { HEAVY_ACTS } from '../../services/threads/heavy-acts';
import { HEAVY_LOOKS } from '../../services/threads/heavy-looks';
import { as, CLERK, done, testBooks } from '../../testing';
import { readSetting } from '../store/settings';
import { keepTableReadings } from './keep-table-readings';

let books: Books;
beforeEach(async () => void (books = await testBooks()));
afterEach(() => books.close());

const CUSTOMERS =
	'Kundennummer;Firma;Anschrift;E-Mail\nK7;Töpferei Linde;Am Brennofen 4, Lehmwiesen;linde@lehm.example\n';
const OPEN =
	'Kunde;Rg.-Nr.;Datum;Offen\nK7;4711;01/02/2026;1.200,00\nK7;4712;03/04/2026;-45,40\nSumme;;;1.154,60\n';
const KEY = 'kunde|rg nr|datum|offen';
const asked = (text: string, answers: readonly TableAnswer[] = []) => ({
	...{ sources: [{ file: 'own.csv', content: text }], answers, opening: null, takeChanges: false }
});
const dayFirst: TableAnswer = {
	...{ headings: KEY, columns: { customer_code: 0, number: 1, issue_date: 2, open: 3 } },
	...{ dayOrder: 'day-first', decimalSign: null, currency: 'GBP' }
};
const bring = (kind: 'documents' | 'customers', given: ReturnType<typeof asked>) =>
	HEAVY_ACTS[`bring-in-${kind}`].run(books, given, as(CLERK));
const added = (result: Awaited<ReturnType<typeof bring>>) =>
	result.ok ? result.value.added : result.problems.map((one) => one.code);

it('a firm’s own lists come in by their own headings; what was said once is known the next time', async () => {
	expect(added(await bring('customers', asked(CUSTOMERS)))).toBe(1);
	const linde = (await books.db.select().from(customer)).find((row) => row.code === 'K7');
	expect(linde).toMatchObject({
		name: 'Töpferei Linde',
		currency: 'GBP',
		statementEmail: 'linde@lehm.example'
	});
	expect(linde!.address).toEqual(['Am Brennofen 4', 'Lehmwiesen']);
	// Nothing tells which comes first: it is asked, and nothing comes in before.
	const look = (answers: readonly TableAnswer[]) =>
		HEAVY_LOOKS['preview-documents'](books.db, asked(OPEN, answers));
	const first = await look([]);
	expect([first.rows, first.tables[0]!.asks.dayOrder]).toEqual([[], true]);
	expect(added(await bring('documents', asked(OPEN)))).toEqual(['table-asks']);
	expect(await books.db.$count(document)).toBe(0);
	const said = await look([dayFirst]);
	expect([said.added, said.tables[0]!.leftOut]).toEqual([2, [4]]);
	expect(await readSetting(books.db, 'tableReadings')).toBeNull();
	expect(added(await bring('documents', asked(OPEN, [dayFirst])))).toBe(2);
	expect(
		(await books.db.select().from(document)).map((row) => [row.number, row.kind, row.issued, row.currency])
	).toEqual([
		['4711', 'invoice', '2026-02-01', 'GBP'],
		['4712', 'credit_note', '2026-04-03', 'GBP']
	]);
	// Without a due date the customer's terms say it.
	expect((await books.db.select().from(item)).map((row) => row.due)).toEqual(['2026-03-03', '2026-05-03']);
	expect((await books.db.select().from(itemState)).map((row) => row.open)).toEqual([120_000, 4_540]);
	const again = await look([]);
	expect([again.same, again.tables[0]!.answer?.dayOrder]).toEqual([2, 'day-first']);
});

it('what is said again goes before, once for each kind and headings', async () => {
	const keep = (kind: 'documents' | 'customers', answer: TableAnswer) =>
		done(books, keepTableReadings, { kind, answers: [answer] }, CLERK);
	await keep('documents', dayFirst);
	expect(await keep('documents', dayFirst)).toEqual({ kept: 0 });
	await keep('customers', dayFirst);
	await keep('documents', { ...dayFirst, dayOrder: 'month-first' });
	expect((await readSetting(books.db, 'tableReadings'))!.map((one) => [one.kind, one.dayOrder])).toEqual([
		['documents', 'month-first'],
		['customers', 'day-first']
	]);
});

it('a column that is said to be two things is refused', async () => {
	const answers = [{ ...dayFirst, columns: { number: 1, open: 1 } }];
	const result = await perform(books, keepTableReadings, { kind: 'documents', answers }, as(CLERK));
	expect(result.ok ? null : result.problems[0]).toMatchObject({ code: 'field' });
});

import { readDocuments, readCustomers } from '../../../core/1-open-items/testing-all-rows';
import { asc, eq } from 'drizzle-orm';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { parseTable } from '../../../tables/parse-table';
import type { Books } from '../../platform/db/open';
import { act, customer, customerName, document, item, itemState } from '../../platform/db/schema';
import { decodeText } from '../../../tables/decode-text';
import { proveBooks } from '../../ledger/queries/proof';
import { as, CLERK, testBooks } from '../../testing';
import { bringInCustomers, previewCustomers } from '../../customers/commands/bring-in-customers';
import { refusalsOf } from '../../act/preview-rows';
import { bringInDocuments, previewDocuments } from './bring-in-documents';
import { perform } from '../../act/perform';

let books: Books;
beforeEach(async () => (books = await testBooks()));
afterEach(() => books.close());
const proves = async () => expect((await proveBooks(books.db)).breaches).toEqual([]);

function documents(...lines: string[]) {
	const head = 'number,kind,customer_code,issue_date,due_date,currency,total,open,instalments';
	const rows = parseTable([head, ...lines].join('\n'), []);
	const read = rows.ok ? readDocuments(rows.value) : rows;
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	return read.value;
}
function customers(...lines: string[]) {
	const rows = parseTable(['code,name,currency,parent_code', ...lines].join('\n'), []);
	const read = rows.ok ? readCustomers(rows.value) : rows;
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	return read.value;
}

it('adds open documents with what is left of them, the rest against opening balances', async () => {
	const rows = documents(
		'AK-1,invoice,H1,2026-09-01,2026-10-01,GBP,90.00,60.00,2026-10-01 45.00|2026-11-01 45.00',
		'AC-1,credit_note,H1,2026-09-01,2026-10-01,GBP,20.00,5.00,'
	);
	const result = await perform(books, bringInDocuments, rows, as(CLERK));
	expect(result).toEqual({ ok: true, value: { added: 2, skipped: 0, waiting: 0, waits: [] } });
	const open = await books.db
		.select({ number: document.number, part: item.part, open: itemState.open })
		.from(itemState)
		.innerJoin(item, eq(item.id, itemState.itemId))
		.innerJoin(document, eq(document.id, item.documentId))
		.orderBy(asc(item.id));
	expect(open).toEqual([
		{ number: 'AK-1', part: 1, open: 1500 },
		{ number: 'AK-1', part: 2, open: 4500 },
		{ number: 'AC-1', part: 1, open: 500 }
	]);
	await proves();
});

it('says what would be added, is there already, or differs; what differs stops all of it', async () => {
	const line = 'AK-1,invoice,H1,2026-09-01,2026-10-01,GBP,90.00,90.00,';
	await perform(books, bringInDocuments, documents(line), as(CLERK));
	const again = documents(
		line,
		'AK-2,invoice,H1,2026-09-01,2026-10-01,GBP,10.00,10.00,',
		'AK-3,invoice,X9,2026-09-01,2026-10-01,GBP,10.00,10.00,'
	);
	const preview = await previewDocuments(books.db, again);
	expect([preview.map((row) => row.fate), refusalsOf(preview)]).toEqual([
		['same', 'new', 'new'],
		[{ code: 'code-unknown', what: 'customer', text: 'X9', line: 4 }]
	]);
	const other = documents(
		line.replaceAll('90.00', '91.00'),
		'AK-2,invoice,H1,2026-09-01,2026-10-01,GBP,10.00,10.00,'
	);
	const refused = await perform(books, bringInDocuments, other, as(CLERK));
	expect(refused.ok ? [] : refused.problems.map((one) => one.code)).toEqual(['differs']);
	expect(await books.db.$count(document)).toBe(1);
	const twice = await perform(books, bringInDocuments, documents(line), as(CLERK));
	expect(twice.ok && twice.value).toMatchObject({ added: 0, skipped: 1 });
	await proves();
});

it('adds customers, parents before their branches, and refuses one that differs', async () => {
	const result = await perform(
		books,
		bringInCustomers,
		{
			rows: customers('B1,Branch,GBP,P1', 'P1,Parent,GBP,', 'H1,Hazel Hill Pottery,GBP,'),
			takeChanges: false
		},
		as(CLERK)
	);
	expect(result.ok && result.value).toMatchObject({ added: 2, skipped: 1 });
	const rows = await books.db.select().from(customer).where(eq(customer.code, 'B1'));
	const parent = await books.db.select().from(customer).where(eq(customer.code, 'P1')).get();
	expect(rows[0]!.parentId).toBe(parent!.id);
	for (const [line, code] of [
		['H1,Hazel Hill Pottery,EUR,', 'differs'],
		['N1,New,GBP,Q9', 'code-unknown']
	] as const) {
		const refused = await perform(
			books,
			bringInCustomers,
			{ rows: customers(line), takeChanges: true },
			as(CLERK)
		);
		expect(refused.ok ? [] : refused.problems.map((one) => one.code)).toEqual([code]);
	}
});

it('a discount without its days is refused with its line, and one of the two is taken where the other is known', async () => {
	const row = (over: object) => [{ ...customers('H1,Hazel Hill Pottery,GBP,')[0]!, ...over }];
	const half = row({ discountBasisPoints: 250, says: ['discountBasisPoints'] });
	const look = async () =>
		refusalsOf(await previewCustomers(books.db, half)).map((one) => 'line' in one && one.line);
	expect(await look()).toEqual([2]);
	const whole = row({
		discountBasisPoints: 200,
		discountDays: 10,
		says: ['discountBasisPoints', 'discountDays']
	});
	expect((await perform(books, bringInCustomers, { rows: whole, takeChanges: true }, as(CLERK))).ok).toBe(
		true
	);
	expect(await look()).toEqual([]);
});

it('changes customers who are there by a table where somebody agrees, each field in the record', async () => {
	const rows = customers('H1,Hazel & Hill,GBP,P1', 'W2,Wicker Lane Ceramics,GBP,', 'P1,Parent,GBP,');
	const shown = await previewCustomers(books.db, rows);
	expect(shown.map((row) => [row.label, row.fate, row.why])).toEqual([
		['H1', 'changes', 'name “Hazel Hill Pottery”, now “Hazel & Hill”; branch of “P1”'],
		['W2', 'same', ''],
		['P1', 'new', '']
	]);
	const bring = (takeChanges: boolean) => perform(books, bringInCustomers, { rows, takeChanges }, as(CLERK));
	expect(await bring(false)).toEqual({ ok: true, value: { added: 1, skipped: 2 } });
	const hazel = async () => (await books.db.select().from(customer).where(eq(customer.code, 'H1')).all())[0]!;
	expect((await hazel()).name).toBe('Hazel Hill Pottery');
	expect(await bring(true)).toEqual({ ok: true, value: { added: 0, changed: 1, skipped: 2 } });
	expect(await hazel()).toMatchObject({ name: 'Hazel & Hill', termsDays: 30, phone: null, version: 2 });
	// Nothing is left to change.
	expect(await bring(true)).toEqual({ ok: true, value: { added: 0, skipped: 3 } });
	const known = await books.db.select().from(customerName).where(eq(customerName.customerId, 1)).all();
	expect(known.map((row) => row.name)).toEqual(['Hazel & Hill', 'Hazel Hill Pottery']);
	const changes = await books.db.select().from(act).where(eq(act.kind, 'change-customer')).all();
	expect(changes.map((row) => [row.customerId, row.parentId !== null])).toEqual([[1, true]]);
	await proves();
});

it.each([
	['UTF-8', Buffer.from('Töpferei')],
	['Windows-1252', Buffer.from([0x54, 0xf6, 0x70, 0x66, 0x65, 0x72, 0x65, 0x69])],
	['UTF-16', Buffer.concat([Buffer.from([0xff, 0xfe]), Buffer.from('Töpferei', 'utf16le')])]
])('reads a table in %s', (_, bytes) => expect(decodeText(bytes)).toContain('Töpferei'));

it('of a document without a due date the customer’s terms tell it, from the end of its month too', async () => {
	await books.write((tx) =>
		tx.update(customer).set({ termsDays: 10, termsFrom: 'month_end' }).where(eq(customer.code, 'H1'))
	);
	await perform(
		books,
		bringInDocuments,
		documents('AK-1,invoice,H1,2026-09-03,,GBP,90.00,90.00,'),
		as(CLERK)
	);
	expect((await books.db.select().from(item)).map(({ due }) => due)).toEqual(['2026-10-10']);
});

it('without a due date it is due in the instalments of the customer’s terms; a due date goes before them', async () => {
	const termsParts = [
		{ basisPoints: 3_333, days: 10 },
		{ basisPoints: 6_667, days: 40 }
	];
	await books.write((tx) => tx.update(customer).set({ termsParts }).where(eq(customer.code, 'H1')));
	await perform(
		books,
		bringInDocuments,
		documents(
			'AK-1,invoice,H1,2026-10-03,,GBP,90.01,90.01,',
			'AK-2,invoice,H1,2026-10-03,2026-10-20,GBP,50.00,50.00,'
		),
		as(CLERK)
	);
	expect((await books.db.select().from(item)).map(({ due, total }) => [due, total])).toEqual([
		['2026-10-13', 3_000],
		['2026-11-12', 6_001],
		['2026-10-20', 5_000]
	]);
	await proves();
});

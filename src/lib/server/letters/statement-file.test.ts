import Papa from 'papaparse';
import { eq } from 'drizzle-orm';
import { afterEach, beforeEach, expect, test } from 'vitest';
import { parseXml } from '../../core/xml/parse-xml';
import type { StatementFile } from '../../core/model/customer-details';
import type { StatementAsked } from '../../core/7-letters/letter';
import { day } from '../../core/day/day';
import { setAddress } from '../customers/commands/set-address';
import type { Books } from '../platform/db/open';
import { customer } from '../platform/db/schema';
import { CLERK, done, invoices, newDocument, testBooks, TODAY } from '../testing';
import { mailOf } from './testing-mail';

let books: Books;
beforeEach(async () => {
	books = await testBooks();
	await invoices(books, newDocument('AK-1', 1, 1000), newDocument('=AK+2', 1, 2050));
	await done(books, setAddress, { customerId: 1, kind: 'statement', email: 'h1@hazel.example' }, CLERK);
});
afterEach(() => books.close());

const wants = (...files: StatementFile[]) =>
	books.write((tx) => tx.update(customer).set({ statementFiles: files }).where(eq(customer.id, 1)));
const statement = (asked?: StatementAsked) =>
	mailOf(books, {
		kind: 'statement',
		...(asked ? { statement: asked } : {}),
		accounts: [{ customerId: 1, currency: 'GBP' }]
	});
const names = (mail: Awaited<ReturnType<typeof statement>>) => mail.attachments.map((one) => one.filename);

test('a statement has the files that the customer wants beside its paper, and other letters have none', async () => {
	expect(names(await statement())).toEqual(['statement-H1-2026-10-30.pdf']);
	await wants('csv', 'ubl');
	expect(names(await statement())).toEqual([
		...['statement-H1-2026-10-30.pdf', 'statement-H1-2026-10-30.csv', 'statement-H1-2026-10-30.xml']
	]);
	const reminder = await mailOf(books, {
		kind: 'copies',
		accounts: [{ customerId: 1, currency: 'GBP', about: [1] }]
	});
	expect(names(reminder)).toHaveLength(2);
});

test('the table has the lines of the paper, comes to its balance, and runs no formula', async () => {
	await wants('csv');
	const [, file] = (await statement()).attachments;
	const text = file!.content.toString('utf8').replace(/^\ufeff/, '');
	const { data } = Papa.parse<string[]>(text.trim());
	expect(data[0]).toHaveLength(8);
	expect(data.slice(1).map((row) => row.at(-1))).toEqual(['20.50', '10.00']);
	expect(text).not.toMatch(/(?:^|,)=/m);
	// Of a period: what was brought forward, then what came.
	const period = { kind: 'activity' as const, from: day('2026-10-01'), to: TODAY };
	const [, of] = (await statement(period)).attachments;
	const rows = Papa.parse<string[]>(of!.content.toString('utf8').trim()).data;
	const sum = rows.slice(1).reduce((all, row) => all + Math.round(Number(row.at(-1)) * 100), 0);
	expect(sum).toBe(3050);
});

test('the file for machines is UBL, and says the balance of the paper', async () => {
	await wants('ubl');
	const [, file] = (await statement()).attachments;
	expect(file!.contentType).toBe('application/xml');
	const read = parseXml(file!.content.toString('utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	expect(read.value.name).toBe('Statement');
	const balance = read.value.children.find((one) => one.name === 'TotalBalanceAmount');
	expect([balance?.text, balance?.attributes['currencyID']]).toEqual(['30.50', 'GBP']);
});

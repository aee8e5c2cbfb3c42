import { afterEach, beforeEach, expect, it } from 'vitest';
import { perform } from '../../act/perform';
import type { Books } from '../../platform/db/open';
import { act } from '../../platform/db/schema';
import { as, CLERK, codesOf, done, SUPERVISOR, testBooks } from '../../testing';
import { readSetting } from '../store/settings';
import { keepTableReadings } from './keep-table-readings';
import { forgetTableReading, nameTableReading } from './known-tables';

let books: Books;
beforeEach(async () => void (books = await testBooks()));
afterEach(() => books.close());

const ANSWER = {
	...{ headings: 'wer|firma', columns: { code: 0, name: 1 }, name: 'kunden.csv' },
	...{ dayOrder: null, decimalSign: null, currency: null }
};
const WHICH = { kind: 'customers' as const, headings: 'wer|firma' };
const keep = (kind: 'customers' | 'documents' | 'bank-table', over: object = {}) =>
	done(books, keepTableReadings, { kind, answers: [{ ...ANSWER, ...over }] }, CLERK);
const known = async () =>
	((await readSetting(books.db, 'tableReadings')) ?? []).map((one) => [
		one.kind,
		one.name,
		one.bankAccountId
	]);

it('a known table gets a name of its own, and that alone', async () => {
	await keep('documents');
	await keep('customers');
	await done(books, nameTableReading, { ...WHICH, name: ' Ledger list ' }, SUPERVISOR);
	expect(await known()).toEqual([
		['customers', 'Ledger list', undefined],
		['documents', 'kunden.csv', undefined]
	]);
	const acts = await books.db.$count(act);
	await done(books, nameTableReading, { ...WHICH, name: 'Ledger list' }, SUPERVISOR);
	expect(await books.db.$count(act), 'nothing to do is not recorded').toBe(acts);
	expect(codesOf(await perform(books, nameTableReading, { ...WHICH, name: ' ' }, as(SUPERVISOR)))).toEqual([
		'field'
	]);
});

it('of tables of two accounts one is forgotten, and what was forgotten can be known again', async () => {
	await keep('bank-table', { bankAccountId: 1 });
	await keep('bank-table', { bankAccountId: 2 });
	const which = { ...WHICH, kind: 'bank-table' as const };
	expect(codesOf(await perform(books, forgetTableReading, which, as(SUPERVISOR)))).toEqual(['not-found']);
	const { kind, ...answer } = await done(
		books,
		forgetTableReading,
		{ ...which, bankAccountId: 2 },
		SUPERVISOR
	);
	expect(await known()).toEqual([['bank-table', 'kunden.csv', 1]]);
	await done(books, keepTableReadings, { kind, answers: [answer] }, CLERK);
	expect(await known()).toEqual([
		['bank-table', 'kunden.csv', 2],
		['bank-table', 'kunden.csv', 1]
	]);
});

it('neither is for a clerk', async () => {
	await keep('customers');
	for (const attempt of [
		() => perform(books, nameTableReading, { ...WHICH, name: 'x' }, as(CLERK)),
		() => perform(books, forgetTableReading, WHICH, as(CLERK))
	])
		expect(codesOf(await attempt())).toEqual(['not-allowed']);
	expect(await known()).toEqual([['customers', 'kunden.csv', undefined]]);
});

import { beforeEach, expect, test } from 'vitest';
import { perform } from '../../act/perform';
import { as, CLERK, codesOf, done, SUPERVISOR, testBooks } from '../../testing';
import type { Books } from '../../platform/db/open';
import { readSetting } from '../store/settings';
import { dropTerms, keepTerms } from './named-terms';

let books: Books;
beforeEach(async () => {
	books = await testBooks();
});
const NET: Parameters<typeof keepTerms.run>[1]['terms'] = {
	...{ name: '30 days net', termsDays: 30, termsFrom: 'issue', termsParts: [] },
	...{ discountBasisPoints: null, discountDays: null }
};
const HALVES = {
	...NET,
	name: 'Halves',
	termsParts: [
		{ basisPoints: 5_000, days: 30 },
		{ basisPoints: 5_000, days: 60 }
	]
};
const keep = (terms: typeof NET, instead: string | null = null) =>
	perform(books, keepTerms, { instead, terms }, as(SUPERVISOR));
const names = async () => ((await readSetting(books.db, 'terms')) ?? []).map(({ name }) => name);

test('terms are put on the list, changed where they stand, and taken off', async () => {
	await keep(NET);
	await keep(HALVES);
	expect(await readSetting(books.db, 'terms')).toEqual([NET, { ...HALVES, termsDays: 60 }]);
	await keep({ ...NET, name: 'Net 28', termsDays: 28 }, '30 days net');
	expect(await names()).toEqual(['Net 28', 'Halves']);
	expect(await done(books, dropTerms, { name: 'Halves' }, SUPERVISOR)).toEqual({ ...HALVES, termsDays: 60 });
	expect(await names()).toEqual(['Net 28']);
});

test('two of one name, half a discount, what is not there, and a clerk are refused', async () => {
	await keep(NET);
	expect(codesOf(await keep({ ...NET, name: '30 DAYS NET' }))).toEqual(['field']);
	expect(codesOf(await keep({ ...HALVES, discountDays: 7 }))).toEqual(['field']);
	expect(codesOf(await keep(HALVES, 'Thirds'))).toEqual(['not-found']);
	expect(codesOf(await perform(books, dropTerms, { name: 'Thirds' }, as(SUPERVISOR)))).toEqual(['not-found']);
	expect(codesOf(await perform(books, keepTerms, { instead: null, terms: HALVES }, as(CLERK)))).toEqual([
		'not-allowed'
	]);
	expect(await names()).toEqual(['30 days net']);
});

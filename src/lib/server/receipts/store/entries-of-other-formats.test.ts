import { beforeEach, describe, expect, it } from 'vitest';
import { doubtsOf } from '../../../core/1-bank-files/doubts-of';
import type { DoubtAnswer, EntryDoubt } from '../../../core/model/entry-doubt';
import { perform } from '../../act/perform';
import { importBankFile } from '../commands/import-bank-file';
import { readBankFile } from './read-bank-file';
import { proveBooks } from '../../ledger/queries/proof';
import type { Books } from '../../platform/db/open';
import { bankEntry, receipt } from '../../platform/db/schema';
import { as, bankXml, bringIn, CLERK, credit, testBooks } from '../../testing';
import { mt940Text } from '../testing-mt940';
import { statementFaults } from './statement-faults';

let books: Books & { file: string };
beforeEach(async () => {
	books = await testBooks();
});
/** Brings files in one after another: how many entries were new, and known, in each. */
async function counts(...files: readonly string[]): Promise<string[]> {
	const said: string[] = [];
	for (const [at, file] of files.entries()) {
		const came = await bringIn(books, file, `file-${at}`);
		said.push(came.ok ? `${came.value.entriesNew}+${came.value.entriesKnown}` : came.problems[0]!.code);
	}
	expect((await proveBooks(books.db)).breaches).toEqual([]);
	return said;
}
const inBooks = async () => [await books.db.$count(bankEntry), await books.db.$count(receipt)];

const camt = bankXml([
	credit(1000, 'INV AK-1', { name: 'HAZEL HILL' }),
	credit(500, 'AK-2'),
	credit(500, 'AK-3')
]);
const mt940 = mt940Text([
	{ amount: 500, text: 'AK-3' },
	{ amount: 1000, text: 'HAZEL HILL INV AK-1' },
	{ amount: 500, text: 'AK-2' }
]);

describe('the same day in two formats', () => {
	it.each([
		['camt.053 first', camt, mt940],
		['MT940 first', mt940, camt]
	])('is in the books once: %s', async (_, first, second) => {
		// Once more, with a line that changes nothing: it is known by its own shape now.
		expect(await counts(first, second, `${second}\n`, `${first}\n`)).toEqual(['3+0', '0+3', '0+3', '0+3']);
		expect(await inBooks()).toEqual([3, 3]);
		expect(await statementFaults(books.db)).toEqual([]);
	});
	it('adds what the first one did not have, in sound order', async () => {
		const more = mt940Text([
			{ amount: 1000, text: 'HAZEL HILL INV AK-1' },
			{ amount: 500, text: 'AK-2' },
			{ amount: 500, text: 'AK-3' },
			{ amount: 500, text: 'AK-3' }
		]);
		expect(await counts(camt, more)).toEqual(['3+0', '1+3']);
		expect((await statementFaults(books.db)).map((one) => one.code)).toEqual([]);
	});
	it('is another payment where the statement goes on from the other format’s, however alike', async () => {
		const next = mt940Text([{ amount: 500, text: 'AK-3' }], { opening: 2000, number: '2/1' });
		expect(await counts(camt, next, `${next}\n`)).toEqual(['3+0', '1+0', '0+1']);
		expect(await statementFaults(books.db)).toEqual([]);
	});
	it('is the same where its entries cancel out, so that it begins and ends with one balance', async () => {
		const zero = bankXml([credit(500, 'AK-3'), { ...credit(500, 'AK-3 back'), amount: -500 }], {
			opening: 700
		});
		const same = mt940Text(
			[
				{ amount: 500, text: 'AK-3' },
				{ amount: -500, text: 'AK-3 BACK' }
			],
			{ opening: 700 }
		);
		expect(await counts(zero, same)).toEqual(['2+0', '0+2']);
	});
	it('is told by a reference where the words are others', async () => {
		const one = bankXml([credit(500, 'AK-2', { reference: 'B7' }), credit(500, 'AK-3', { reference: 'B8' })]);
		const other = mt940Text([
			{ amount: 500, text: 'SEE LETTER', reference: 'B8' },
			{ amount: 500, text: 'SEE LETTER', reference: 'B7' }
		]);
		expect(await counts(one, other)).toEqual(['2+0', '0+2']);
	});
	it('is another payment where one statement is between the two, each in a file of its own', async () => {
		const page = (number: string, opening: number, text: string, amount: number) =>
			mt940Text([{ amount, text }], { opening, number });
		// Three pages of one day: the first and the last are alike to the letter.
		const pages = [page('7/1', 0, 'INV', 500), page('7/2', 500, 'OTHER', 40), page('7/3', 540, 'INV', 500)];
		expect(await counts(...pages)).toEqual(['1+0', '1+0', '1+0']);
		expect(await counts(...pages.map((text) => `${text}\n`))).toEqual(['0+1', '0+1', '0+1']);
		expect(await inBooks()).toEqual([3, 3]);
	});
	it('is another payment where one statement of the other format is between', async () => {
		const first = mt940Text([{ amount: 500, text: 'INV A' }], { number: '7/1' });
		const second = mt940Text([{ amount: 40, text: 'B' }], { opening: 500, number: '7/2' });
		const third = bankXml([credit(500, 'INV C')], { reference: 'S3', opening: 540 });
		expect(await counts(first, second, third)).toEqual(['1+0', '1+0', '1+0']);
		expect(await inBooks()).toEqual([3, 3]);
	});
	it('is found once for the pages of one file, whatever they have beyond', async () => {
		const one = bankXml([credit(500, 'INV')]);
		const pages =
			mt940Text([{ amount: 500, text: 'INV' }], { number: '7/1' }) +
			mt940Text([{ amount: 500, text: 'INV' }], { opening: 500, number: '7/2' });
		expect(await counts(one, pages)).toEqual(['1+0', '1+1']);
		expect(await inBooks()).toEqual([2, 2]);
	});
});

describe('an entry that nothing tells to be in the books or not', () => {
	const first = bankXml([credit(500, 'AK-2 HAZEL'), credit(500, 'AK-3 WICKER')]);
	const other = mt940Text([
		{ amount: 500, text: 'SEE LETTER' },
		{ amount: 500, text: 'AK-2 HAZEL' }
	]);
	const asked = async (doubtAnswers: readonly DoubtAnswer[] = [], text = other) => {
		const read = await readBankFile('other.sta', [Buffer.from(text)]);
		if (!read.ok) throw new Error('it is read');
		return perform(books, importBankFile, { ...read.value, doubtAnswers }, as(CLERK));
	};
	const doubts = async (...given: Parameters<typeof asked>) => {
		const result = await asked(...given);
		return result.ok ? [] : doubtsOf(result.problems);
	};
	beforeEach(async () => {
		await bringIn(books, first, 'first.xml');
	});

	it('is asked about, with what it may be, and nothing is brought in', async () => {
		expect(await doubts()).toEqual([
			{
				...{ key: expect.any(String), account: 'Account GBP', booked: '2026-10-28', amount: 500 },
				...{ currency: 'GBP', words: 'SEE LETTER' },
				others: [{ id: 2, words: 'AK-3 WICKER', file: 'first.xml' }]
			}
		]);
		expect(await inBooks()).toEqual([2, 2]);
	});
	it('is the one that was said; the same file again adds nothing', async () => {
		const [{ key }] = (await doubts()) as [EntryDoubt];
		const done = await asked([{ key, entryId: 2 }]);
		expect(done).toMatchObject({ ok: true, value: { entriesNew: 0, entriesKnown: 2 } });
		expect(await asked([], `${other}\n`)).toMatchObject({
			ok: true,
			value: { entriesNew: 0, entriesKnown: 2 }
		});
		expect(await inBooks()).toEqual([2, 2]);
		expect((await proveBooks(books.db)).breaches).toEqual([]);
	});
	it('is another payment where that was said', async () => {
		const [{ key }] = (await doubts()) as [EntryDoubt];
		const done = await asked([{ key, entryId: null }]);
		expect(done).toMatchObject({ ok: true, value: { entriesNew: 1, entriesKnown: 1 } });
		expect(await inBooks()).toEqual([3, 3]);
	});
	it('is asked about again where what was said is none of those, or of another entry', async () => {
		const [{ key }] = (await doubts()) as [EntryDoubt];
		expect(await doubts([{ key, entryId: 1 }])).toHaveLength(1);
		expect(await doubts([{ key: 'something', entryId: 2 }])).toHaveLength(1);
		expect(await inBooks()).toEqual([2, 2]);
	});
	it('one entry of the books is only one of them', async () => {
		const three = mt940Text([
			{ amount: 500, text: 'SEE LETTER' },
			{ amount: 500, text: 'WITH THANKS' },
			{ amount: 500, text: 'AK-2 HAZEL' }
		]);
		const both = await doubts([], three);
		expect(both).toHaveLength(2);
		const [one, other] = both as [EntryDoubt, EntryDoubt];
		const twice = both.map(({ key }) => ({ key, entryId: 2 }));
		expect((await doubts(twice, three)).map(({ key }) => key)).toEqual([other.key]);
		expect(await inBooks()).toEqual([2, 2]);
		const said = await asked(
			[
				{ key: one.key, entryId: 2 },
				{ key: other.key, entryId: null }
			],
			three
		);
		expect(said).toMatchObject({ ok: true, value: { entriesNew: 1, entriesKnown: 2 } });
	});
});

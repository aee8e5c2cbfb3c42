import { eq } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import type { Day } from '../../../core/day/day';
import { minor, MOST_AMOUNT } from '../../../core/money/minor';
import { issueDocuments } from '../../documents/commands/issue-documents';
import { perform } from '../../act/perform';
import { lookAtProof } from '../queries/proof';
import { advice, turnover } from '../../platform/db/schema';
import { as, bankXml, bringIn, CLERK, credit, done, newDocument, proves, testBooks } from '../../testing';

const most = (from: number, count: number) =>
	Array.from({ length: count }, (_, at) => newDocument(`A-${from + at}`, 1, MOST_AMOUNT));
const codes = (result: Awaited<ReturnType<typeof perform>>) =>
	result.ok ? [] : result.problems.map((problem) => problem.code);

describe('however much is booked', () => {
	it('the books can be read: what would be more than they can count is refused', async () => {
		const books = await testBooks();
		await done(books, issueDocuments, most(0, 440), CLERK);
		const beyond = await perform(books, issueDocuments, most(440, 100), as(CLERK));
		expect(codes(beyond as never)).toEqual(['books-full']);
		await proves(books);
		const viewer = { who: CLERK, today: as(CLERK).today };
		const asked = { url: '', anchors: { files: [], publicKey: null } };
		expect((await lookAtProof(books.db, asked, viewer)).breaches).toEqual([]);
		await done(books, issueDocuments, [newDocument('B-1', 1, 1000)], CLERK);
	});
	it('neither does a bank file of such amounts stop them', async () => {
		const books = await testBooks();
		const entries = Array.from({ length: 902 }, (_, at) =>
			credit(at % 2 ? -MOST_AMOUNT : MOST_AMOUNT, `A-${at}`, { reference: `R${at}` })
		);
		const result = await bringIn(books, bankXml(entries));
		expect(codes(result as never)).toEqual(['books-full']);
		expect((await books.db.select().from(turnover).where(eq(turnover.name, 'bank'))).length).toBe(0);
	});
	it('a sum of amounts that are possible, which itself is not, is refused with a sentence', async () => {
		const books = await testBooks();
		const line = { text: 'clay', net: minor(MOST_AMOUNT), taxBasisPoints: 0, tax: minor(0) };
		const total = minor(2 * MOST_AMOUNT);
		const instalments = [{ due: as(CLERK).today, amount: total }];
		const twice = newDocument('A-1', 1, 1, { lines: [line, line], instalments });
		expect(codes((await perform(books, issueDocuments, [twice], as(CLERK))) as never)).toEqual([
			'out-of-bounds'
		]);
		await done(books, issueDocuments, [newDocument('A-1', 1, 1000)], CLERK);
		await proves(books);
	});
	it('an amount of more than 10^13 is refused at the door, by the tables, too', async () => {
		const books = await testBooks();
		const result = await bringIn(books, bankXml([credit(MOST_AMOUNT + 1, 'A')]));
		expect(codes(result as never)).toContain('amount-bad');
		const kept = (total: number, date: string) =>
			books.write((tx) =>
				tx.insert(advice).values({
					...{ customerId: 1, date: date as Day, currency: 'GBP', source: '', keptBy: 'Wren' },
					total: minor(total)
				})
			);
		await kept(MOST_AMOUNT, '2026-10-30');
		await expect(kept(MOST_AMOUNT + 1, '2026-10-30')).rejects.toThrow();
		await expect(kept(1, '1826-10-30')).rejects.toThrow();
	});
});

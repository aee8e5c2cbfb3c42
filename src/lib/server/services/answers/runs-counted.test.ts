import { eq } from 'drizzle-orm';
import { beforeEach, describe, expect, it } from 'vitest';
import { sendLetters } from '../../letters/commands/send-letters';
import { perform } from '../../act/perform';
import type { Books } from '../../platform/db/open';
import { delivery } from '../../platform/db/schema';
import { as, CLERK, invoices, newDocument, testBooks, TODAY } from '../../testing';
import { prepareLetters } from '../prepare-letters';
import { runsCounted } from './runs-counted';

const viewer = { who: CLERK, today: TODAY };
let books: Books;
beforeEach(async () => {
	books = await testBooks();
	await invoices(books, newDocument('AK-1', 1, 1000));
});
const counted = (timesAsLong?: number) => runsCounted(books.db, [], viewer, timesAsLong);

async function remind(): Promise<void> {
	const accounts = [{ customerId: 1, currency: 'GBP' }];
	const prepared = await prepareLetters(
		books,
		{ kind: 'reminder', accounts },
		viewer,
		'2026-10-30T10:00:00.000Z'
	);
	if (!prepared.ok) throw new Error(JSON.stringify(prepared.problems));
	await perform(books, sendLetters, { kind: 'reminder', letters: prepared.value }, as(CLERK));
}

describe('what could go today', () => {
	it('is counted once while nothing is done, and anew after every act', async () => {
		const before = await counted();
		expect(before.statements.all).toBe(1);
		expect(await counted()).toBe(before);
		await invoices(books, newDocument('AK-2', 2, 2000));
		expect((await counted()).statements.all).toBe(2);
	});
	it('stands for a moment while nothing but letters is written, and is counted anew after it', async () => {
		const before = await counted();
		await remind();
		expect(await counted(Infinity)).toBe(before);
		expect(await counted(0)).not.toBe(before);
		await remind();
		await invoices(books, newDocument('AK-2', 2, 2000));
		expect((await counted(Infinity)).statements.all).toBe(2);
	});
	it('is counted anew when a letter came to nothing, which is no act', async () => {
		await remind();
		const before = await counted();
		await books.write((tx) => tx.update(delivery).set({ state: 'refused' }).where(eq(delivery.letterId, 1)));
		expect(await counted(Infinity)).not.toBe(before);
	});
});

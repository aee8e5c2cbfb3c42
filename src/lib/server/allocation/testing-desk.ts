import { eq } from 'drizzle-orm';
import { afterEach, beforeEach, expect } from 'vitest';
import { day } from '../../core/day/day';
import type { Books } from '../platform/db/open';
import { itemState, journalLine, receiptState } from '../platform/db/schema';
import { proveBooks } from '../ledger/queries/proof';
import { as, bankXml, bringIn, CLERK, credit, done, invoices, newDocument, testBooks } from '../testing';
import { addRates } from '../firm/commands/add-rates';
import { perform } from '../act/perform';
import type { AllocationInput } from './allocation-input';
import { allocateReceipt } from './commands/allocate-receipt';
import { undoPosting } from './commands/undo-posting';

/** Books with documents of three customers and four payments that wait, made anew for each test, and what is done on the desk with them. */
export function deskBooks() {
	let books: Books;
	beforeEach(async () => {
		books = await testBooks();
		// 1: AK-1 10.00, 2: AK-2 20.00, 3: credit note AC-1 7.00, all of H1; 4: AK-3 3.00 of W2; 5: AE-1 100.00 EUR of E3.
		await done(books, addRates, [{ currency: 'EUR', day: day('2026-09-01'), millionths: 860_000 }], CLERK);
		await invoices(
			books,
			newDocument('AK-1', 1, 1000),
			newDocument('AK-2', 1, 2000),
			newDocument('AC-1', 1, 700, { kind: 'credit_note' }),
			newDocument('AK-3', 2, 300),
			newDocument('AE-1', 3, 10_000, { currency: 'EUR' })
		);
		await bringIn(
			books,
			bankXml([credit(900, 'one'), credit(1500, 'two'), credit(985, 'three'), credit(8400, 'four')])
		);
	});
	afterEach(() => books.close());

	const proves = async () => expect((await proveBooks(books.db)).breaches).toEqual([]);
	const versionOf = async (itemId: number) =>
		(await books.db.select().from(itemState).where(eq(itemState.itemId, itemId)).get())!.version;
	const stateOf = async (id: number) =>
		(await books.db.select().from(receiptState).where(eq(receiptState.receiptId, id)).get())!;
	const open = async () => (await books.db.select().from(itemState)).map((row) => row.open);

	/** An order for a receipt (or none): lines as [item, cash, differences…]. */
	async function order(
		receiptId: number | null,
		lines: [number, number, ...[string, number][]][],
		over: Partial<AllocationInput> = {}
	): Promise<AllocationInput> {
		return {
			receiptId,
			receiptVersion: receiptId === null ? null : (await stateOf(receiptId)).version,
			customerId: 1,
			lines: await Promise.all(
				lines.map(async ([itemId, cash, ...gaps]) => ({
					itemId,
					version: await versionOf(itemId),
					cash,
					differences: gaps.map(([kind, amount]) => ({ kind: kind as 'claim', amount }))
				}))
			),
			...over
		};
	}
	const place = async (input: AllocationInput, who = CLERK) =>
		perform(books, allocateReceipt, input, as(who));
	async function placed(input: AllocationInput, who = CLERK): Promise<number> {
		const result = await place(input, who);
		if (!result.ok) throw new Error(JSON.stringify(result.problems));
		return result.value.actId!;
	}
	const codes = (result: Awaited<ReturnType<typeof place>>) =>
		result.ok ? [] : result.problems.map((one) => one.code);
	const journal = async (actId: number) =>
		(await books.db.select().from(journalLine).where(eq(journalLine.actId, actId))).map((line) => [
			line.account,
			line.customerId,
			line.amount
		]);
	const back = (actId: number) => perform(books, undoPosting, { actId }, as(CLERK));

	return {
		/** Those of the test that runs. */
		get books() {
			return books;
		},
		proves,
		versionOf,
		stateOf,
		open,
		order,
		place,
		placed,
		codes,
		journal,
		back
	};
}

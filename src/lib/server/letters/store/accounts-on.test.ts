import { sql } from 'drizzle-orm';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { addDays } from '../../../core/day/arithmetic';
import { day, type Day } from '../../../core/day/day';
import { minor } from '../../../core/money/minor';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { undoPosting } from '../../allocation/commands/undo-posting';
import { perform } from '../../act/perform';
import { openItemsOf } from '../../documents/store/open-items';
import type { Books } from '../../platform/db/open';
import { returnPayment } from '../../returns/commands/return-payment';
import {
	as,
	bankXml,
	bringIn,
	CLERK,
	credit,
	invoices,
	newDocument,
	proves,
	testBooks,
	TODAY
} from '../../testing';
import { accountsOn } from './accounts-on';
import { lettersFor } from './letters-for';

const FIRST = day('2026-09-20');
const DAYS = 41;
/** Of the payments that there are, in pence. */
const AMOUNTS = [1_000, 2_500, 40, 900];

type Step =
	| {
			readonly what: 'invoice' | 'credit-note';
			readonly customer: number;
			readonly amount: number;
			readonly on: number;
	  }
	| {
			readonly what: 'allocate';
			readonly receipt: number;
			readonly item: number;
			readonly cash: number;
			readonly on: number;
	  }
	| { readonly what: 'undo'; readonly on: number }
	| { readonly what: 'return'; readonly on: number };

const steps: fc.Arbitrary<Step> = fc.oneof(
	fc.record({
		what: fc.constantFrom('invoice' as const, 'credit-note' as const),
		customer: fc.constantFrom(1, 2),
		amount: fc.integer({ min: 1, max: 5_000 }),
		on: fc.nat({ max: DAYS - 1 })
	}),
	fc.record({
		what: fc.constant('allocate' as const),
		receipt: fc.integer({ min: 1, max: 4 }),
		item: fc.nat({ max: 7 }),
		cash: fc.integer({ min: 1, max: 3_000 }),
		on: fc.nat({ max: DAYS - 1 })
	}),
	fc.record({ what: fc.constant('undo' as const), on: fc.nat({ max: DAYS - 1 }) }),
	fc.record({ what: fc.constant('return' as const), on: fc.integer({ min: 38, max: DAYS - 1 }) })
);

/** How much of what histories ask for was done. */
const happened = { allocated: 0, undone: 0, returned: 0 };

/** Does what it can of a history; what the acts refuse is left out. */
async function live(books: Books, history: readonly Step[]): Promise<void> {
	const posted: { readonly actId: number; readonly receiptId: number }[] = [];
	let number = 0;
	for (const step of history) {
		const on = { ...as(CLERK), today: addDays(FIRST, step.on) };
		if (step.what === 'invoice' || step.what === 'credit-note')
			await invoices(
				books,
				newDocument(`AK-${++number}`, step.customer, step.amount, {
					kind: step.what === 'invoice' ? 'invoice' : 'credit_note',
					issued: addDays(FIRST, step.on),
					instalments: [{ due: addDays(FIRST, step.on + 14), amount: minor(step.amount) }]
				})
			);
		else if (step.what === 'allocate') {
			const open = await openItemsOf(books.db, [1, 2]);
			const item = open[step.item % Math.max(1, open.length)];
			if (item?.kind !== 'invoice') continue;
			const [receipt] = await books.db.all<{ version: number }>(
				sql`select version from receipt_state where receipt_id = ${step.receipt}`
			);
			const given = {
				...{ receiptId: step.receipt, receiptVersion: receipt!.version, customerId: item.customerId },
				lines: [
					{
						itemId: item.id,
						version: item.version,
						cash: Math.min(step.cash, item.open, AMOUNTS[step.receipt - 1]!),
						differences: []
					}
				]
			};
			const done = await perform(books, allocateReceipt, given, on);
			if (!done.ok || !('actId' in done.value) || typeof done.value.actId !== 'number') continue;
			posted.push({ actId: done.value.actId, receiptId: step.receipt });
			happened.allocated++;
		} else if (step.what === 'undo') {
			const last = posted.pop();
			if (last && (await perform(books, undoPosting, { actId: last.actId }, on)).ok) happened.undone++;
		} else {
			const paid = posted.shift();
			if (!paid) continue;
			const [receipt] = await books.db.all<{ version: number; amount: number }>(sql`
				select s.version, r.amount from receipt_state s join receipt r on r.id = s.receipt_id where r.id = ${paid.receiptId}`);
			const { version: receiptVersion, amount } = receipt!;
			const given = { receiptId: paid.receiptId, receiptVersion, amount, date: null, reason: 'AC04' };
			if ((await perform(books, returnPayment, given, on)).ok) happened.returned++;
		}
	}
}

/** What the journal says of a customer's receivables at the end of a day. */
async function ledgerOn(books: Books, customerId: number, on: Day): Promise<number> {
	const [row] = await books.db.all<{ sum: number }>(sql`
		select coalesce(sum(amount), 0) as sum from journal_line
		where account = '1100' and customer_id = ${customerId} and date <= ${on}`);
	return row!.sum;
}

/** What spans say of an account at the end of a day. */
async function spansOn(books: Books, customerId: number, on: Day) {
	const rows = await books.db.all<{ item: number | null; kind: string; open: number }>(sql`
		select item_id as item, kind, open from open_span where customer_id = ${customerId} and from_day <= ${on} and to_day > ${on}`);
	const isOnAccount = (row: (typeof rows)[number]) => row.kind === 'on_account';
	return {
		items: Object.fromEntries(rows.filter((row) => !isOnAccount(row)).map((row) => [row.item, row.open])),
		onAccount: -rows.filter(isOnAccount).reduce((all, row) => all - row.open, 0)
	};
}

test('what is open, less what lies on account, is the ledger’s balance on every day; and so is every statement', async () => {
	await fc.assert(
		fc.asyncProperty(fc.array(steps, { minLength: 4, maxLength: 16 }), async (history) => {
			const first = [1, 2, 1, 2].map((customerId, n) =>
				newDocument(`AK-9${n}`, customerId, 700 * (n + 1), { issued: FIRST })
			);
			const books = await testBooks(...first);
			await bringIn(
				books,
				bankXml(
					AMOUNTS.map((amount, n) => credit(amount, `PAYMENT ${n}`, { booked: addDays(FIRST, 5 + 7 * n) }))
				)
			);
			await live(books, history);
			await proves(books);
			const accounts = [1, 2].map((customerId) => ({ customerId, currency: 'GBP' }));
			for (let n = 0; n < DAYS; n += 4) {
				const on = addDays(FIRST, n);
				const standing = await accountsOn(books.db, [1, 2], on);
				const open = await lettersFor(
					books.db,
					{ kind: 'statement', statement: { kind: 'open', from: null, to: on }, accounts },
					addDays(FIRST, DAYS)
				);
				const from = addDays(on, -9);
				const forward = await lettersFor(
					books.db,
					{ kind: 'statement', statement: { kind: 'activity', from, to: on }, accounts },
					addDays(FIRST, DAYS)
				);
				for (const [at, { customerId }] of accounts.entries()) {
					const balance = await ledgerOn(books, customerId, on);
					const items = standing.items.get(customerId) ?? [];
					const credits = standing.credits.get(customerId) ?? [];
					const sum =
						items.reduce((all, item) => all + (item.kind === 'credit_note' ? -item.open : item.open), 0) -
						credits.reduce((all, one) => all + one.open, 0);
					expect(sum).toBe(balance);
					expect(await spansOn(books, customerId, on)).toEqual({
						items: Object.fromEntries(
							items.map((item) => [item.id, item.kind === 'credit_note' ? -item.open : item.open])
						),
						onAccount: -credits.reduce((all, one) => all + one.open, 0)
					});
					const [shown, told] = [open[at]!, forward[at]!];
					if (shown.ok) {
						expect(shown.value.letter.owed).toBe(balance);
						for (const row of shown.value.letter.rows)
							if (row.payments.length > 0)
								expect(row.payments.reduce((all, part) => all + part.amount, 0)).toBe(
									Math.abs(row.total - row.open)
								);
						expect(shown.value.letter.aged.reduce((all, bucket) => all + bucket.sum, 0)).toBe(balance);
					} else expect(balance).toBe(0);
					if (told.ok) {
						const { opening, movements, closing } = told.value.letter.activity!;
						expect(opening).toBe(await ledgerOn(books, customerId, addDays(from, -1)));
						expect(movements.reduce((all, one) => all + one.amount, opening as number)).toBe(closing);
						expect(closing).toBe(balance);
						expect(told.value.letter.owed).toBe(balance);
					} else expect(balance).toBe(0);
				}
			}
			const now = await lettersFor(books.db, { kind: 'statement', accounts }, TODAY);
			const same = await accountsOn(books.db, [1, 2], TODAY);
			for (const [at, { customerId }] of accounts.entries()) {
				const found = now[at]!;
				const open = (same.items.get(customerId) ?? []).map((item) => item.id).sort((a, b) => a - b);
				const ids = (await openItemsOf(books.db, [customerId])).map((item) => item.id);
				expect(ids.sort((a, b) => a - b)).toEqual(open);
				if (found.ok) expect(found.value.letter.owed).toBe(await ledgerOn(books, customerId, TODAY));
			}
			await books.close();
		}),
		{ numRuns: 12, seed: 17, endOnFailure: true }
	);
	// Histories in which nothing happens would show nothing.
	expect(Math.min(...Object.values(happened))).toBeGreaterThan(2);
});

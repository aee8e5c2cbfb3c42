import { minor, ZERO } from '../lib/core/money/minor';
import { and, asc, eq, gt, gte, lte } from 'drizzle-orm';
import { addDays } from '../lib/core/day/arithmetic';
import { makeRefundFile } from '../lib/server/refunds/commands/make-refund-file';
import { perform } from '../lib/server/act/perform';
import type { CallContext } from '../lib/server/act/define-act';
import { reallocate } from '../lib/server/allocation/commands/reallocate';
import { printLetters } from '../lib/server/letters/commands/print-letters';
import { startRun } from '../lib/server/letters/commands/start-run';
import { lookAtChosen, lookAtRun } from '../lib/server/letters/queries/letters';
import { writeOffSmallBalances } from '../lib/server/allocation/commands/write-off-small-balances';
import type { Books } from '../lib/server/platform/db/open';
import {
	allocation,
	bankAccount,
	item,
	itemState,
	receipt,
	receiptState
} from '../lib/server/platform/db/schema';
import { openLetterWriter } from '../lib/server/services/letter-writer/letter-writer';
import { refundsDue } from '../lib/server/refunds/store/refunds-due';
import type { BankBook } from './bank-book';
import { must } from './must';
import { DEMO_TODAY } from './firm';

/** A refund went to the bank in a file; its debit stands in today's file, and so does the money, since the account was closed. */
export async function refundCameBack(books: Books, at: CallContext, bank: BankBook): Promise<void> {
	const from = await books.db.select().from(bankAccount).where(eq(bankAccount.currency, 'GBP')).get();
	const due = (await refundsDue(books.db)).filter((one) => one.currency === 'GBP' && one.account);
	const [first] = due;
	if (!from || !first) throw new Error('the demo books have no refund that could come back');
	const { id, account, payee, amount } = first;
	await must(
		perform(books, makeRefundFile, { bankAccountId: from.id, refunds: [{ id, account: account! }] }, at)
	);
	bank.add({
		...{ amount: -amount, booked: addDays(DEMO_TODAY, -1), code: ['ICDT', 'ESCT'] as const },
		details: [{ amount, name: payee, account, text: `REFUND-${id}` }]
	});
	bank.add({
		...{ amount, booked: DEMO_TODAY, code: ['RCDT', 'RRTN'] as const },
		details: [{ amount, name: payee, account, text: `RETURNED REFUND-${id}`, returned: 'AC04' }]
	});
}

/**
 * Statements went out in the morning; in the afternoon one of the customers rang: a payment that the statement showed on one
 * invoice was meant for another, and it was moved.
 */
export async function toldWrong(books: Books, at: CallContext): Promise<void> {
	const rows = await books.db
		.select({
			receiptId: receipt.id,
			version: receiptState.version,
			actId: receiptState.actId,
			amount: receipt.amount,
			customerId: receiptState.customerId,
			currency: receipt.currency
		})
		.from(receiptState)
		.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
		.where(
			and(
				eq(receiptState.state, 'allocated'),
				eq(receipt.currency, 'GBP'),
				eq(receiptState.onAccount, ZERO),
				gte(receipt.booked, addDays(DEMO_TODAY, -9)),
				lte(receipt.booked, addDays(DEMO_TODAY, -3))
			)
		)
		.orderBy(asc(receipt.id));
	for (const row of rows) {
		const parts = await books.db.select().from(allocation).where(eq(allocation.receiptId, row.receiptId));
		const other = await books.db
			.select({ itemId: item.id, version: itemState.version })
			.from(itemState)
			.innerJoin(item, eq(item.id, itemState.itemId))
			.where(
				and(
					eq(itemState.customerId, row.customerId!),
					eq(itemState.kind, 'invoice'),
					eq(itemState.currency, 'GBP'),
					gt(itemState.open, minor(row.amount))
				)
			)
			.get();
		if (parts.length !== 1 || parts[0]!.actId !== row.actId || !other) continue;
		const morning = { ...at, now: () => `${at.today}T09:05:00.000Z` };
		await statementsOf(books, morning, row.customerId!);
		const order = {
			...{ receiptId: row.receiptId, receiptVersion: row.version, customerId: row.customerId },
			lines: [{ ...other, cash: row.amount, differences: [] }]
		};
		await must(perform(books, reallocate, { actId: row.actId!, order }, at));
		return;
	}
	throw new Error('the demo books have no payment that could have been meant for another invoice');
}

/** A run of statements: to one customer by mail, and to the schools on paper, which was printed. */
async function statementsOf(books: Books, morning: CallContext, customerId: number): Promise<void> {
	const asked = { kind: 'statement' as const, statement: null, waiting: [] };
	const run = await lookAtRun(books.db, { ...asked, page: 0, filter: { tag: 'school' } }, morning);
	const chosen = [
		{ customerId, currency: 'GBP' },
		...run.ready.map((one) => ({ customerId: one.customerId, currency: one.currency }))
	];
	const rows = await lookAtChosen(books.db, { ...asked, chosen }, morning);
	const { seen } = run;
	const accounts = rows.map((row) => ({
		...{ customerId: row.customerId, currency: row.currency, amount: row.amount },
		...(row.held ? { overruled: row.held } : {})
	}));
	const given = { kind: asked.kind, statement: null, note: '', copyTo: null, chosen: accounts, rows, seen };
	const { runId } = await must(perform(books, startRun, given, morning));
	const writer = openLetterWriter(books, {
		...{ today: () => Promise.resolve(morning.today), now: morning.now, sent: () => undefined }
	});
	writer.wake();
	await writer.idle();
	await writer.close();
	await must(perform(books, printLetters, { runId }, morning));
}

/** A clerk wants to write off an old invoice, which takes a supervisor. */
export async function asksSupervisor(books: Books, at: CallContext): Promise<void> {
	const oldest = await books.db
		.select({ itemId: itemState.itemId, version: itemState.version })
		.from(itemState)
		.where(
			and(eq(itemState.kind, 'invoice'), eq(itemState.currency, 'GBP'), gt(itemState.open, minor(5_000)))
		)
		.orderBy(asc(itemState.due), asc(itemState.itemId))
		.limit(1);
	const note = 'the pottery has closed, letters come back';
	const { waits } = await must(
		perform(books, writeOffSmallBalances, { items: oldest, kind: 'bad_debt', note }, at)
	);
	if (waits.length === 0) throw new Error('the demo books have no debt that takes a supervisor');
}

import { ZERO } from '../../../core/money/minor';
import { and, desc, eq, gt, gte, inArray, lt, lte, ne, sql } from 'drizzle-orm';
import { CHART } from '../../../core/5-journal/chart';
import { age } from '../../../core/6-reports/age';
import { ageEnds } from '../../firm/store/age-ends';
import { addDays, firstOfMonth } from '../../../core/day/arithmetic';
import type { Day } from '../../../core/day/day';
import type { Minor } from '../../../core/money/minor';
import {
	bankAccount,
	bankStatement,
	customer,
	delivery,
	document,
	item,
	itemState,
	journalLine,
	letter,
	receipt,
	receiptState
} from '../../platform/db/schema';
import { isOpen, signedOpenBase } from '../../documents/store/is-open';
import { countReported } from '../../receipts/store/count-reported';
import { unconfirmedFiles } from '../../receipts/store/entry-doubts';
import { statementFaults } from '../../receipts/store/statement-faults';
import { readSetting } from '../../firm/store/settings';
import { defineLook } from '../../act/define-look';

const MOST_LATE = 7;

/** What the pile comes to: it crosses threads, where the pile itself would not. */
export interface PileSummed {
	/** False where receipts are still being answered: then it pays to ask again. */
	readonly answered: boolean;
	readonly bands: Readonly<Record<'certain' | 'likely' | 'choose' | 'none', number>>;
	/** How many are booked as unidentified: they are dealt with for the day. */
	readonly unidentified: number;
	/** How many of the bank's lines are debits. */
	readonly out: number;
	/** What waits by currency, in minor units. */
	readonly waiting: Readonly<Record<string, number>>;
	/** The customers whose money waits. */
	readonly customers: readonly number[];
}

/** Today: what the day asks for, with true figures, and what waits as it was summed up. Sums over currencies are in base currency. */
export const lookAtToday = defineLook('reader', async (db, pile: PileSummed, { today }) => {
	const firm = await readSetting(db, 'firm');
	const banks = await db
		.select({
			name: bankAccount.name,
			closingOn: sql<string | null>`max(${bankStatement.closingOn})`
		})
		.from(bankAccount)
		.leftJoin(bankStatement, eq(bankStatement.bankAccountId, bankAccount.id))
		.groupBy(bankAccount.id);
	const owed = await db
		.select({
			all: sql<number>`coalesce(sum(${signedOpenBase}), 0)`,
			late: sql<number>`coalesce(sum(case when ${itemState.due} < ${today} and ${itemState.kind} in ('invoice', 'charge') then ${itemState.openBase} else 0 end), 0)`
		})
		.from(itemState)
		.where(isOpen)
		.get();
	const onAccount = await db
		.select({ sum: sql<number>`coalesce(sum(${receiptState.onAccountBase}), 0)` })
		.from(receiptState)
		.where(gt(receiptState.onAccount, ZERO))
		.get();
	const letters = await db
		.select({ state: delivery.state, n: sql<number>`count(*)` })
		.from(delivery)
		.innerJoin(letter, eq(letter.id, delivery.letterId))
		.where(inArray(delivery.state, ['waiting', 'refused', 'failed', 'undelivered']))
		.groupBy(delivery.state);
	return {
		...{ answered: pile.answered, bands: pile.bands, out: pile.out, waiting: pile.waiting },
		unidentified: pile.unidentified,
		waitingCustomers: pile.customers.length,
		waitingCount: Object.values(pile.bands).reduce((a, b) => a + b, 0),
		baseCurrency: firm?.baseCurrency ?? 'GBP',
		banks,
		statementFaults: await statementFaults(db),
		unconfirmedFiles: (await unconfirmedFiles(db)).length,
		reportedLeftOut: (await countReported(db, today)).leftOut,
		/** Gross: what open items come to, less credit notes. */
		owed: owed?.all ?? 0,
		onAccount: onAccount?.sum ?? 0,
		late: owed?.late ?? 0,
		month: await monthSoFar(),
		lateAccounts: await lateAccounts(),
		letters
	};

	async function monthSoFar() {
		const from = firstOfMonth(today);
		const collected = await db
			.select({ day: receipt.booked, amount: sql<number>`sum(-${journalLine.base})` })
			.from(receiptState)
			.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
			.innerJoin(
				journalLine,
				and(eq(journalLine.actId, receiptState.actId), eq(journalLine.account, CHART.receivables.code))
			)
			.where(
				and(
					eq(receiptState.state, 'allocated'),
					gte(receiptState.booked, from),
					lte(receiptState.booked, today)
				)
			)
			.groupBy(receipt.booked);
		const fellDue = await db
			.select({ day: item.due, amount: sql<number>`sum(${item.totalBase})` })
			.from(item)
			.innerJoin(document, eq(document.id, item.documentId))
			.where(and(gte(item.due, from), lte(item.due, today), ne(document.kind, 'credit_note')))
			.groupBy(item.due);
		const sum = (rows: { day: string; amount: number }[]) =>
			new Map(rows.map((row) => [row.day, row.amount]));
		const [money, due] = [sum(collected), sum(fellDue)];
		const days: { day: Day; collected: number; fellDue: number }[] = [];
		for (let one = from, a = 0, b = 0; one <= today; one = addDays(one, 1)) {
			a += money.get(one) ?? 0;
			b += due.get(one) ?? 0;
			days.push({ day: one, collected: a, fellDue: b });
		}
		return days;
	}

	async function lateAccounts() {
		const late = await db
			.select({
				id: customer.id,
				code: customer.code,
				name: customer.name,
				late: sql<number>`sum(${itemState.openBase})`
			})
			.from(itemState)
			.innerJoin(customer, eq(customer.id, itemState.customerId))
			.where(and(isOpen, lt(itemState.due, today), inArray(itemState.kind, ['invoice', 'charge'])))
			.groupBy(customer.id)
			.orderBy(desc(sql`sum(${itemState.openBase})`))
			.limit(MOST_LATE);
		if (late.length === 0) return [];
		const ends = await ageEnds(db);
		const rows = await db
			.select({ customerId: itemState.customerId, due: itemState.due, open: signedOpenBase })
			.from(itemState)
			.where(
				and(
					isOpen,
					inArray(
						itemState.customerId,
						late.map((row) => row.id)
					)
				)
			);
		return late.map((row) => {
			const items = rows
				.filter((one) => one.customerId === row.id)
				.map(({ due, open }) => ({ due: due, open: open as Minor }));
			return { ...row, owed: items.reduce((sum, one) => sum + one.open, 0), aged: age(items, today, ends) };
		});
	}
});

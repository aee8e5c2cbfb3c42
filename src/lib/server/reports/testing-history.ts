import { sql } from 'drizzle-orm';
import fc from 'fast-check';
import { addDays } from '../../core/day/arithmetic';
import { day, type Day } from '../../core/day/day';
import { minor } from '../../core/money/minor';
import { perform } from '../act/perform';
import { allocateReceipt } from '../allocation/commands/allocate-receipt';
import { undoPosting } from '../allocation/commands/undo-posting';
import { openItemsOf } from '../documents/store/open-items';
import { addRates } from '../firm/commands/add-rates';
import { chargeInterest } from '../interest/commands/charge-interest';
import { setInterest } from '../interest/commands/set-interest';
import { lookAtInterestSheets } from '../interest/queries/interest';
import type { Books } from '../platform/db/open';
import { returnPayment } from '../returns/commands/return-payment';
import {
	as,
	bankXml,
	bringIn,
	CLERK,
	credit,
	done,
	invoices,
	newDocument,
	SUPERVISOR,
	testBooks
} from '../testing';

/** The first day of every history, and how many days it may have. */
export const FIRST = day('2026-08-20');
export const DAYS = 70;
/** Of the payments that there are, in pence; all of them in sterling. */
const AMOUNTS = [1_000, 2_500, 40, 900, 7_000];
/** H1 and W2 in sterling, E3 in euro. */
const CUSTOMERS = [1, 2, 3] as const;

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
			/** What closes the gap, where anything does. */
			readonly gap: 'none' | 'claim' | 'settlement_discount';
			readonly on: number;
	  }
	| { readonly what: 'undo' | 'return' | 'interest'; readonly on: number };

const whenever = fc.nat({ max: DAYS - 1 });

export const historySteps: fc.Arbitrary<readonly Step[]> = fc.array(
	fc.oneof(
		fc.record({
			what: fc.constantFrom('invoice' as const, 'credit-note' as const),
			customer: fc.constantFrom(...CUSTOMERS),
			amount: fc.integer({ min: 1, max: 5_000 }),
			on: whenever
		}),
		fc.record({
			what: fc.constant('allocate' as const),
			receipt: fc.integer({ min: 1, max: AMOUNTS.length }),
			item: fc.nat({ max: 7 }),
			cash: fc.integer({ min: 1, max: 3_000 }),
			gap: fc.constantFrom('none' as const, 'claim' as const, 'settlement_discount' as const),
			on: whenever
		}),
		fc.record({
			what: fc.constantFrom('undo' as const, 'interest' as const),
			on: whenever
		}),
		// Once the bank has shown every payment.
		fc.record({ what: fc.constant('return' as const), on: fc.integer({ min: 36, max: DAYS - 1 }) })
	),
	{ minLength: 6, maxLength: 20 }
);

/** How much of what histories asked for was done, so that a test can see that something was. */
export type Happened = Record<
	'allocated' | 'claimed' | 'exchanged' | 'undone' | 'returned' | 'charged',
	number
>;
export const nothingHappened = (): Happened => ({
	...{ allocated: 0, claimed: 0, exchanged: 0, undone: 0, returned: 0, charged: 0 }
});

/** Books with open items of three customers, rates, terms of interest, and payments that wait. */
export async function historyBooks(): Promise<Books> {
	const books = await testBooks();
	await done(books, addRates, [{ currency: 'EUR', day: day('2026-08-01'), millionths: 860_000 }], CLERK);
	await done(books, addRates, [{ currency: 'EUR', day: day('2026-09-20'), millionths: 885_000 }], CLERK);
	const terms = {
		...{ version: 0, since: FIRST, dayCount: 365 as const, graceDays: 0, least: minor(0), margin: 9_000 },
		reference: [{ from: day('2020-01-01'), basisPoints: 375 }],
		...{ compensation: [], onInterest: false }
	};
	await done(books, setInterest, terms, SUPERVISOR);
	await invoices(
		books,
		...CUSTOMERS.map((customer) =>
			newDocument(`AK-9${customer}`, customer, 900 * customer, {
				...{ issued: FIRST, currency: customer === 3 ? 'EUR' : 'GBP' },
				instalments: [
					{ due: addDays(FIRST, 10), amount: minor(400 * customer) },
					{ due: addDays(FIRST, 30), amount: minor(500 * customer) }
				]
			})
		)
	);
	await bringIn(
		books,
		bankXml(AMOUNTS.map((amount, n) => credit(amount, `PAYMENT ${n}`, { booked: addDays(FIRST, 5 + 7 * n) })))
	);
	return books;
}

/** Does what it can of a history, each step on its day; what the acts refuse is left out. @param after days that all of it is later */
export async function live(
	books: Books,
	history: readonly Step[],
	happened: Happened,
	after = 0
): Promise<void> {
	const posted: { readonly actId: number; readonly receiptId: number }[] = [];
	const [{ last }] = (await books.db.all<{ last: number }>(sql`select count(*) as last from document`)) as [
		{ last: number }
	];
	let number = 100 + last;
	for (const step of history) {
		const today = addDays(FIRST, step.on + after);
		const on = { ...as(CLERK), today };
		if (step.what === 'invoice' || step.what === 'credit-note') {
			const { customer, amount } = step;
			await invoices(
				books,
				newDocument(`AK-${++number}`, customer, amount, {
					kind: step.what === 'invoice' ? 'invoice' : 'credit_note',
					...{ issued: today, currency: customer === 3 ? 'EUR' : 'GBP' },
					instalments: [{ due: addDays(today, 14), amount: minor(amount) }]
				})
			);
		} else if (step.what === 'allocate') {
			const paid = await allocate(books, step, on);
			if (!paid) continue;
			posted.push(paid);
			happened.allocated++;
			if (step.gap === 'claim') happened.claimed++;
			if (paid.exchanged) happened.exchanged++;
		} else if (step.what === 'undo') {
			const last = posted.pop();
			if (last && (await perform(books, undoPosting, { actId: last.actId }, on)).ok) happened.undone++;
		} else if (step.what === 'return') {
			const paid = posted.shift();
			if (!paid) continue;
			const receipt = await receiptOf(books, paid.receiptId);
			const given = { ...receipt, receiptId: paid.receiptId, date: null, reason: 'AC04' };
			if ((await perform(books, returnPayment, given, on)).ok) happened.returned++;
		} else if (await charge(books, today)) happened.charged++;
	}
}

async function receiptOf(books: Books, id: number) {
	const [row] = await books.db.all<{ version: number; amount: number }>(
		sql`select s.version, r.amount from receipt_state s join receipt r on r.id = s.receipt_id where r.id = ${id}`
	);
	return { receiptVersion: row!.version, amount: row!.amount };
}

async function allocate(books: Books, step: Step & { what: 'allocate' }, on: ReturnType<typeof as>) {
	const open = (await openItemsOf(books.db, CUSTOMERS)).filter((item) => item.kind !== 'credit_note');
	const item = open[step.item % Math.max(1, open.length)];
	if (!item) return null;
	const { receiptVersion, amount } = await receiptOf(books, step.receipt);
	const exchanged = item.currency !== 'GBP';
	const cash = Math.min(step.cash, item.open, amount);
	const gap = exchanged || step.gap === 'none' ? 0 : item.open - cash;
	const given = {
		...{ receiptId: step.receipt, receiptVersion, customerId: item.customerId },
		lines: [
			{
				...{ itemId: item.id, version: item.version, cash },
				...(exchanged ? { settles: Math.max(1, Math.floor(cash * 0.9)) } : {}),
				differences: gap > 0 ? [{ kind: step.gap as 'claim' | 'settlement_discount', amount: gap }] : [],
				...(gap > 0 && step.gap === 'claim'
					? {
							claim: { reason: 'damaged' as const, owner: 'Wren', deadline: addDays(on.today, 20), note: '' }
						}
					: {})
			}
		]
	};
	const placed = await perform(books, allocateReceipt, given, on);
	if (!placed.ok || !('actId' in placed.value) || typeof placed.value.actId !== 'number') return null;
	return { actId: placed.value.actId, receiptId: step.receipt, exchanged };
}

/** Charges the interest of the days before. */
async function charge(books: Books, today: Day): Promise<boolean> {
	const through = addDays(today, -1);
	const sheets = await lookAtInterestSheets(books.db, { through }, { who: CLERK, today });
	const chosen = sheets.map(({ customerId, currency, charge: sum, credit: back }) => ({
		...{ customerId, currency, charge: sum, credit: back }
	}));
	if (chosen.length === 0) return false;
	return (await perform(books, chargeInterest, { through, chosen }, { ...as(CLERK), today })).ok;
}

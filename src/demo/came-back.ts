import { minor, ZERO } from '../lib/core/money/minor';
import { and, asc, eq, gte, inArray, lte } from 'drizzle-orm';
import { addDays } from '../lib/core/day/arithmetic';
import { perform } from '../lib/server/act/perform';
import type { CallContext } from '../lib/server/act/define-act';
import { returnPayment } from '../lib/server/returns/commands/return-payment';
import type { Books } from '../lib/server/platform/db/open';
import { receipt, receiptState } from '../lib/server/platform/db/schema';
import type { BankBook } from './bank-book';
import { DEMO_TODAY } from './firm';

const FEE = 850;
const CHARGE = 1_500;

/**
 * Two payments of the month come back: one was marked by hand when the bank telephoned, and its debit and fee stand in today's
 * file; the other is found there, with the bank's reason.
 */
export async function cameBack(books: Books, at: CallContext, bank: BankBook): Promise<void> {
	const rows = await books.db
		.select({ row: receipt, version: receiptState.version })
		.from(receiptState)
		.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
		.where(
			and(
				eq(receiptState.state, 'allocated'),
				eq(receipt.currency, 'GBP'),
				inArray(receipt.method, ['bank']),
				gte(receipt.booked, addDays(DEMO_TODAY, -24)),
				lte(receipt.booked, addDays(DEMO_TODAY, -10)),
				gte(receipt.amount, minor(30_000)),
				lte(receipt.amount, minor(150_000)),
				eq(receiptState.onAccount, ZERO)
			)
		)
		.orderBy(asc(receipt.id));
	const [first, second] = rows.filter(({ row }) => row.payerAccount !== null && row.payerName !== null);
	if (!first || !second) throw new Error('the demo books have no payment that could come back');
	const day = addDays(DEMO_TODAY, -2);
	const result = await perform(
		books,
		returnPayment,
		{
			...{ receiptId: first.row.id, receiptVersion: first.version, amount: first.row.amount, date: day },
			...{ reason: 'MD06', note: 'the bank rang', fee: FEE, charge: CHARGE }
		},
		at
	);
	if (!result.ok) throw new Error(`the demo books were refused: ${JSON.stringify(result.problems)}`);
	const debit = (row: typeof first.row, amount: number, text: string, returned?: string) =>
		bank.add({
			...{ amount: -amount, booked: addDays(DEMO_TODAY, -1), code: ['ICDT', 'RRTN'] as const },
			details: [{ amount, name: row.payerName, account: row.payerAccount, text, returned }]
		});
	debit(first.row, first.row.amount, `RETURNED ${first.row.text}`, 'MD06');
	debit({ ...first.row, payerName: 'Mere & Marches Bank', payerAccount: null }, FEE, 'FEE RETURNED PAYMENT');
	debit(second.row, second.row.amount, `UNPAID ${second.row.text}`, 'AM04');
}

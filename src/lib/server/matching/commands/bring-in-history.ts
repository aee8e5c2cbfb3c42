import { inArray, sql } from 'drizzle-orm';
import type { HistoryRow } from '../../../core/1-open-items/read-history';
import { nameKey } from '../../../core/text/name-key';
import { referenceKey } from '../../../core/text/words-of-text';
import { money, shortDay } from '../../../words';
import { defineAct, madeHere } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { refusalsOf, type BroughtIn, type PreviewRow } from '../../act/preview-rows';
import { chunks } from '../../platform/db/chunks';
import type { Reader } from '../../platform/db/open';
import { customer, pastNumber, pastPayment } from '../../platform/db/schema';
import { STANDING_PAST } from '../store/standing-past';

/** What would become of each payment of a history: it is learned from, or was before. */
export async function previewHistory(db: Reader, rows: readonly HistoryRow[]): Promise<PreviewRow[]> {
	const owners = await ownersOf(db, rows);
	const known = await timesKnown(db);
	return rows.map((row): PreviewRow => {
		const key = keyOf(row, row.customerCode);
		const left = known.get(key) ?? 0;
		known.set(key, left - 1);
		const from = row.payerName ?? row.payerAccount;
		const settled = row.numbers.slice(0, 3).join(', ') + (row.numbers.length > 3 ? ' …' : '');
		const text = [
			`${money(row.amount, row.currency)} on ${shortDay(row.date)}`,
			from ? `from ${from}` : '',
			settled ? `for ${settled}` : ''
		];
		return {
			...{ line: row.line, label: row.customerCode, text: text.filter(Boolean).join(' ') },
			...{ fate: left > 0 ? 'same' : 'new', why: '' },
			refused: owners.has(row.customerCode)
				? undefined
				: { code: 'code-unknown', what: 'customer', text: row.customerCode, line: row.line }
		};
	});
}

/**
 * Takes in payments that were settled in the books of before, for matching to learn from: who pays for whom, what is kept of payments,
 * which documents are settled. They are no money of these books, and one brought in twice teaches once.
 */
export const bringInHistory = defineAct({
	kind: 'bring-in-history',
	role: 'clerk',
	input: madeHere<readonly HistoryRow[]>(),
	run: async (ctx, rows): Promise<BroughtIn & { readonly actId?: number }> => {
		const { tx } = ctx;
		const shown = await previewHistory(tx, rows);
		const refusals = refusalsOf(shown);
		if (refusals.length > 0) throw new DomainError(...refusals);
		const fresh = rows.filter((_, i) => shown[i]!.fate === 'new');
		const brought = { added: fresh.length, skipped: rows.length - fresh.length };
		if (fresh.length === 0) return ctx.unchanged(brought);
		const owners = await ownersOf(tx, fresh);
		const actId = await ctx.record({ summary: brought });
		for (const part of chunks(fresh)) {
			const written = await tx
				.insert(pastPayment)
				.values(
					part.map(({ customerCode, date, amount, currency, payerName, payerAccount, difference }) => ({
						...{ actId, customerId: owners.get(customerCode)!, paidOn: date, amount, currency, payerName },
						...{ name: (payerName && nameKey(payerName)) || null, account: payerAccount },
						differenceKind: difference?.kind ?? null,
						differenceAmount: difference?.amount ?? null
					}))
				)
				.returning({ id: pastPayment.id });
			const numbers = part.flatMap((row, i) =>
				[...new Set(row.numbers)].map((number) => ({
					...{ pastPaymentId: written[i]!.id, number, numberKey: referenceKey(number) }
				}))
			);
			for (const some of chunks(numbers)) await tx.insert(pastNumber).values(some);
		}
		return { ...brought, actId };
	}
});

/** The customers of a history, by their codes. */
async function ownersOf(db: Reader, rows: readonly HistoryRow[]): Promise<Map<string, number>> {
	const found = new Map<string, number>();
	for (const part of chunks([...new Set(rows.map((row) => row.customerCode))]))
		for (const row of await db
			.select({ id: sql<number>`coalesce(${customer.mergedIntoId}, ${customer.id})`, code: customer.code })
			.from(customer)
			.where(inArray(customer.code, part)))
			found.set(row.code, row.id);
	return found;
}

/** How often each payment is in the books: two alike are two, as two rows are. */
async function timesKnown(db: Reader): Promise<Map<string, number>> {
	const rows = await db.all<{
		code: string;
		date: HistoryRow['date'];
		amount: HistoryRow['amount'];
		currency: string;
		numbers: string;
	}>(sql`
		select c.code, p.paid_on as date, p.amount, p.currency,
			(select json_group_array(n.number) from past_number n where n.past_payment_id = p.id) as numbers
		from past_payment p join customer c on c.id = p.customer_id where ${STANDING_PAST}`);
	const times = new Map<string, number>();
	for (const { code, numbers, ...row } of rows) {
		const key = keyOf({ ...row, numbers: JSON.parse(numbers) as string[] }, code);
		times.set(key, (times.get(key) ?? 0) + 1);
	}
	return times;
}

/** What makes a payment the same as another. */
function keyOf(
	row: Pick<HistoryRow, 'date' | 'amount' | 'currency' | 'numbers'>,
	customerCode: string
): string {
	const numbers = [...new Set(row.numbers)].sort();
	return JSON.stringify([customerCode, row.date, row.amount, row.currency, ...numbers]);
}

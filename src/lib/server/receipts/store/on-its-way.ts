import { sql } from 'drizzle-orm';
import type { Day } from '../../../core/day/day';
import { minor, type Minor } from '../../../core/money/minor';
import type { Reader } from '../../platform/db/open';

/** Money recorded by hand that no bank entry has met yet: single receipts, and the slips that hold several. */
export interface OnItsWay {
	/** `slip` for all receipts of one paying-in slip, else one receipt. */
	readonly kind: 'slip' | 'receipt';
	/** Of the slip or the receipt. */
	readonly id: number;
	readonly receiptIds: readonly number[];
	readonly date: Day;
	readonly method: string;
	readonly reference: string;
	readonly customerId: number | null;
	readonly customer: string;
	readonly amount: Minor;
	readonly currency: string;
	/** The account into which it is paid, and its name; null where that was not said. */
	readonly bankAccountId: number | null;
	readonly bank: string | null;
}

/** All of it, oldest first; petty cash stays where it is and is not waited for. */
export async function onItsWay(db: Reader): Promise<OnItsWay[]> {
	const rows = await db.all<{
		slipId: number | null;
		slipDate: Day | null;
		id: number;
		booked: Day;
		method: string;
		reference: string;
		customerId: number | null;
		customer: string | null;
		amount: Minor;
		currency: string;
		bankAccountId: number | null;
		bank: string | null;
	}>(sql`
		select sr.slip_id as slipId, p.date as slipDate, r.id, r.booked, r.method, r.text as reference,
			s.customer_id as customerId, c.name as customer, r.amount, r.currency,
			b.id as bankAccountId, b.name as bank
		from receipt r join receipt_state s on s.receipt_id = r.id
		left join customer c on c.id = s.customer_id
		left join slip_receipt sr on sr.receipt_id = r.id
		left join paying_in_slip p on p.id = sr.slip_id
		left join bank_account b on b.id = coalesce(p.bank_account_id, r.paid_into_id)
		where r.bank_entry_id is null and not r.is_petty_cash and s.state = 'allocated'
			and not exists (
				select 1 from standing_bank_match m where m.recorded_id = r.id
			)
		order by r.booked, r.id`);
	const found: OnItsWay[] = [];
	const slips = new Map<number, typeof rows>();
	for (const row of rows) {
		if (row.slipId === null) {
			const { id, method, reference, customerId, amount, currency, bankAccountId, bank } = row;
			found.push({
				...{ kind: 'receipt', id, receiptIds: [id], date: row.booked, method, reference },
				...{ customerId, customer: row.customer ?? '', amount, currency, bankAccountId, bank }
			});
		} else slips.set(row.slipId, [...(slips.get(row.slipId) ?? []), row]);
	}
	for (const [id, parts] of slips)
		found.push({
			kind: 'slip',
			id,
			receiptIds: parts.map((part) => part.id),
			date: parts[0]!.slipDate!,
			method: 'paying-in slip',
			reference: String(id),
			customerId: null,
			customer: `${parts.length} payments`,
			amount: minor(parts.reduce((sum, part) => sum + part.amount, 0)),
			currency: parts[0]!.currency,
			bankAccountId: parts[0]!.bankAccountId,
			bank: parts[0]!.bank
		});
	return found.sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : a.id - b.id));
}

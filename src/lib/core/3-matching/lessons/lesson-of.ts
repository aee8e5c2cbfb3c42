import { daysBetween } from '../../day/arithmetic';
import type { Day } from '../../day/day';
import type { DifferenceKind, DocumentKind, OpenItem } from '../../model/records';
import type { Minor } from '../../money/minor';
import type { PastPayment } from '../../model/past-payment';

/** What of an open item matters for what a payment chose. */
export interface ItemLeft {
	readonly kind: DocumentKind;
	readonly due: Day;
	readonly open: Minor;
}

/** A payment as it was allocated: its lines, with the items as they were before it, and what else was open on the account. */
export interface AllocatedPayment {
	readonly booked: Day;
	readonly lines: readonly {
		readonly item: OpenItem;
		readonly cash: Minor;
		readonly differences: readonly { readonly kind: DifferenceKind; readonly amount: Minor }[];
	}[];
	readonly others: readonly ItemLeft[];
}

/** What one allocation teaches about its customer's habits. */
export interface AllocationLesson {
	/** Where it could have paid something else: whether it paid the oldest; null where it had no choice. */
	readonly choice: 'oldest' | 'other' | null;
	/** Whether it paid three items or more, and with them all that was due by a day. */
	readonly wholeUpTo: boolean;
	/** Whether it paid the oldest, and the last of them in part. */
	readonly filled: boolean;
	/** Days after the last day of the discount on which one was granted; null where none was. */
	readonly discountDaysLate: number | null;
	/** What a bank kept of it, in minor units; null where nothing was. */
	readonly bankCharge: Minor | null;
	/** The share of an item that was withheld as tax; null where none was. */
	readonly taxBasisPoints: number | null;
}

/** Fewer items paid together are a set like any other. */
const LEAST_WHOLE = 3;

/** Reads off an allocation what the customer chose to pay, of what was open then. Null where it settles nothing. */
export function lessonOf({ booked, lines, others }: AllocatedPayment): AllocationLesson | null {
	const paid = lines.filter(
		({ item, cash }) => item.kind !== 'credit_note' && item.kind !== 'claim' && cash > 0
	);
	if (paid.length === 0) return null;
	const owed = others.filter(({ kind }) => kind !== 'credit_note' && kind !== 'claim');
	const last = paid.map(({ item }) => item.due).reduce((a, b) => (a > b ? a : b));
	const older = owed.some(({ due }) => due < last);
	// Which of two equal items was meant is our choice and not theirs: it teaches nothing.
	const twin = owed.some(({ open }) => paid.some(({ item }) => item.open === open));
	const restOf = ({ item, cash, differences }: (typeof paid)[number]) =>
		item.open - cash - differences.reduce((sum, one) => sum + one.amount, 0);
	const part = paid.filter((line) => restOf(line) > 0);
	const gap = (kind: DifferenceKind) =>
		paid.flatMap(({ item, differences }) =>
			differences.filter((one) => one.kind === kind).map(({ amount }) => ({ item, amount }))
		);
	const late = gap('settlement_discount').flatMap(({ item }) =>
		item.discountUntil ? [daysBetween(item.discountUntil, booked)] : []
	);
	const [charge] = gap('bank_charge');
	const [tax] = gap('withholding_tax');
	return {
		choice: twin || owed.length === 0 ? null : older ? 'other' : 'oldest',
		wholeUpTo: paid.length >= LEAST_WHOLE && part.length === 0 && !owed.some(({ due }) => due <= last),
		filled:
			!older &&
			part.length === 1 &&
			part[0]!.item.due === last &&
			lines.every(({ differences }) => differences.length === 0),
		discountDaysLate: late.length ? Math.max(...late) : null,
		bankCharge: charge?.amount ?? null,
		taxBasisPoints: tax ? Math.round((10_000 * tax.amount) / tax.item.open) : null
	};
}

/** What a payment of a history teaches: only what closed its gap, for what else was open then is not told. */
export function lessonOfPast({
	amount,
	difference
}: Pick<PastPayment, 'amount' | 'difference'>): AllocationLesson {
	const of = (kind: DifferenceKind) => (difference?.kind === kind ? difference.amount : null);
	const tax = of('withholding_tax');
	return {
		...{ choice: null, wholeUpTo: false, filled: false, discountDaysLate: null },
		bankCharge: of('bank_charge'),
		taxBasisPoints: tax === null ? null : Math.round((10_000 * tax) / (amount + tax))
	};
}

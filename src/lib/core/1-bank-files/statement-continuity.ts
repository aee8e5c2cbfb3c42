import type { Day } from '../day/day';
import type { Minor } from '../money/minor';

/** A statement of one bank account, as far as it tells whether it goes on from those before. */
export interface StatementSpan {
	readonly id: number;
	readonly reference: string;
	readonly opening: Minor | null;
	readonly openingOn: Day | null;
	readonly closing: Minor | null;
	readonly closingOn: Day | null;
	/** What its entries come to that no statement before it lists, in the same order. */
	readonly fresh: number;
	/** How many those are. */
	readonly freshCount: number;
}

/** Why a statement does not go on from the one before. */
export type ContinuityFault = {
	readonly statementId: number;
	readonly reference: string;
	/** The balance with which it should begin, and that with which it does; where it overlaps, those with which it ends. */
	readonly want: Minor;
	readonly found: Minor;
} & (
	| { readonly code: 'gap'; readonly from: Day | null; readonly to: Day | null }
	| { readonly code: 'overlap-differs'; readonly from: Day | null; readonly to: Day | null }
	| { readonly code: 'first-opening' }
);

/**
 * Statements of one account that do not go on where the last one ended (ISO 20022 camt.053: the opening booked balance of a
 * statement is the closing booked balance of the one before). One that covers days of an earlier one again must bring the same: what it
 * has beyond, added to the last balance, must come to its own. Statements without balances tell nothing and are passed over.
 * @param spans in the order of their days, see `byDays`
 * @param agreed the balance agreed when the books began; null for none
 */
export function continuityFaults(spans: readonly StatementSpan[], agreed: Minor | null): ContinuityFault[] {
	const faults: ContinuityFault[] = [];
	let last: StatementSpan | null = null;
	for (const span of spans) {
		const { opening, closing, reference, id: statementId } = span;
		if (opening === null || closing === null) continue;
		const where = { statementId, reference };
		if (last === null) {
			if (agreed !== null && opening !== agreed)
				faults.push({ code: 'first-opening', ...where, want: agreed, found: opening });
			last = span;
			continue;
		}
		const before = last.closing!;
		const days = { from: last.closingOn, to: span.openingOn };
		if (opening === before) last = span;
		else if (overlaps(last, span)) {
			// The balance goes on by what is new; on days that are covered already nothing need be.
			const want = (before + span.fresh) as Minor;
			const agrees = closing === want || (span.freshCount === 0 && !endsLater(last, span));
			// Of two that contradict each other the one that came later is doubted.
			const doubted = last.id > statementId ? last : span;
			const which = { statementId: doubted.id, reference: doubted.reference };
			if (!agrees) faults.push({ code: 'overlap-differs', ...which, ...days, want, found: closing });
			if (closing === want || endsLater(last, span)) last = span;
		} else {
			faults.push({ code: 'gap', ...where, ...days, want: before, found: opening });
			last = span;
		}
	}
	return faults;
}

/** Whether a statement covers days of one before again. */
function overlaps(last: StatementSpan, span: StatementSpan): boolean {
	if (last.closingOn === null) return false;
	const begins = span.openingOn ?? span.closingOn;
	return begins !== null && begins < last.closingOn;
}

function endsLater(last: StatementSpan, span: StatementSpan): boolean {
	return last.closingOn === null || (span.closingOn !== null && span.closingOn > last.closingOn);
}

/** Orders statements by the days that they cover, then as they came. */
export function byDays(
	a: Pick<StatementSpan, 'openingOn' | 'closingOn' | 'id'>,
	b: Pick<StatementSpan, 'openingOn' | 'closingOn' | 'id'>
): number {
	const day = (one: typeof a) => one.closingOn ?? one.openingOn ?? '';
	const first = (one: typeof a) => one.openingOn ?? one.closingOn ?? '';
	return day(a) < day(b)
		? -1
		: day(a) > day(b)
			? 1
			: first(a) < first(b)
				? -1
				: first(a) > first(b)
					? 1
					: a.id - b.id;
}

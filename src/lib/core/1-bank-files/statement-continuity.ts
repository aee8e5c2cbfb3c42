import { compareText } from '../compare-text';
import type { Day } from '../day/day';
import { minor, ZERO, type Minor } from '../money/minor';

/** A statement of one bank account, as far as it tells whether it goes on from those before. */
export interface StatementSpan {
	readonly id: number;
	readonly reference: string;
	readonly opening: Minor | null;
	readonly openingOn: Day | null;
	readonly closing: Minor | null;
	readonly closingOn: Day | null;
	/** Whether a supervisor has said, for a reason, that it is the bank's all the same. */
	readonly accepted: boolean;
}

/** Why a statement does not go on from the one before. */
export interface ContinuityFault {
	/**
	 * `gap`: it begins with another balance than the last one ended with. `overlap-differs`: it covers days again and ends with another
	 * balance than those that are there come to. `first-opening`: it is the first and begins with another balance than was agreed.
	 * `no-balances`: it has none, where others of its account do.
	 */
	readonly code: 'gap' | 'overlap-differs' | 'first-opening' | 'no-balances';
	readonly statementId: number;
	readonly reference: string;
	/** The balance with which it should begin, or where it overlaps end, and that with which it does. */
	readonly want: Minor;
	readonly found: Minor;
	/** The last day that is there, and its own first. */
	readonly from: Day | null;
	readonly to: Day | null;
}

/** Asks what of a statement none of some others lists. */
export interface FreshQuestion {
	readonly statementId: number;
	readonly besides: readonly number[];
}

/** What those entries come to, and how many they are. */
export interface Fresh {
	readonly sum: number;
	readonly count: number;
}

type Balanced = StatementSpan & { readonly opening: Minor; readonly closing: Minor };

/**
 * Statements of one account that do not go on where the last sound one ended (ISO 20022 camt.053: the opening booked balance of a
 * statement is the closing booked balance of the one before). What goes on from one in doubt is in doubt as well, or a second file would
 * vouch for the first. A statement that covers days again must bring the same: what it has beyond, added to the last balance, comes to
 * its own; where it has nothing beyond, one of its balances is known. Of two that contradict each other the one that came later is
 * doubted. Yields a question for each overlap, to be answered by who has the entries.
 * @param spans of one account
 * @param agreed the balance agreed when the books began; null for none
 */
export function* continuityFaults(
	spans: readonly StatementSpan[],
	agreed: Minor | null
): Generator<FreshQuestion, ContinuityFault[], Fresh> {
	const contradicting: ContinuityFault[] = [];
	for (;;) {
		const out = new Set(contradicting.map((fault) => fault.statementId));
		const pass = yield* onePass(
			spans.filter((span) => !out.has(span.id)),
			agreed
		);
		if (!pass.contradicted)
			return [...contradicting, ...pass.faults].sort((a, b) => a.statementId - b.statementId);
		contradicting.push(pass.contradicted);
	}
}

interface Pass {
	readonly faults: readonly ContinuityFault[];
	/** A statement that was taken for sound and is contradicted by one that came before it. */
	readonly contradicted: ContinuityFault | null;
}

function* onePass(
	spans: readonly StatementSpan[],
	agreed: Minor | null
): Generator<FreshQuestion, Pass, Fresh> {
	const faults: ContinuityFault[] = [];
	const balanced = spans.filter(hasBalances);
	for (const span of spans)
		if (balanced.length > 0 && !hasBalances(span) && !span.accepted)
			faults.push(faultOf(span, 'no-balances', ZERO, ZERO));
	let last: Balanced | null = null;
	const sound: number[] = [];
	const known = new Set<Minor>();
	for (const span of inOrder(balanced, () => last?.closing ?? agreed)) {
		const verdict: Verdict = yield* judge(span, { last, agreed, sound, known });
		if (verdict === 'sound' || verdict === 'within') {
			sound.push(span.id);
			known.add(span.opening).add(span.closing);
			if (verdict === 'sound') last = span;
		} else if (last && isContradicted(last, span, verdict, known))
			return {
				faults,
				contradicted: faultOf(last, verdict.code, verdict.want, verdict.found, span.closingOn)
			};
		else faults.push(verdict);
	}
	return { faults, contradicted: null };
}

/** Whether one that was taken for sound came later than another which begins where it should and says otherwise. */
function isContradicted(
	last: StatementSpan,
	span: Balanced,
	{ code }: ContinuityFault,
	known: ReadonlySet<Minor>
): boolean {
	return code === 'overlap-differs' && last.id > span.id && !last.accepted && known.has(span.opening);
}

/** It goes on; it tells nothing beyond what is there; or why not. */
type Verdict = 'sound' | 'within' | ContinuityFault;

function* judge(
	span: Balanced,
	{
		last,
		agreed,
		sound,
		known
	}: {
		readonly last: Balanced | null;
		readonly agreed: Minor | null;
		readonly sound: readonly number[];
		readonly known: ReadonlySet<Minor>;
	}
): Generator<FreshQuestion, Verdict, Fresh> {
	const { opening, closing, accepted } = span;
	if (accepted) return 'sound';
	if (last === null)
		return agreed === null || opening === agreed ? 'sound' : faultOf(span, 'first-opening', agreed, opening);
	if (opening === last.closing) return 'sound';
	if (!overlaps(last, span)) return faultOf(span, 'gap', last.closing, opening, last.closingOn);
	const fresh = yield { statementId: span.id, besides: [...sound] };
	const want = minor(last.closing + fresh.sum);
	const later = endsLater(last, span);
	if (closing === want) return later || fresh.count > 0 ? 'sound' : 'within';
	if (fresh.count === 0 && !later && (known.has(opening) || known.has(closing))) return 'within';
	return faultOf(span, 'overlap-differs', want, closing, last.closingOn);
}

function faultOf(
	span: StatementSpan,
	code: ContinuityFault['code'],
	want: Minor,
	found: Minor,
	from: Day | null = null
): ContinuityFault {
	return { code, statementId: span.id, reference: span.reference, want, found, from, to: span.openingOn };
}

/**
 * By the days that they cover; of several of the same days the one that goes on from the balance reached, else as they came.
 * @param reached the balance with which the next should begin, asked anew for each
 */
function* inOrder(spans: readonly Balanced[], reached: () => Minor | null): Generator<Balanced> {
	const left = [...spans].sort(byDays);
	while (left.length > 0) {
		const first = left[0]!;
		const balance = reached();
		let at = 0;
		while (at < left.length && sameDays(left[at]!, first) && left[at]!.opening !== balance) at++;
		const found = at < left.length && sameDays(left[at]!, first) ? at : 0;
		yield left.splice(found, 1)[0]!;
	}
}

function hasBalances(span: StatementSpan): span is Balanced {
	return span.opening !== null && span.closing !== null;
}

/** Whether a statement covers days of one before again. */
function overlaps(last: StatementSpan, span: StatementSpan): boolean {
	const begins = span.openingOn ?? span.closingOn;
	return last.closingOn !== null && begins !== null && begins < last.closingOn;
}

function endsLater(last: StatementSpan, span: StatementSpan): boolean {
	return last.closingOn === null || (span.closingOn !== null && span.closingOn > last.closingOn);
}

function lastDay({ openingOn, closingOn }: StatementSpan): string {
	return closingOn ?? openingOn ?? '';
}

function firstDay({ openingOn, closingOn }: StatementSpan): string {
	return openingOn ?? closingOn ?? '';
}

function sameDays(a: StatementSpan, b: StatementSpan): boolean {
	return lastDay(a) === lastDay(b) && firstDay(a) === firstDay(b);
}

function byDays(a: StatementSpan, b: StatementSpan): number {
	return compareText(lastDay(a), lastDay(b)) || compareText(firstDay(a), firstDay(b)) || a.id - b.id;
}

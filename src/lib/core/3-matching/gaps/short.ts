import type { DifferenceKind, OpenItem, ReceiptFacts } from '../../model/records';
import { minor } from '../../money/minor';
import type { Answer, AnswerLine, Band, Reason } from '../answer';
import { TIMES_TO_LEARN } from '../payer/payer-lessons';

/** An answer whose items were named and come to more than came. */
export interface Short {
	readonly receipt: ReceiptFacts;
	readonly answer: Answer;
	readonly items: readonly OpenItem[];
	/** What the items come to, and how much of it is missing, in minor units. */
	readonly open: number;
	readonly gap: number;
}

/** A gap larger than this part of what is open is no fee: a fifth. */
export const MOST_FEE = 5;

/** An answer as a short one, or null where it is none, or its gap is spoken for. */
export function shortOf(
	receipt: ReceiptFacts,
	answer: Answer,
	byId: ReadonlyMap<number, OpenItem>
): Short | null {
	const codes = new Set(answer.reasons.map(({ code }) => code));
	const named = codes.has('number-named') || codes.has('reference-named');
	const plain = answer.lines.every((line) => line.differences.length === 0 && line.cash > 0);
	if (!named || !plain || codes.has('says-part') || answer.credits.length > 0) return null;
	if (answer.lines.length === 0 || answer.onAccount !== 0) return null;
	const items = answer.lines.map((line) => byId.get(line.itemId)!);
	const open = items.reduce((sum, item) => sum + item.open, 0);
	const gap = open - receipt.amount;
	return gap > 0 ? { receipt, answer, items, open, gap } : null;
}

/** The same answer with a name for its gap: so much of each item, in the order of its lines; null where an item would be all gap. */
export function withGap(
	{ answer, items }: Short,
	kind: DifferenceKind,
	offs: readonly number[],
	reasons: readonly Reason[],
	band: Band
): Answer | null {
	if (items.some((item, i) => offs[i]! >= item.open)) return null;
	const lines = items.map((item, i): AnswerLine => ({
		itemId: item.id,
		cash: minor(item.open - offs[i]!),
		differences: offs[i]! > 0 ? [{ kind, amount: minor(offs[i]!) }] : []
	}));
	return { ...answer, lines, band, reasons: [...answer.reasons, ...reasons], otherAnswers: 0 };
}

/** All of it on the last item, as a fee of the whole payment is. */
export function onLast({ items, gap }: Short): number[] {
	return items.map((_, i) => (i === items.length - 1 ? gap : 0));
}

/** No surer than likely: what a gap is called is for a person to agree to. */
export function atMostLikely(band: Band): Band {
	return band === 'certain' ? 'likely' : band;
}

const KNOWN = new Set<Reason['code']>(['account-known', 'name-known', 'payer-given']);
const AGAINST = new Set<Reason['code']>(['payer-differs', 'name-shared', 'number-settled', 'wanted-twice']);

/** Whether the payer is known for the account, so that only the gap stood in the way of being sure. */
export function payerKnown(answer: Answer): boolean {
	const known = answer.reasons.some(
		(one) =>
			KNOWN.has(one.code) ||
			((one.code === 'account-taught' || one.code === 'name-taught') && one.times >= TIMES_TO_LEARN)
	);
	return known && !answer.reasons.some(({ code }) => AGAINST.has(code));
}

import type { AnswerLine, MatchedLine } from '../../core/3-matching';
import type { ClaimReason } from '../../core/model/claim';
import type { OpenItem } from '../../core/model/records';
import type { AllocationInput } from '../../server/allocation/allocation-input';
import { blank, plain, type Chosen, type ClaimDraft, type Gap } from './chosen-item';

/** Drafts the claim that goes with gaps, where one of them is called so. */
export type DraftClaim = (
	gaps: readonly Gap[],
	known?: ClaimDraft | null,
	reason?: ClaimReason
) => ClaimDraft | null;

/** The items of an answer, as they are taken; what is not open any more is left out. */
export function chosenFromAnswer(
	lines: readonly AnswerLine[],
	items: readonly OpenItem[],
	currency: string,
	draft: DraftClaim,
	claimSaid?: ClaimReason
): Chosen[] {
	return lines.flatMap((line) => {
		const item = items.find((one) => one.id === line.itemId);
		if (!item) return [];
		const gaps: Gap[] = line.differences.map(({ kind, amount }) => ({
			...{ kind, text: plain(amount, item.currency) }
		}));
		// The last name takes the rest, so that typing another amount keeps the whole settled.
		const last = gaps.at(-1);
		if (last) last.text = null;
		return [{ ...blank(item), text: plain(line.cash, currency), gaps, claim: draft(gaps, null, claimSaid) }];
	});
}

/** What was allocated when a receipt was held, as far as it is still open. */
export function chosenFromOrder(
	order: AllocationInput,
	items: readonly OpenItem[],
	currency: string
): Chosen[] {
	return order.lines.flatMap((line) => {
		const item = items.find((one) => one.id === line.itemId);
		if (!item) return [];
		const gaps = line.differences.map(({ kind, amount }) => ({ kind, text: plain(amount, item.currency) }));
		return [
			{
				...{ item, text: plain(line.cash, currency), typed: true, gaps },
				claim: line.claim ? { note: '', ...line.claim } : null,
				settles: line.settles === undefined ? null : plain(line.settles, item.currency)
			}
		];
	});
}

/** What a remittance advice says: its items, amounts, and deductions by their names. */
export function chosenFromAdvice(
	lines: readonly MatchedLine[],
	currency: string,
	draft: DraftClaim
): Chosen[] {
	return lines.flatMap(({ item, paid, deduction, text }) => {
		if (!item) return [];
		const open = item.kind === 'credit_note' ? -item.open : item.open;
		const gaps: Gap[] = deduction
			? [{ kind: deduction.kind, text: plain(deduction.amount, item.currency) }]
			: [];
		// What is left after the named deduction closes the item, so the last name takes the rest.
		if (deduction && paid !== null && paid + deduction.amount === item.open) gaps[0]!.text = null;
		const claim = draft(gaps);
		return [
			{
				...{ ...blank(item), text: plain(paid ?? open, currency), typed: true, gaps },
				claim: claim && { ...claim, reason: deduction!.reason, note: text.slice(0, 200) }
			}
		];
	});
}

import type { ReceiptFacts } from '../model/records';
import { minor } from '../money/minor';
import type { Answer, AnswerLine, Band, Reason } from './answer';
import { nameKey } from './name-key';
import type { World } from './world';

const STRENGTH: Readonly<Record<Band, number>> = { certain: 3, likely: 2, choose: 1, none: 0 };

const NAMES = new Set<Reason['code']>(['number-named', 'reference-named', 'number-nearly']);

/** Whether the words name what is answered: they outweigh an amount alone. */
export function isNamed(answer: Answer): boolean {
	return answer.reasons.some(({ code }) => NAMES.has(code));
}

/**
 * Receipts that want the same item: the surer one, then the one that names it, then the earlier one has it. Of equal items the
 * next takes the next; the same payer's same sum for the same item lies on account, for it looks paid twice; any other is a choice.
 */
export function settleRivals(
	receipts: readonly ReceiptFacts[],
	answers: Map<number, Answer>,
	world: World
): void {
	const open = new Map<number, number>();
	const items = new Map([...world.itemsOf.values()].flat().map((item) => [item.id, item]));
	for (const item of items.values()) open.set(item.id, item.open);
	const takenBy = new Map<number, ReceiptFacts>();
	const usedCredits = new Set<number>();
	const order = [...receipts].sort((a, b) => {
		const strength = STRENGTH[answers.get(b.id)!.band] - STRENGTH[answers.get(a.id)!.band];
		const named = Number(isNamed(answers.get(b.id)!)) - Number(isNamed(answers.get(a.id)!));
		return strength || named || (isBefore(a, b) ? -1 : 1);
	});
	for (const receipt of order) {
		const answer = answers.get(receipt.id)!;
		if (answer.band !== 'certain' && answer.band !== 'likely') continue;
		const settled = withoutClash(receipt, answer);
		if (settled !== answer) answers.set(receipt.id, settled);
		if (settled !== answer) doubtLater(receipt, answer);
		if (settled.band === 'choose') continue;
		for (const credit of settled.credits) usedCredits.add(credit.receiptId);
		for (const line of settled.lines) {
			open.set(line.itemId, open.get(line.itemId)! - settledBy(line));
			takenBy.set(line.itemId, receipt);
		}
	}

	/** Who has what an earlier payment names for the same sum, for it was surer, is certain no more: one of the two is too much. */
	function doubtLater(receipt: ReceiptFacts, answer: Answer): void {
		if (!isNamed(answer)) return;
		for (const { itemId } of answer.lines) {
			const other = takenBy.get(itemId);
			if (!other || other.amount !== receipt.amount || !isBefore(receipt, other)) continue;
			const theirs = answers.get(other.id)!;
			const number = items.get(itemId)?.number ?? '';
			if (theirs.band === 'certain' && isNamed(theirs))
				answers.set(other.id, {
					...{ ...theirs, band: 'likely' },
					reasons: [...theirs.reasons, { code: 'wanted-twice', number }]
				});
		}
	}

	function withoutClash(receipt: ReceiptFacts, answer: Answer): Answer {
		const clash = answer.lines.find((line) => settledBy(line) > (open.get(line.itemId) ?? 0));
		if (!clash && answer.credits.some((credit) => usedCredits.has(credit.receiptId)))
			return {
				...answer,
				band: 'choose',
				reasons: [...answer.reasons, { code: 'wanted-twice', number: 'the earlier money' }]
			};
		if (!clash) return answer;
		const number = items.get(clash.itemId)?.number ?? '';
		const moved = isNamed(answer) || isUpTo(answer) ? null : onEqualOnes(answer);
		if (moved)
			return {
				...answer,
				lines: moved,
				reasons: [...answer.reasons, { code: 'wanted-twice', number }]
			};
		const before = takenBy.get(clash.itemId);
		if (before && isNamed(answer) && before.amount === receipt.amount && alike(before, receipt))
			return {
				...{ ...answer, band: 'likely', lines: [], credits: [], onAccount: minor(receipt.amount) },
				reasons: [...answer.reasons, { code: 'paid-twice', number }]
			};
		return {
			...answer,
			band: 'choose',
			reasons: [...answer.reasons, { code: 'wanted-twice', number }]
		};
	}

	/** Whether two receipts are of one payer: by account or name, or since both are known to be of one customer. */
	function alike(a: ReceiptFacts, b: ReceiptFacts): boolean {
		if (samePayer(a, b)) return true;
		const [first, second] = [answers.get(a.id)!, answers.get(b.id)!];
		return first.customerId === second.customerId && ofPayer(first) && ofPayer(second);
	}

	/** The answer with the next open items of the same amounts instead of those that are gone; null where there are none. */
	function onEqualOnes(answer: Answer): AnswerLine[] | null {
		const used = new Set(answer.lines.map((line) => line.itemId));
		const lines: AnswerLine[] = [];
		for (const line of answer.lines) {
			const first = items.get(line.itemId)!;
			if (settledBy(line) <= (open.get(line.itemId) ?? 0)) {
				lines.push(line);
				continue;
			}
			const next = (world.itemsOf.get(first.customerId) ?? []).find(
				(item) =>
					!used.has(item.id) &&
					item.open === first.open &&
					item.currency === first.currency &&
					item.kind === first.kind &&
					open.get(item.id) === item.open
			);
			if (!next || settledBy(line) !== first.open) return null;
			used.add(next.id);
			lines.push({ ...line, itemId: next.id });
		}
		return lines;
	}
}

/** How much of an item a line settles, by cash and by what closes a gap. */
function settledBy(line: AnswerLine): number {
	return line.differences.reduce((sum, gap) => sum + gap.amount, Math.abs(line.cash));
}

/** All up to a day means just these items, and no equal ones. */
function isUpTo(answer: Answer): boolean {
	return answer.reasons.some(({ code }) => code === 'all-until' || code === 'all-open');
}

function isBefore(a: ReceiptFacts, b: ReceiptFacts): boolean {
	return a.booked === b.booked ? a.id < b.id : a.booked < b.booked;
}

const STRANGE = new Set<Reason['code']>(['payer-unknown', 'payer-differs', 'parent-pays', 'name-shared']);

/** Whether the payer is known to be the customer. */
function ofPayer(answer: Answer): boolean {
	return !answer.reasons.some(({ code }) => STRANGE.has(code));
}

function samePayer(a: ReceiptFacts, b: ReceiptFacts): boolean {
	if (a.payerAccount !== null && a.payerAccount === b.payerAccount) return true;
	return a.payerName !== null && b.payerName !== null && nameKey(a.payerName) === nameKey(b.payerName);
}

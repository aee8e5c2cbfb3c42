import type { ReceiptFacts } from '../../model/records';
import { minor } from '../../money/minor';
import type { Answer, AnswerLine, Band, Reason } from '../answer';
import { nameKey } from '../../text/name-key';
import { Reserved } from './reserved';
import type { MatchIndex } from '../match-index';

const STRENGTH: Readonly<Record<Band, number>> = { certain: 3, likely: 2, choose: 1, none: 0 };

const NAMES = new Set<Reason['code']>(['number-named', 'reference-named', 'number-nearly']);

/** Whether the words name what is answered: they outweigh an amount alone. */
export function isNamed(answer: Answer): boolean {
	return answer.reasons.some(({ code }) => NAMES.has(code));
}

type Answers = Map<number, Answer>;

/**
 * Receipts that want the same item: the surer one, then the one that names it, then the earlier one has it. Of equal items the
 * next takes the next; the same payer's same sum for the same item lies on account, for it looks paid twice; any other is a choice.
 */
export function settleConflicts(
	receipts: readonly ReceiptFacts[],
	answers: Answers,
	index: MatchIndex
): void {
	const reserved = new Reserved(index);
	const usedCredits = new Set<number>();
	const order = [...receipts].sort((a, b) => {
		const strength = STRENGTH[answers.get(b.id)!.band] - STRENGTH[answers.get(a.id)!.band];
		const named = Number(isNamed(answers.get(b.id)!)) - Number(isNamed(answers.get(a.id)!));
		return strength || named || (isBefore(a, b) ? -1 : 1);
	});
	for (const receipt of order) {
		const answer = answers.get(receipt.id)!;
		if (answer.band !== 'certain' && answer.band !== 'likely') continue;
		const settled = answer.credits.some((credit) => usedCredits.has(credit.receiptId))
			? asChoice(answer, 'the earlier money')
			: withoutClash(receipt, answer, answers, reserved);
		if (settled !== answer) {
			answers.set(receipt.id, settled);
			doubtLater(receipt, answer, answers, reserved);
		}
		if (settled.band === 'choose') continue;
		for (const credit of settled.credits) usedCredits.add(credit.receiptId);
		for (const line of settled.lines) reserved.take(line, receipt);
	}
}

/** The answer as it may stay, where others have taken of its items before. */
function withoutClash(receipt: ReceiptFacts, answer: Answer, answers: Answers, reserved: Reserved): Answer {
	const clash = answer.lines.find((line) => !reserved.fits(line));
	if (!clash) return answer;
	const number = reserved.numberOf(clash.itemId);
	const moved = isNamed(answer) || isUpTo(answer) ? null : onEqualOnes(answer, reserved);
	if (moved)
		return { ...answer, lines: moved, reasons: [...answer.reasons, { code: 'wanted-twice', number }] };
	if (isUpTo(answer) && makesRoom(answer, answers, reserved)) return answer;
	const before = reserved.by(clash.itemId);
	if (before && isNamed(answer) && before.amount === receipt.amount && alike(before, receipt, answers))
		return {
			...{ ...answer, band: 'likely', lines: [], credits: [], onAccount: minor(receipt.amount) },
			reasons: [...answer.reasons, { code: 'paid-twice', number }]
		};
	return asChoice(answer, number);
}

function asChoice(answer: Answer, number: string): Answer {
	return { ...answer, band: 'choose', reasons: [...answer.reasons, { code: 'wanted-twice', number }] };
}

/** The lines of an answer with the next open items of the same amounts instead of those that are gone; null where there are none. */
function onEqualOnes(answer: Answer, reserved: Reserved): AnswerLine[] | null {
	const used = new Set(answer.lines.map((line) => line.itemId));
	const lines: AnswerLine[] = [];
	for (const line of answer.lines) {
		const next = reserved.fits(line) ? null : reserved.nextEqual(line, used);
		if (next === undefined) return null;
		if (next) used.add(next.id);
		lines.push(next ? { ...line, itemId: next.id } : line);
	}
	return lines;
}

/**
 * All up to a day means just its items; who has one of them only as the oldest of equal ones takes the next instead. Whether
 * that makes room for all of it.
 */
function makesRoom(answer: Answer, answers: Answers, reserved: Reserved): boolean {
	const wanted = new Set(answer.lines.map((line) => line.itemId));
	const moves: { receipt: ReceiptFacts; from: AnswerLine; to: AnswerLine }[] = [];
	for (const { itemId } of answer.lines.filter((line) => !reserved.fits(line))) {
		const receipt = reserved.by(itemId);
		const theirs = receipt && answers.get(receipt.id)!;
		const [from, more] = theirs?.lines ?? [];
		if (!receipt || !theirs || !from || more || theirs.band !== 'likely') return false;
		if (!theirs.reasons.some(({ code }) => code === 'oldest-of-equal')) return false;
		const next = reserved.nextEqual(from, wanted);
		if (!next) return false;
		wanted.add(next.id);
		moves.push({ receipt, from, to: { ...from, itemId: next.id } });
	}
	for (const { receipt, from, to } of moves) {
		const theirs = answers.get(receipt.id)!;
		const number = reserved.numberOf(from.itemId);
		answers.set(receipt.id, {
			...{ ...theirs, lines: [to] },
			reasons: [...theirs.reasons, { code: 'wanted-twice', number }]
		});
		reserved.giveBack(from);
		reserved.take(to, receipt);
	}
	return true;
}

/** Who has what an earlier payment names for the same sum, for it was surer, is certain no more: one of the two is too much. */
function doubtLater(receipt: ReceiptFacts, answer: Answer, answers: Answers, reserved: Reserved): void {
	if (!isNamed(answer)) return;
	for (const { itemId } of answer.lines) {
		const other = reserved.by(itemId);
		if (!other || other.amount !== receipt.amount || !isBefore(receipt, other)) continue;
		const theirs = answers.get(other.id)!;
		if (theirs.band === 'certain' && isNamed(theirs))
			answers.set(other.id, { ...asChoice(theirs, reserved.numberOf(itemId)), band: 'likely' });
	}
}

/** Whether two receipts are of one payer: by account or name, or since both are known to be of one customer. */
function alike(a: ReceiptFacts, b: ReceiptFacts, answers: Answers): boolean {
	if (samePayer(a, b)) return true;
	const [first, second] = [answers.get(a.id)!, answers.get(b.id)!];
	return first.customerId === second.customerId && ofPayer(first) && ofPayer(second);
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

/** All up to a day means just these items, and no equal ones. */
function isUpTo(answer: Answer): boolean {
	return answer.reasons.some(({ code }) => code === 'all-until' || code === 'all-open');
}

function isBefore(a: ReceiptFacts, b: ReceiptFacts): boolean {
	return a.booked === b.booked ? a.id < b.id : a.booked < b.booked;
}

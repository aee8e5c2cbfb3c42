import { daysBetween } from '../day/arithmetic';
import type { ReceiptFacts } from '../model/records';
import { minor } from '../money/minor';
import type { Answer, Band, Reason } from './answer';
import { answerByAdvice } from './answer-by-advice';
import { answerByAmount } from './answer-by-amount';
import { answerNamed } from './answer-named';
import type { Draft } from './draft';
import { findNamed } from './find-named';
import { findPayer } from './find-payer';
import { nameGaps } from './name-gaps';
import { indexWorld, type MatchBooks, type World } from './world';

const STRENGTH: Readonly<Record<Band, number>> = { certain: 3, likely: 2, choose: 1, none: 0 };

/**
 * Answers a pile of receipts together: for each, whose money it is and what for, how sure that is, and why. Pure and
 * deterministic; the order in which receipts, customers and items are given changes nothing. No two answers of the pile
 * are certain or likely about the same item unless both fit in what is open. Answers come in the order of the receipts.
 */
export function answerReceipts(receipts: readonly ReceiptFacts[], books: MatchBooks): Answer[] {
	const world = indexWorld(books);
	const answers = new Map(receipts.map((receipt) => [receipt.id, answerOne(receipt, world)]));
	nameGaps(receipts, answers, world);
	settleRivals(receipts, answers, world);
	return receipts.map((receipt) => answers.get(receipt.id)!);
}

function answerOne(receipt: ReceiptFacts, world: World): Answer {
	if (receipt.amount <= 0)
		return finish(
			receipt,
			{
				band: 'none',
				customerId: null,
				lines: [],
				reasons: [{ code: 'money-out' }],
				others: [],
				otherAnswers: 0
			},
			[]
		);
	const before = recordedBefore(receipt, world);
	if (before) return finish(receipt, before, []);
	const payer = findPayer(receipt, world);
	const named = findNamed(receipt, world, payer);
	const byWords = answerNamed(receipt, named, payer, world);
	const draft =
		(byWords?.band === 'certain' ? byWords : null) ??
		answerByAdvice(receipt, payer, world) ??
		byWords ??
		answerByAmount(receipt, payer, world);
	const settled: Reason[] = named.settled.map((number) => ({ code: 'number-settled', number }));
	// A number that is settled already may mean that the same is paid twice: that is for a person to see.
	const band: Band = settled.length > 0 && draft.band === 'certain' ? 'likely' : draft.band;
	return finish(receipt, { ...draft, band, reasons: [...draft.reasons, ...settled] }, named.recognised);
}

/** So many days may lie between recording money and the bank's showing it. */
const WAY = 45;

/**
 * Money that was recorded by hand already must not settle anything a second time: an entry of the same sum is first of all
 * that money, unless its payer is known to be somebody else. Never certain: a person looks and ties the two.
 */
function recordedBefore(receipt: ReceiptFacts, world: World): Draft | null {
	const payer = findPayer(receipt, world);
	const known = payer.customerIds.length === 1 ? payer.customerIds[0]! : null;
	const found = world.recorded.find(
		(one) =>
			one.amount === receipt.amount &&
			one.currency === receipt.currency &&
			(known === null || one.customerId === known) &&
			Math.abs(daysBetween(one.date, receipt.booked)) <= WAY
	);
	if (!found) return null;
	return {
		band: 'likely',
		customerId: found.customerId,
		lines: [],
		reasons: [{ code: 'recorded-before', label: found.label, date: found.date }],
		others: [],
		otherAnswers: 0
	};
}

function finish(receipt: ReceiptFacts, draft: Draft, recognised: Answer['recognised']): Answer {
	const cash = draft.lines.reduce((sum, line) => sum + line.cash, 0);
	return {
		...draft,
		receiptId: receipt.id,
		recognised,
		booked: receipt.booked,
		onAccount: minor(receipt.amount - cash)
	};
}

/** Words outweigh an amount alone. */
function isNamed(answer: Answer): boolean {
	return answer.reasons.some((reason) => reason.code === 'number-named' || reason.code === 'reference-named');
}

/** Receipts that want the same item: the surer one, then the one that names it, then the earlier one has it; the rest become a choice. */
function settleRivals(receipts: readonly ReceiptFacts[], answers: Map<number, Answer>, world: World): void {
	const open = new Map<number, number>();
	for (const items of world.itemsOf.values()) for (const item of items) open.set(item.id, item.open);
	const order = [...receipts].sort((a, b) => {
		const strength = STRENGTH[answers.get(b.id)!.band] - STRENGTH[answers.get(a.id)!.band];
		const named = Number(isNamed(answers.get(b.id)!)) - Number(isNamed(answers.get(a.id)!));
		return strength || named || (a.booked < b.booked ? -1 : a.booked > b.booked ? 1 : a.id - b.id);
	});
	const numbers = new Map([...world.itemsOf.values()].flat().map((item) => [item.id, item.number]));
	for (const receipt of order) {
		const answer = answers.get(receipt.id)!;
		if (answer.band !== 'certain' && answer.band !== 'likely') continue;
		const clash = answer.lines.find((line) => Math.abs(line.cash) > (open.get(line.itemId) ?? 0));
		if (clash) {
			const number = numbers.get(clash.itemId) ?? '';
			answers.set(receipt.id, {
				...answer,
				band: 'choose',
				reasons: [...answer.reasons, { code: 'wanted-twice', number }]
			});
			continue;
		}
		for (const line of answer.lines) open.set(line.itemId, open.get(line.itemId)! - Math.abs(line.cash));
	}
}

import { daysBetween } from '../day/arithmetic';
import type { ReceiptFacts } from '../model/records';
import { minor } from '../money/minor';
import type { Answer, Band, Reason } from './answer';
import { isNamed, settleRivals } from './settle-rivals';
import { answerByAdvice } from './answer-by-advice';
import { answerByAmount } from './answer-by-amount';
import { answerNamed } from './answer-named';
import { answerNearly } from './answer-nearly';
import type { Draft } from './draft';
import { findNamed, type Named } from './find-named';
import { findPayer } from './find-payer';
import { nameGaps } from './gaps/name-gaps';
import { indexWorld, type MatchBooks, type World } from './world';

/**
 * Answers a pile of receipts together: for each, whose money it is and what for, how sure that is, and why. Pure and
 * deterministic; the order in which receipts, customers and items are given changes nothing. No two answers of the pile
 * are certain or likely about the same item unless both fit in what is open. Answers come in the order of the receipts.
 */
export function answerReceipts(receipts: readonly ReceiptFacts[], books: MatchBooks): Answer[] {
	const world = indexWorld(books);
	const answers = new Map(receipts.map((receipt) => [receipt.id, answerOne(receipt, world)]));
	answerRest(receipts, answers, world);
	nameGaps(receipts, answers, world);
	settleRivals(receipts, answers, world);
	return receipts.map((receipt) => answers.get(receipt.id)!);
}

/**
 * What others of the pile name and settle whole is not there for those that name nothing: they are answered once more by what is
 * left of their accounts.
 */
function answerRest(receipts: readonly ReceiptFacts[], answers: Map<number, Answer>, world: World): void {
	const items = new Map([...world.itemsOf.values()].flat().map((item) => [item.id, item]));
	const taken = new Set<number>();
	for (const answer of answers.values())
		if (answer.band === 'certain' && isNamed(answer))
			for (const line of answer.lines)
				if (Math.abs(line.cash) === items.get(line.itemId)!.open) taken.add(line.itemId);
	if (taken.size === 0) return;
	const touched = new Set([...taken].map((id) => items.get(id)!.customerId));
	const itemsOf = new Map(world.itemsOf);
	for (const id of touched)
		itemsOf.set(
			id,
			world.itemsOf.get(id)!.filter((item) => !taken.has(item.id))
		);
	const rest: World = { ...world, itemsOf, setsFound: new Map(), openFound: new Map() };
	for (const receipt of receipts) {
		const answer = answers.get(receipt.id)!;
		if (isNamed(answer) || answer.customerId === null || !touched.has(answer.customerId)) continue;
		answers.set(receipt.id, answerOne(receipt, rest));
	}
}

/** So much of the words is repeated where they name nothing. */
const MOST_SAID = 60;

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
	const found =
		(byWords?.band === 'certain' ? byWords : null) ??
		answerByAdvice(receipt, payer, world) ??
		answerNearly(receipt, named, payer, world) ??
		byWords ??
		answerByAmount(receipt, payer, world);
	const draft = withForeign(found, named, receipt);
	const nothing: Reason[] =
		draft.customerId === null && payer.by !== 'words' && namesNothing(named)
			? [{ code: 'words-name-nothing', words: receipt.text.trim().slice(0, MOST_SAID) }]
			: [];
	const settled: Reason[] = named.settled.map((number) => ({ code: 'number-settled', number }));
	// A number that is settled already may mean that the same is paid twice: that is for a person to see.
	const band: Band = settled.length > 0 && draft.band === 'certain' ? 'likely' : draft.band;
	return finish(
		receipt,
		{ ...draft, band, reasons: [...draft.reasons, ...nothing, ...settled] },
		named.recognised
	);
}

/** Whether the words name no document of ours, open or not. */
function namesNothing({ items, settled, foreign }: Named): boolean {
	return items.length === 0 && settled.length === 0 && foreign.length === 0;
}

/** What is named in another currency is for a person to lay, at a rate; it says whose money it is where nothing else does. */
function withForeign(draft: Draft, { foreign, items }: Named, { currency }: ReceiptFacts): Draft {
	const [first] = foreign;
	if (!first || items.length > 0) return draft;
	const owners = new Set(foreign.map((item) => item.customerId));
	const reasons = [
		...draft.reasons,
		...foreign.slice(0, 5).map((item): Reason => ({
			...{ code: 'named-in-other-currency', number: item.number, of: item.currency, came: currency }
		}))
	];
	const band = draft.band === 'certain' ? 'likely' : draft.band;
	return draft.customerId === null && owners.size === 1
		? { ...draft, band: 'choose', customerId: first.customerId, reasons }
		: { ...draft, band, reasons };
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
	const credits = draft.credits ?? [];
	const earlier = credits.reduce((sum, credit) => sum + credit.use, 0);
	return {
		...draft,
		credits,
		receiptId: receipt.id,
		recognised,
		booked: receipt.booked,
		onAccount: minor(receipt.amount + earlier - cash)
	};
}

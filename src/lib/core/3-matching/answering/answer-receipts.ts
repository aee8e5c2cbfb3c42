import { daysBetween } from '../../day/arithmetic';
import type { ReceiptFacts } from '../../model/records';
import { minor } from '../../money/minor';
import type { Answer, Band, Reason } from '../answer';
import { isNamed, settleConflicts } from '../conflicts/settle-conflicts';
import { answerByAdvice } from './answer-by-advice';
import { answerByAmount } from './answer-by-amount';
import { answerNamed } from './answer-named';
import { answerNearly } from './answer-nearly';
import type { Draft } from './draft';
import { findNamed, type Named } from '../named/find-named';
import { findPayer, type Payer } from '../payer/find-payer';
import { nameGaps } from '../gaps/name-gaps';
import type { MatchBooks } from '../match-books';
import { indexBooks, type MatchIndex } from '../match-index';

/**
 * Answers a pile of receipts together: for each, whose money it is and what for, how sure that is, and why. Pure and
 * deterministic; the order in which receipts, customers and items are given changes nothing. No two answers of the pile
 * are certain or likely about the same item unless both fit in what is open. Answers come in the order of the receipts.
 */
export function answerReceipts(receipts: readonly ReceiptFacts[], books: MatchBooks): Answer[] {
	const index = indexBooks(books);
	const payers = new Map(receipts.map((receipt) => [receipt.id, findPayer(receipt, index)]));
	const answers = new Map(
		receipts.map((receipt) => [receipt.id, answerOne(receipt, payers.get(receipt.id)!, index)])
	);
	answerRest(receipts, payers, answers, index);
	nameGaps(receipts, answers, index);
	settleConflicts(receipts, answers, index);
	return receipts.map((receipt) => doubted(receipt, answers.get(receipt.id)!));
}

/** Money that the bank may never have seen is not certain, however well it fits. */
function doubted({ doubt }: ReceiptFacts, answer: Answer): Answer {
	if (!doubt) return answer;
	const band = answer.band === 'certain' ? 'likely' : answer.band;
	return { ...answer, band, reasons: [...answer.reasons, doubt] };
}

/**
 * What others of the pile name and settle whole is not there for those that name nothing: they are answered once more by what is
 * left of their accounts.
 */
function answerRest(
	receipts: readonly ReceiptFacts[],
	payers: ReadonlyMap<number, Payer>,
	answers: Map<number, Answer>,
	index: MatchIndex
): void {
	const items = new Map([...index.itemsOf.values()].flat().map((item) => [item.id, item]));
	const taken = new Set<number>();
	for (const answer of answers.values())
		if (answer.band === 'certain' && isNamed(answer))
			for (const line of answer.lines)
				if (Math.abs(line.cash) === items.get(line.itemId)!.open) taken.add(line.itemId);
	if (taken.size === 0) return;
	const touched = new Set([...taken].map((id) => items.get(id)!.customerId));
	const itemsOf = new Map(index.itemsOf);
	for (const id of touched)
		itemsOf.set(
			id,
			index.itemsOf.get(id)!.filter((item) => !taken.has(item.id))
		);
	const rest: MatchIndex = { ...index, itemsOf, setsFound: new Map(), openFound: new Map() };
	for (const receipt of receipts) {
		const answer = answers.get(receipt.id)!;
		if (isNamed(answer) || answer.customerId === null || !touched.has(answer.customerId)) continue;
		answers.set(receipt.id, answerOne(receipt, payers.get(receipt.id)!, rest));
	}
}

/** So much of the words is repeated where they name nothing. */
const MOST_SAID = 60;

function answerOne(receipt: ReceiptFacts, payer: Payer, index: MatchIndex): Answer {
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
	const before = recordedBefore(receipt, payer, index);
	if (before) return finish(receipt, before, []);
	const named = findNamed(receipt, index, payer);
	const byWords = answerNamed(receipt, named, payer, index);
	const found =
		(byWords?.band === 'certain' ? byWords : null) ??
		answerByAdvice(receipt, payer, index) ??
		answerNearly(receipt, named, payer, index) ??
		byWords ??
		answerByAmount(receipt, payer, index);
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
const DAYS_ON_THE_WAY = 45;

/**
 * Money that was recorded by hand already must not settle anything a second time: an entry of the same sum is first of all
 * that money, unless its payer is known to be somebody else. Never certain: a person looks and ties the two.
 */
function recordedBefore(receipt: ReceiptFacts, payer: Payer, index: MatchIndex): Draft | null {
	const known = payer.customerIds.length === 1 ? payer.customerIds[0]! : null;
	const found = index.recorded.find(
		(one) =>
			one.amount === receipt.amount &&
			one.currency === receipt.currency &&
			(known === null || one.customerId === known) &&
			Math.abs(daysBetween(one.date, receipt.booked)) <= DAYS_ON_THE_WAY
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

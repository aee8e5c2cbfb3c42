import {
	type Answer,
	type AnswerFailure,
	answerPile,
	groupReceipts,
	type MatchBooks,
	usualAmong,
	withUsualLine
} from '../../../core/3-matching';
import type { KnownAccount } from './known-accounts';
import { payerMark } from './payer-lessons';
import { KnownPile, type KnownReceipt } from './known-pile';

/** What is shown of an answer beside it. */
export interface Shown {
	/** The customer's name; null where none is known. */
	readonly customer: string | null;
	/** The numbers of what it settles, each once. */
	readonly numbers: readonly string[];
	/** What of that is open, signed as it is allocated, in minor units. */
	readonly open: number;
}

/** An answer as pages have it. */
export interface Answered {
	readonly answer: Answer;
	readonly shown: Shown;
}

/** Receipts that bear on each other's answers, with all that these rest on. */
interface Group {
	/** Receipts, accounts and lists: none of them is changed, so the answers are the same for as long as these are. */
	readonly restsOn: readonly unknown[];
	readonly answered: readonly Answered[];
	readonly failures: readonly AnswerFailure[];
}

/**
 * The answers to what waits, kept by what they rest on: receipts that may bear on each other are answered together, and anew only
 * where one of them, or what is known for them, is another than before.
 */
export class KeptAnswers {
	/** By their first receipts. */
	#groups = new Map<number, Group>();

	/** Answers what is known. @param only leaves out groups without one of these receipts */
	answer(pile: KnownPile, only?: ReadonlySet<number>): Iterable<Group> {
		const groups = new Map<number, Group>();
		for (const receipts of groupReceipts([...pile.receipts], (one) => pile.ties(one))) {
			if (only && !receipts.some((one) => only.has(one.id))) continue;
			const accounts = accountsOf(receipts, pile);
			const restsOn = [...receipts, ...accounts, ...listsFor(receipts, pile)];
			const first = receipts[0]!.id;
			const known = this.#groups.get(first);
			const same =
				known?.restsOn.length === restsOn.length && known.restsOn.every((one, i) => one === restsOn[i]);
			groups.set(first, same ? known : { restsOn, ...answerGroup(receipts, accounts, pile) });
		}
		this.#groups = groups;
		return groups.values();
	}
}

/** The accounts that the answers of receipts may rest on, each once. */
function accountsOf(receipts: readonly KnownReceipt[], pile: KnownPile): KnownAccount[] {
	const ids = new Set(receipts.flatMap((one) => [...pile.reach(one)]));
	return [...ids].flatMap((id) => pile.account(id) ?? []);
}

/** What else they rest on: names, the shapes of numbers, and what was recorded, kept and learned for such sums and payers. */
function listsFor(receipts: readonly KnownReceipt[], { firm }: KnownPile): unknown[] {
	const { names, patterns, baseCurrency } = firm;
	return [
		...[names, patterns, baseCurrency],
		...receipts.flatMap((one) => {
			const { sum, tariff } = one;
			return [
				...[firm.recorded.get(sum), firm.advices.get(sum), firm.fees.get(tariff ?? '')],
				usualAmong(one.usualKeys, firm.usual)
			];
		})
	];
}

function answerGroup(
	receipts: readonly KnownReceipt[],
	accounts: readonly KnownAccount[],
	pile: KnownPile
): Pick<Group, 'answered' | 'failures'> {
	const books = booksOf(receipts, accounts, pile);
	const answered = answerPile(receipts, books);
	const { failures } = answered;
	const byId = new Map(receipts.map((one) => [one.id, one]));
	const answers = answered.answers.map((answer) => {
		const receipt = byId.get(answer.receiptId)!;
		return withUsualLine(answer, receipt.row, usualAmong(receipt.usualKeys, pile.firm.usual));
	});
	const items = new Map(books.items.map((item) => [item.id, item]));
	return {
		failures,
		answered: answers.map((answer) => {
			const lines = answer.lines.flatMap(({ itemId, cash }) => {
				const item = items.get(itemId);
				return item ? [{ number: item.number, open: Math.sign(cash) * item.open }] : [];
			});
			return {
				answer,
				shown: {
					customer: (answer.customerId && pile.account(answer.customerId)?.customer.name) || null,
					numbers: [...new Set(lines.map((line) => line.number))],
					open: lines.reduce((sum, line) => sum + line.open, 0)
				}
			};
		})
	};
}

function booksOf(
	receipts: readonly KnownReceipt[],
	accounts: readonly KnownAccount[],
	{ firm }: KnownPile
): MatchBooks {
	const items = accounts.flatMap((account) => account.items);
	const open = new Set(items.map((item) => item.documentId));
	const settled = receipts.flatMap((one) => one.named).filter((one) => one.id === null || !open.has(one.id));
	const sums = [...new Set(receipts.map((one) => one.sum))];
	const payers = [...new Set(receipts.map((one) => one.tariff ?? ''))];
	const lessons = new Map(
		receipts
			.flatMap((one) => one.lessons)
			.map((one) => [`${payerMark(one.trait, one.key)} ${one.customerId}`, one])
	);
	return {
		...{ names: firm.names, patterns: firm.patterns, baseCurrency: firm.baseCurrency },
		customers: accounts.map((account) => account.customer),
		items,
		recorded: sums.flatMap((sum) => firm.recorded.get(sum) ?? []),
		advices: sums.flatMap((sum) => firm.advices.get(sum) ?? []),
		credits: accounts.flatMap((account) => account.credits),
		payerLessons: [...lessons.values()],
		allocatedBefore: receipts.flatMap((one) => one.before),
		habits: new Map(accounts.flatMap(({ customer, habits }) => (habits ? [[customer.id, habits]] : []))),
		pastFees: payers.flatMap((payer) => firm.fees.get(payer) ?? []),
		settledNumbers: [...new Set(settled.map((one) => one.number))]
	};
}

import type { ReceiptFacts } from '../../model/records';
import type { Answer } from '../answer';
import { answerReceipts } from './answer-receipts';
import type { MatchBooks } from '../match-books';

/** A receipt on which answering failed: a bug, to be logged by whoever called; its receipt is answered with nothing. */
export interface AnswerFailure {
	/** Null where the receipts failed together and each of them alone did not. */
	readonly receiptId: number | null;
	readonly error: unknown;
}

export interface AnsweredPile {
	/** In the order of the receipts. */
	readonly answers: readonly Answer[];
	readonly failures: readonly AnswerFailure[];
}

/**
 * Answers a pile so that one receipt on which answering fails takes no other with it: it is answered "not yet", the others go on
 * without it. Where receipts fail only together, each is answered alone, and nothing is certain.
 */
export function answerPile(receipts: readonly ReceiptFacts[], books: MatchBooks): AnsweredPile {
	const whole = attempt(() => answerReceipts(receipts, books));
	if ('value' in whole) return { answers: whole.value, failures: [] };
	const alone = receipts.map((receipt) => ({
		receipt,
		answered: attempt(() => answerReceipts([receipt], books)[0]!)
	}));
	const sound = alone.filter(({ answered }) => 'value' in answered).map(({ receipt }) => receipt);
	const failures = alone.flatMap(({ receipt, answered }): AnswerFailure[] =>
		'error' in answered ? [{ receiptId: receipt.id, error: answered.error }] : []
	);
	const rest = failures.length > 0 ? attempt(() => answerReceipts(sound, books)) : { error: whole.error };
	const found = new Map(
		'value' in rest
			? rest.value.map((answer) => [answer.receiptId, answer])
			: alone.flatMap(({ answered }) =>
					'value' in answered ? [[answered.value.receiptId, unsure(answered.value)] as const] : []
				)
	);
	return {
		answers: receipts.map((receipt) => found.get(receipt.id) ?? notYet(receipt)),
		failures: 'error' in rest ? [...failures, { receiptId: null, error: rest.error }] : failures
	};
}

/** The answer of a receipt that has none yet. */
export function notYet({ id, amount, booked }: Pick<ReceiptFacts, 'id' | 'amount' | 'booked'>): Answer {
	return {
		...{ receiptId: id, band: 'none', customerId: null, lines: [], credits: [], onAccount: amount, booked },
		...{ reasons: [{ code: 'not-yet' }], others: [], otherAnswers: 0, recognised: [] }
	};
}

/** What others of the pile want is not known: a person looks. */
function unsure(answer: Answer): Answer {
	return answer.band === 'certain' ? { ...answer, band: 'likely' } : answer;
}

function attempt<T>(work: () => T): { readonly value: T } | { readonly error: unknown } {
	try {
		return { value: work() };
	} catch (error) {
		return { error };
	}
}

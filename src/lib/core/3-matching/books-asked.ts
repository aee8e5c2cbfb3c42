import type { ReceiptFacts } from '../model/records';
import {
	joinedWords,
	MOST_TEXT,
	referenceKey,
	SHORTEST_REFERENCE,
	withoutGlued,
	wordsOfText
} from '../text/words-of-text';
import type { MatchIndex } from './match-index';
import { creditorReferences } from './named/creditor-references';
import { keysInFrames, type NumberFrame } from './named/number-frames';
import { findPayer } from './payer/find-payer';
import { namesInWords } from './payer/names-in-words';

/** What of the books may matter to a receipt; beside it, what hangs on those customers and documents. */
export interface BooksAsked {
	/** Customers that it names or is known to be of. */
	readonly customerIds: ReadonlySet<number>;
	/** Numbers, orders and payment references of documents, as `referenceKey` makes them. */
	readonly references: ReadonlySet<string>;
}

/** The longest reference that documents have. */
const LONGEST_REFERENCE = 35;

/** An amount in minor units with its currency, to be looked for. */
export function amountKey(amount: number, currency: string): string {
	return `${amount} ${currency}`;
}

/**
 * What of the books is to be read for a receipt, so that it is answered as it would be by all of them.
 * @param frames what stands around the digits of the firm's own document numbers
 * @param names the names of all customers and nothing else of the books
 */
export function booksAsked(
	receipt: ReceiptFacts,
	frames: readonly NumberFrame[],
	names: MatchIndex
): BooksAsked {
	const customerIds = new Set(findPayer(receipt, names).customerIds);
	if (receipt.knownCustomerId) customerIds.add(receipt.knownCustomerId);
	for (const one of namesInWords(receipt.text, names)) customerIds.add(one.customerId);
	const references = new Set(referencesOf(receipt));
	for (const digits of digitRuns(receipt))
		for (const key of keysInFrames(frames, digits)) references.add(key);
	return { customerIds, references };
}

/** What may be a reference in a receipt's words and in what the bank gives apart. */
function referencesOf({ text, structuredReference, endToEndId }: ReceiptFacts): string[] {
	const given = [structuredReference, endToEndId].flatMap((one) => (one ? referenceKey(one) : []));
	// A creditor reference may be one that was asked for, or be made of a document's number.
	const creditors = creditorReferences(text).flatMap(({ key }) => [key, key.slice(4)]);
	const own = wordsOfText(text);
	const bare = own.flatMap((word) => withoutGlued(word, text) ?? []);
	const words = [...own, ...bare, ...joinedWords(text, own)]
		.map((word) => word.key)
		.filter((key) => key.length >= SHORTEST_REFERENCE && key.length <= LONGEST_REFERENCE);
	return [...given, ...creditors, ...words];
}

/** Runs of digits in the words that may be numbers of ours without their prefix. */
function digitRuns({ text }: ReceiptFacts): readonly string[] {
	return text.slice(0, MOST_TEXT).match(/\d{4,12}/g) ?? [];
}

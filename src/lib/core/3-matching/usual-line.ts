import type { ReceiptFacts } from '../model/records';
import { nameKey } from '../text/name-key';
import { withoutAccents } from '../text/without-accents';
import type { Answer, UsualLine } from './answer';
import { saysReturned } from './find-returned';

/** After so many times in a row it is proposed, and after so many it is certain. */
const TO_PROPOSE = 2;
const TO_BE_CERTAIN = 3;

/**
 * What entries of one counterparty have in common that are booked in one way: which way the money goes, the bank's own code for it, and the
 * first word that is one. Bank interest and bank charges are two kinds.
 */
export function usualKind(entry: {
	readonly amount: number;
	readonly text: string;
	readonly code: string | null;
}): string {
	const word = /[A-Z]{3,}/.exec(withoutAccents(entry.text.slice(0, 200)).toUpperCase())?.[0] ?? '';
	return `${entry.amount < 0 ? 'out' : 'in'} ${entry.code ?? ''} ${word}`;
}

/** Under which usual lines are looked up: the counterparty alone, for rules, and with the kind of entry; none without a name. */
export function usualKeys(entry: {
	readonly payerName: string | null;
	readonly amount: number;
	readonly text: string;
	readonly code: string | null;
}): readonly string[] {
	const name = nameKey(entry.payerName ?? '');
	return name ? [`${name} | ${usualKind(entry)}`, `${name} | `] : [];
}

/** Whether it is proposed: by a rule, or because it was always booked so. */
const isProposed = ({ setBy, times }: UsualLine) => setBy !== null || times >= TO_PROPOSE;

/** How an entry is usually booked: as its kind is, else as all of its counterparty's are; none where nothing is proposed. */
export function usualAmong(
	keys: readonly string[],
	lines: ReadonlyMap<string, UsualLine>
): UsualLine | undefined {
	return keys.flatMap((key) => lines.get(key) ?? []).find(isProposed);
}

/**
 * An answer as it is where nothing speaks for a customer, and entries like it were always booked on one account: proposed by a rule or
 * after twice, certain after three times in a row. A payment that came back is none, and what nobody has confirmed is never certain.
 */
export function withUsualLine(
	answer: Answer,
	receipt: Pick<ReceiptFacts, 'text' | 'doubt'> & {
		readonly amount: number;
		readonly returnReason: string | null;
	},
	line: UsualLine | undefined
): Answer {
	if (!line || !isProposed(line)) return answer;
	if (answer.band !== 'none' || answer.customerId !== null || answer.lines.length > 0) return answer;
	if (receipt.amount < 0 && saysReturned(receipt)) return answer;
	return {
		...answer,
		band: line.times >= TO_BE_CERTAIN && !receipt.doubt ? 'certain' : 'likely',
		usual: line,
		reasons: [
			line.setBy !== null && line.times < TO_PROPOSE
				? { code: 'usual-rule', account: line.name, by: line.setBy }
				: { code: 'usual-line', account: line.name, times: line.times }
		]
	};
}

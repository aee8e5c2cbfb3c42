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

/** How an entry was booked most often in a row, by its kind or by a rule for its counterparty. */
export function usualAmong(
	keys: readonly string[],
	lines: ReadonlyMap<string, UsualLine>
): UsualLine | undefined {
	let best: UsualLine | undefined;
	for (const key of keys) {
		const line = lines.get(key);
		if (line && line.times > (best?.times ?? 0)) best = line;
	}
	return best;
}

/**
 * An answer as it is where nothing speaks for a customer, and entries like it were always booked on one account: proposed after twice,
 * certain after three times in a row. A payment that came back is none, and what nobody has confirmed is never certain.
 */
export function withUsualLine(
	answer: Answer,
	receipt: Pick<ReceiptFacts, 'text' | 'doubt'> & {
		readonly amount: number;
		readonly returnReason: string | null;
	},
	line: UsualLine | undefined
): Answer {
	if (!line || line.times < TO_PROPOSE) return answer;
	if (answer.band !== 'none' || answer.customerId !== null || answer.lines.length > 0) return answer;
	if (receipt.amount < 0 && saysReturned(receipt)) return answer;
	return {
		...answer,
		band: line.times >= TO_BE_CERTAIN && !receipt.doubt ? 'certain' : 'likely',
		usual: line,
		reasons: [{ code: 'usual-line', account: line.name, times: line.times }]
	};
}

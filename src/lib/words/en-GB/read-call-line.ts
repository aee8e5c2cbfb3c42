import { addDays } from '../../core/day/arithmetic';
import type { Day } from '../../core/day/day';
import { parseTypedDay } from '../../core/day/parse-typed-day';
import type { ClaimReason } from '../../core/model/claim';
import type { Minor } from '../../core/money/minor';
import { typedAmount } from '../typed-amount';

/** What came of a call, as it was typed in a line. */
export type CallLine =
	| { readonly outcome: 'no-answer'; readonly againOn: Day | null }
	| { readonly outcome: 'again'; readonly againOn: Day | null }
	| {
			readonly outcome: 'promise';
			readonly amount: Minor | null;
			readonly day: Day | null;
			/** The items that it is for; none where it is for the account. */
			readonly numbers: readonly string[];
	  }
	| {
			readonly outcome: 'dispute';
			readonly number: string | null;
			readonly amount: Minor | null;
			readonly reason: ClaimReason;
	  }
	| { readonly outcome: 'said' };

/** What the line is read against. */
export interface CallLineFacts {
	readonly today: Day;
	readonly currency: string;
	/** What is asked for: what "all" means. */
	readonly owed: Minor;
	/** Numbers of the items that are talked about. */
	readonly numbers: readonly string[];
}

const NO_ANSWER = /^(no answer|n\/?a|voicemail|left (a )?message|engaged|busy)\b/i;
const AGAIN = /^(call|ring|phone|try)?\s*(again|back|later)\b/i;
const DISPUTE = /\b(disputes?|disputed|query|queries|complains?|won.?t pay)\b/i;
const PROMISE = /\b(promis\w*|pays?|paying|will pay|on its way|transfer\w*|sends?|cheque)\b/i;
const WEEKDAYS = ['sunday', 'monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday'];

const REASONS: readonly (readonly [RegExp, ClaimReason])[] = [
	[/broke|damag|crack|fault/i, 'damaged'],
	[/miss|short|not (received|delivered|arrived)|never/i, 'missing'],
	[/price|charged|rate|discount|overcharg/i, 'price'],
	[/sent back|return/i, 'returned'],
	[/late|delay/i, 'late']
];

/**
 * Reads what came of a call from a line such as "promises 500 on Friday", "again Monday", "no answer", "disputes AK-1001 40.00 broken".
 * What is none of these is what was said. Amounts and days that it does not name are null: the person is asked for them.
 */
export function readCallLine(line: string, facts: CallLineFacts): CallLine {
	const text = line.trim();
	const day = dayIn(text, facts.today);
	if (NO_ANSWER.test(text)) return { outcome: 'no-answer', againOn: day };
	if (AGAIN.test(text)) return { outcome: 'again', againOn: day };
	if (DISPUTE.test(text)) {
		const number = facts.numbers.find((one) => isNamed(text, one)) ?? null;
		const rest = number ? text.replace(new RegExp(escaped(number), 'i'), ' ') : text;
		const reason = REASONS.find(([words]) => words.test(rest))?.[1] ?? 'other';
		return { outcome: 'dispute', number, amount: amountIn(rest, facts), reason };
	}
	if (PROMISE.test(text)) {
		const rest = facts.numbers.reduce((left, one) => left.replace(new RegExp(escaped(one), 'i'), ' '), text);
		const amount = /\b(all|everything|in full|the lot|whole)\b/i.test(rest)
			? facts.owed
			: amountIn(rest, facts);
		const numbers = facts.numbers.filter((one) => isNamed(text, one));
		return { outcome: 'promise', amount, day, numbers };
	}
	return { outcome: 'said' };
}

/** The first thing in it that is an amount and no part of a day. */
function amountIn(text: string, { currency }: CallLineFacts): Minor | null {
	for (const [word] of withoutDays(text).matchAll(/(?<![\p{L}\p{N}-])[£$€]?\d[\d.,]*/gu)) {
		const amount = typedAmount(word.replace(/^[£$€]/, '').replace(/[.,]$/, ''), currency);
		if (typeof amount === 'number' && amount > 0) return amount;
	}
	return null;
}

const DAY =
	/\b\d{4}-\d{2}-\d{2}\b|\b\d{1,2}[/.]\d{1,2}([/.]\d{2,4})?\b(?!\d)|\b\d{1,2}(st|nd|rd|th)?\s+(of\s+)?(jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*(\s+\d{4})?\b|\bin \d{1,3} (days?|weeks?)\b/gi;

/** Days written with a full stop, such as 6.11, are days only behind "on" or "by": else they are amounts. */
function withoutDays(text: string): string {
	return text.replace(DAY, (found, ...rest) => {
		const at = rest.at(-2) as number;
		const isPlain = /^\d{1,2}\.\d{1,2}$/.test(found);
		return isPlain && !/\b(on|by|until|till)\s*$/i.test(text.slice(0, at)) ? found : ' ';
	});
}

function dayIn(text: string, today: Day): Day | null {
	const plain = text.toLowerCase();
	if (/\btoday\b/.test(plain)) return today;
	if (/\btomorrow\b/.test(plain)) return addDays(today, 1);
	const span = /\bin (\d{1,3}) (day|week)s?\b/.exec(plain);
	if (span) return addDays(today, Number(span[1]) * (span[2] === 'week' ? 7 : 1));
	if (/\bnext week\b/.test(plain)) return addDays(today, 7);
	const weekday = WEEKDAYS.findIndex((name) =>
		new RegExp(`\\b${name.slice(0, 3)}(${name.slice(3)}|s|rs|nes)?\\b`).test(plain)
	);
	for (const [found] of text.matchAll(DAY)) {
		const isPlain = /^\d{1,2}\.\d{1,2}$/.test(found);
		if (isPlain && !new RegExp(`\\b(on|by|until|till)\\s*${escaped(found)}`, 'i').test(text)) continue;
		const day = parseTypedDay(found.replace(/(\d)(st|nd|rd|th)\b/i, '$1').replace(/\bof\s+/i, ''), today);
		if (day) return day;
	}
	if (weekday < 0) return null;
	// 1970-01-01 was a Thursday.
	const now = (Math.floor(Date.parse(today) / 86_400_000) + 4) % 7;
	return addDays(today, ((weekday - now + 6) % 7) + 1);
}

/** Whether a number stands in a text by itself: AK-7 does not in AK-70. */
const isNamed = (text: string, number: string) =>
	new RegExp(`(?<![\\p{L}\\p{N}])${escaped(number)}(?![\\p{L}\\p{N}])`, 'iu').test(text);

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

import { addDays } from '../../core/day/arithmetic';
import type { Day } from '../../core/day/day';
import type { Letter } from '../../core/7-letters/letter';
import { fillWording, type PlaceholderValues, type Worded } from '../../core/7-letters/wording/fill-wording';
import { usualWording, type Wording } from '../../core/7-letters/wording/wording';
import { letterWordsOf } from './letter-words-of';
import type { LetterWords } from './letter-words';
import { quoteText } from './quote-text';

/** What a letter's words may name beside what the letter itself tells. */
export interface WordingFacts {
	/** Whom it is addressed to by name; nothing where nobody is known. */
	readonly contact?: string | undefined;
	/** In whose name it goes. */
	readonly person?: string | undefined;
	/** The step of chasing that it is. */
	readonly step?:
		| {
				readonly name: string;
				readonly next: { readonly name: string; readonly day: Day } | null;
		  }
		| undefined;
}

/** An answer is expected within so many days, where nothing follows that would say. */
const ANSWER_DAYS = 7;

/** A letter's words in its own language, filled in with its own facts. */
export function wordLetter(letter: Letter, wording: Wording, facts: WordingFacts = {}): Worded {
	return fillWording(wording, letter.kind, valuesOf(letterWordsOf(letter.language), letter, facts));
}

/** The words of a letter: its own, or those that came with the application. */
export function wordsOfLetter(letter: Letter): Worded {
	const { wordings } = letterWordsOf(letter.language);
	return letter.says ?? wordLetter(letter, wordings[usualWording(letter.kind)]);
}

function valuesOf(words: LetterWords, letter: Letter, facts: WordingFacts): PlaceholderValues {
	const { customer, firm, currency, rows, returned, statement } = letter;
	const numbers = rows.map((row) => row.number).filter((number) => number !== '');
	const oldest = Math.max(0, ...rows.map((row) => row.late));
	const { next = null } = facts.step ?? {};
	const money = (amount: number) => words.money(amount, currency);
	return {
		...{ customer: customer.name, contact: facts.contact || customer.name, account: customer.code },
		...{ firm: firm.name, day: words.day(letter.date) },
		...(letter.corrects ? { title: words.correctedTitle } : {}),
		...{
			amount: money(Math.abs(letter.owed)),
			overdue: money(letter.late),
			deducted: words.deducted(letter)
		},
		...{ count: String(numbers.length), numbers: words.list(shortened(numbers)) },
		...{ 'days-late': words.days(oldest), reference: quoteText(letter.pay.reference) },
		shows: words.shows(letter),
		...{ 'as-at': words.day(statement?.to ?? letter.date), to: words.day(statement?.to ?? letter.date) },
		from: statement?.from ? words.day(statement.from) : '',
		...{ step: facts.step?.name ?? '', 'next-step': next?.name ?? '' },
		'next-day': next ? words.day(next.day) : '',
		'answer-by': words.day(next?.day ?? addDays(letter.date, ANSWER_DAYS)),
		...(returned
			? {
					...{ returned: money(returned.amount), 'paid-on': words.day(returned.paidOn) },
					...{ 'returned-on': words.day(returned.on), 'returned-why': words.returnedWhy(returned.reason) },
					charge: money(returned.charge)
				}
			: {}),
		...{ person: facts.person ?? '', 'firm-phone': firm.phone, 'firm-email': firm.email }
	};
}

/** So many numbers stand in a sentence; the table has them all. */
const MOST_NUMBERS = 6;

function shortened(numbers: readonly string[]): string[] {
	return numbers.length <= MOST_NUMBERS ? [...numbers] : [...numbers.slice(0, MOST_NUMBERS - 1), '…'];
}

import type {
	HowToPay,
	Letter,
	LetterLanguage,
	LetterRow,
	Movement,
	PartPayment
} from '../../core/7-letters/letter';
import type { Paper } from '../../core/7-letters/paper';
import type { BuiltInWording, Wording } from '../../core/7-letters/wording/wording';
import type { AgeBucket } from '../../core/model/aged';

/** How a language writes sums and days in letters. */
export interface LetterFormats {
	/** An amount without its currency. @param value minor units */
	amount(value: number, currency: string): string;
	/** An amount with its currency. @param value minor units */
	money(value: number, currency: string): string;
	/** A day with its year. */
	day(day: string): string;
	percent(basisPoints: number): string;
}

/** What letters and documents say in one language: each a folder of words that has all of these. */
export interface LetterWords extends LetterFormats {
	readonly language: LetterLanguage;
	/** What a kind of letter is called. */
	readonly names: Readonly<Record<Letter['kind'], string>>;
	/** The title of a statement that takes the place of one. */
	readonly correctedTitle: string;
	/** Wordings that come with the application. */
	readonly wordings: Readonly<Record<BuiltInWording, Wording>>;
	/** What a statement shows, or which payment came back, in a sentence or two. */
	shows(letter: Letter): string;
	/** That credits were taken off, as it goes on behind the amount that is asked for; nothing where there were none. */
	deducted(letter: Letter): string;
	/** What was wrong in the letter whose place this one takes. */
	corrected(corrects: NonNullable<Letter['corrects']>): string;
	/** How the firm's record stood. */
	recorded(record: NonNullable<Letter['record']>): string;
	/** Why a payment came back. @param reason ISO 20022 ExternalReturnReason1Code, or one of our own */
	returnedWhy(reason: string): string;
	days(count: number): string;
	list(texts: readonly string[]): string;
	/** The sum that matters: what it is called. */
	sumName(letter: Letter): string;
	readonly columns: {
		readonly document: string;
		readonly date: string;
		readonly due: string;
		total(currency: string): string;
		paid(currency: string): string;
		open(currency: string): string;
		amount(currency: string): string;
		balance(currency: string): string;
		readonly details: string;
		readonly tax: string;
		net(currency: string): string;
	};
	readonly facts: {
		readonly date: string;
		readonly account: string;
		readonly asAt: string;
		readonly period: string;
		readonly yourOrder: string;
		readonly ourOrder: string;
	};
	/** Of a letter that tells of interest. */
	readonly interest: {
		readonly from: string;
		readonly to: string;
		readonly days: string;
		late(currency: string): string;
		readonly rate: string;
		amount(currency: string): string;
		readonly compensation: string;
		readonly correction: string;
		/** What was paid or taken off since. */
		readonly settled: string;
	};
	readonly carried: { readonly forward: string; readonly brought: string };
	readonly bucket: (bucket: AgeBucket) => string;
	readonly aged: string;
	/** What a row is, behind its number. */
	rowText(row: LetterRow): string;
	/** What a row without a number is called. */
	readonly onAccount: string;
	daysLate(days: number): string;
	partPayment(part: PartPayment): string;
	movement(one: Movement): string;
	settles(number: string): string;
	readonly broughtForward: string;
	dated(one: Letter['dated'][number], currency: string): string;
	readonly pay: {
		readonly name: string;
		readonly nothing: string;
		readonly bank: string;
		readonly account: string;
		readonly bic: string;
		readonly quote: string;
		readonly code: string;
		readonly link: string;
		/** One sentence for plain text. */
		sentence(pay: HowToPay): string;
	};
	page: string;
	/** What the mail says of what hangs on it. */
	readonly attached: string;
	readonly paper: {
		title(paper: Paper): string;
		/** When and how it is due. */
		after(paper: Paper): readonly string[];
		sumName(paper: Paper): string;
		taxLine(basisPoints: number, net: string): string;
		readonly noTax: string;
	};
}

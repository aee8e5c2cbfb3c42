import { MOST_TEXT } from './words-of-text';

/** What the words of a payment say beside numbers, in the languages that a firm's customers write. */
export interface WordsSay {
	/** That it is money on account. */
	readonly onAccount: boolean;
	/** That it pays all up to now, or what a statement shows. */
	readonly upToDate: boolean;
	/** That it is a part of something, or that something was taken off. */
	readonly notWhole: boolean;
}

const ON_ACCOUNT =
	/\b(on account|payment on a\/?c|a\/c payment|on a\/c|akonto|a conto|acompte|acconto|anticipo|a cuenta|op rekening|vorauszahlung|anzahlung|à valoir|deposit|advance|in advance|prepayment)\b/i;
const UP_TO_DATE =
	/\b(statement|stmt|acct? to date|account to date|to date|all (open|due|outstanding|invoices)|outstanding|balance|in full|kontoauszug|saldo|solde|relevé|estado de cuenta|estratto conto|alle offenen)\b/i;
const NOT_WHOLE =
	/\b(less|minus|short|part|half|first|second|instal?ments?|instalment|deduct(ed|ion)?|credit|damaged?|broken|breakages?|missing|disc(ount)?|per agreement|retention|teil(zahlung)?|rate|abz(ü|ue)gl(ich)?|skonto|partiel|acompte|moins|escompte|parcial|menos|parziale|meno|gedeeltelijk|minder|korting)\b/i;

/** Reads what the words say; a phrase may stand anywhere in them. */
export function wordsSay(text: string): WordsSay {
	const plain = text.slice(0, MOST_TEXT).replace(/\s+/g, ' ');
	return {
		onAccount: ON_ACCOUNT.test(plain),
		upToDate: UP_TO_DATE.test(plain),
		notWhole: NOT_WHOLE.test(plain)
	};
}

import { LETTER_LANGUAGES, type LetterLanguage } from '../../core/7-letters/letter';
import type { CustomerLanguage } from '../../core/model/customer-details';
import { GERMAN } from '../de-DE/letter-words';
import { ENGLISH } from '../en-GB/letter-words';
import type { LetterWords } from './letter-words';

const WORDS: Readonly<Record<LetterLanguage, LetterWords>> = { en: ENGLISH, de: GERMAN };

/** What letters say in a language. */
export const letterWordsOf = (language: LetterLanguage): LetterWords => WORDS[language];

/** The language in which a customer is written to: theirs where there are words for it, else English. */
export function letterLanguageFor(language: CustomerLanguage): LetterLanguage {
	return LETTER_LANGUAGES.find((one) => one === language) ?? 'en';
}

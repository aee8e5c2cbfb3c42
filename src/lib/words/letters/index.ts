/** What letters and documents on paper say, in the languages of customers. */
export { layOutInterest } from './lay-out-interest';
export { layOutLetter } from './lay-out-letter';
export { layOutPaper } from './lay-out-paper';
export { letterLanguageFor, letterWordsOf } from './letter-words-of';
export { statementTable } from './statement-table';
export { mailText, type MailText } from './mail-text';
export { wordLetter, type WordingFacts } from './word-letter';

/** Matching, as the rest of Odd Penny uses it: nothing else of this folder is imported from outside. */
export type { Answer, AnswerLine, Band, Reason, UsedCredit, UsualLine } from './answer';
export { type AnswerFailure, answerPile, notYet } from './answering/answer-pile';
export { answerReceipts } from './answering/answer-receipts';
export { type WhyNot, whyNot } from './answering/why-not';
export { amountKey, type BooksAsked, booksAsked } from './books-asked';
export { groupReceipts } from './conflicts/group-receipts';
export { findReturned, MOST_DAYS_TO_RETURN, type ReturnClue, saysReturned } from './find-returned';
export {
	type Habits,
	learnHabits,
	type Lesson,
	LESSONS,
	lessonsOf,
	type Taught,
	without
} from './lessons/habits';
export { type ItemLeft, lessonOf, lessonOfPast } from './lessons/lesson-of';
export type {
	CreditOnAccount,
	KeptAdvice,
	MatchBooks,
	PastFee,
	AllocatedBefore,
	Recorded
} from './match-books';
export { indexBooks, type MatchIndex } from './match-index';
export { matchAdvice, type MatchedLine } from './named/match-advice';
export { type NumberFrame, numberFrames } from './named/number-frames';
export { type NameIndex } from './payer/name-index';
export { learnNumberPatterns, type NumberPatterns } from './named/number-patterns';
export { tariffPayer } from './gaps/tariff-payer';
export { findPayer } from './payer/find-payer';
export {
	learnPayers,
	TIMES_TO_LEARN,
	lessonsOfHistory,
	type PayerLesson,
	type PayerTrait
} from './payer/payer-lessons';
export { MOST_WAYS } from './sets/equal-ways';
export { usualAmong, usualKeys, usualKind, withUsualLine } from './usual-line';
export { findSets } from './sets/find-sets';
export { type AccountItem, setsByAccount } from './sets/sets-by-account';
export type { SetsFound } from './sets/sets-found';

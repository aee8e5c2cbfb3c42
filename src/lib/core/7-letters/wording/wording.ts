import type { LetterKind, LetterLanguage } from '../letter-kind';
import type { RichText } from './rich-text';

/** The words of a kind of letter, with placeholders where the customer's own facts go. */
export interface Wording {
	/** What stands above the letter on paper. */
	readonly title: string;
	/** One line. */
	readonly subject: string;
	/** One line above the rest; nothing for none. */
	readonly greeting: string;
	readonly body: RichText;
	/** What stands above the sender; a line or several. */
	readonly closing: string;
	/** Who signs; a line or several. */
	readonly sender: string;
	/** In whose name the mail goes out; the firm's where it is empty. */
	readonly fromName: string;
	/** Where answers go; the firm's own address where it is empty. */
	readonly replyTo: string;
}

/** Wordings that come with the application, by their keys: each has words in every language of letters. */
export const BUILT_IN_WORDINGS = {
	statement: 'statement',
	returned: 'returned',
	'before-due': 'reminder',
	reminder: 'reminder',
	'second-reminder': 'reminder',
	'final-demand': 'reminder',
	thanks: 'thanks',
	copies: 'copies',
	interest: 'interest'
} as const satisfies Record<string, LetterKind>;
export type BuiltInWording = keyof typeof BUILT_IN_WORDINGS;

export const isBuiltIn = (key: string): key is BuiltInWording => Object.hasOwn(BUILT_IN_WORDINGS, key);

/** The wording that letters of a kind have where nothing else is said. */
export const usualWording = (kind: LetterKind): BuiltInWording => (kind === 'reminder' ? 'reminder' : kind);

/** Which version of which wording a letter was written by. */
export interface WordingUsed {
	readonly key: string;
	readonly language: LetterLanguage;
	/** Nought for the one that came with the application. */
	readonly version: number;
	/** It was changed for this letter alone. */
	readonly isChanged?: boolean;
}

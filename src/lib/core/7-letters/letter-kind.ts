/** What letters there are: what is owed, what is asked for, a payment that came back, thanks for one, copies of documents, interest charged. */
export const LETTER_KINDS = ['statement', 'reminder', 'returned', 'thanks', 'copies', 'interest'] as const;
export type LetterKind = (typeof LETTER_KINDS)[number];

/** Languages in which letters are written (ISO 639-1): each is a folder of words. */
export const LETTER_LANGUAGES = ['en', 'de'] as const;
export type LetterLanguage = (typeof LETTER_LANGUAGES)[number];

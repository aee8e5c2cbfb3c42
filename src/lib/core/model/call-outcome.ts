/** What came of a call: they will pay, they dispute something, they are called again, nobody answered, or something was said. */
export const CALL_OUTCOMES = ['promise', 'dispute', 'again', 'no-answer', 'said'] as const;
export type CallOutcome = (typeof CALL_OUTCOMES)[number];

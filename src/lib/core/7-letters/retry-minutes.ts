/** Minutes between tries, growing: a day in all. */
const WAITS = [1, 5, 15, 30, 60, 120, 240, 480, 480] as const;

/**
 * How long a letter waits that a mail server would not take for now (RFC 5321, section 4.5.4.1: tries grow apart, and end).
 * @param tries how often it was tried so far
 * @returns minutes until the next try; null where it is given up
 */
export function retryMinutes(tries: number): number | null {
	return WAITS[Math.max(1, tries) - 1] ?? null;
}

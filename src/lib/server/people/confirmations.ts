/** For so many milliseconds after a password was typed, what matters is done without asking for it again. */
const GOOD_FOR = 10 * 60_000;

/**
 * In which sessions the person has shown lately that it is them: what decides who may do what, or where money goes, is done in those
 * alone. Kept in memory: after a start everybody is asked again.
 */
export class Confirmations {
	readonly #until = new Map<string, number>();

	/** @param now milliseconds */
	keep(sessionId: string, now: number): void {
		for (const [id, until] of this.#until) if (until <= now) this.#until.delete(id);
		this.#until.set(sessionId, now + GOOD_FOR);
	}

	has(sessionId: string, now: number): boolean {
		return (this.#until.get(sessionId) ?? 0) > now;
	}
}

/** A session that nobody used for so many milliseconds ends (ASVS 4.0.3, 3.3.2). */
const IDLE = 60 * 60_000;

/** When each session was last used. Kept in memory: after a start they count from their next use. */
export class IdleSessions {
	readonly #seen = new Map<string, number>();

	/** Notes that a session is used; false where it lay idle too long. @param now milliseconds */
	use(sessionId: string, now: number): boolean {
		const last = this.#seen.get(sessionId);
		if (last !== undefined && now - last > IDLE) {
			this.#seen.delete(sessionId);
			return false;
		}
		this.#seen.set(sessionId, now);
		if (this.#seen.size > 10_000)
			for (const [id, at] of this.#seen) if (now - at > 24 * IDLE) this.#seen.delete(id);
		return true;
	}
}

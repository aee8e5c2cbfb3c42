/** A challenge is answered within so many milliseconds. */
const WITHIN = 5 * 60_000;

/** What passkeys have to sign, by session: random, made by the server, good once (WebAuthn, 13.4.3). Kept in memory. */
export class Challenges {
	readonly #given = new Map<string, { readonly challenge: string; readonly until: number }>();

	/** @param now milliseconds */
	give(sessionId: string, challenge: string, now: number): void {
		for (const [id, { until }] of this.#given) if (until <= now) this.#given.delete(id);
		this.#given.set(sessionId, { challenge, until: now + WITHIN });
	}

	/** The challenge of a session, which it has no more after; null where there is none, or it was too long ago. */
	take(sessionId: string, now: number): string | null {
		const found = this.#given.get(sessionId);
		this.#given.delete(sessionId);
		return found && found.until > now ? found.challenge : null;
	}
}

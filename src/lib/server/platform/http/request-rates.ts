const MINUTE = 60_000;

/**
 * How often somebody may ask. Each has a bucket that holds as many requests as fit into half a minute, and fills by itself: short bursts pass, going on
 * like that does not. Kept in memory; who did not ask for a minute is forgotten.
 */
export class RequestRates {
	readonly #buckets = new Map<string, { readonly left: number; readonly at: number }>();

	/** @param perMinute how many are let through in the long run; 0 for as many as somebody likes */
	constructor(readonly perMinute: number) {}

	/**
	 * Takes one request.
	 * @param who a person, or an address
	 * @param now milliseconds
	 * @returns 0 where it is let through, else in how many milliseconds the next one would be
	 */
	take(who: string, now: number): number {
		if (this.perMinute === 0) return 0;
		const most = this.perMinute / 2;
		const before = this.#buckets.get(who) ?? { left: most, at: now };
		const left = Math.min(most, before.left + ((now - before.at) / MINUTE) * this.perMinute);
		if (left < 1) return Math.ceil(((1 - left) / this.perMinute) * MINUTE);
		this.#buckets.set(who, { left: left - 1, at: now });
		if (this.#buckets.size > 10_000)
			for (const [one, { at }] of this.#buckets) if (now - at > MINUTE) this.#buckets.delete(one);
		return 0;
	}
}

/** So many wrong attempts within so many milliseconds, and no more are looked at. */
const MOST = 10;
const WITHIN = 15 * 60_000;

/**
 * Counts wrong passwords and codes for each account, wherever they come from: who tries from many addresses is stopped, too. Kept
 * in memory; what nobody tried lately is forgotten.
 */
export class Attempts {
	readonly #wrong = new Map<string, readonly number[]>();

	/** Whether another attempt may be made. */
	mayTry(account: string, now: number): boolean {
		return this.#of(account, now).length < MOST;
	}

	failed(account: string, now: number): void {
		if (this.#wrong.size > 10_000)
			for (const key of this.#wrong.keys()) if (this.#of(key, now).length === 0) this.#wrong.delete(key);
		this.#wrong.set(account, [...this.#of(account, now), now]);
	}

	succeeded(account: string): void {
		this.#wrong.delete(account);
	}

	#of(account: string, now: number): readonly number[] {
		return (this.#wrong.get(account) ?? []).filter((at) => at > now - WITHIN);
	}
}

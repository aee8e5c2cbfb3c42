const MINUTE_MS = 60_000;

/** How many letters may go in a minute: mail servers turn away who sends more. */
export class SendRate {
	#went: number[] = [];

	/** @param perMinute null for as many as go */
	constructor(public perMinute: number | null) {}

	/** Whether one more may go now. @param at ISO 8601 */
	mayGo(at: string): boolean {
		if (this.perMinute === null) return true;
		const now = Date.parse(at);
		this.#went = this.#went.filter((one) => one > now - MINUTE_MS);
		return this.#went.length < this.perMinute;
	}

	/** One was tried. */
	went(at: string): void {
		if (this.perMinute !== null) this.#went.push(Date.parse(at));
	}
}

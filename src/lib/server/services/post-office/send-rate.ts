const MINUTE_MS = 60_000;

/** How many letters may go in a minute: mail servers turn away who sends more. */
export class SendRate {
	#went: number[] = [];

	/** @param perMinute null for as many as go */
	constructor(public perMinute: number | null) {}

	/** Whether one more may go now. @param at ISO 8601 */
	mayGo(at: string): boolean {
		return this.waits(at) === 0;
	}

	/** Milliseconds until one more may go; nought for now. @param at ISO 8601 */
	waits(at: string): number {
		if (this.perMinute === null) return 0;
		const now = Date.parse(at);
		this.#went = this.#went.filter((one) => one > now - MINUTE_MS);
		const over = this.#went.length - this.perMinute;
		return over < 0 ? 0 : this.#went[over]! + MINUTE_MS - now;
	}

	/** One was tried. */
	went(at: string): void {
		if (this.perMinute !== null) this.#went.push(Date.parse(at));
	}
}

/** What a part of the attack came to. */
export interface PartReport {
	readonly said: string;
	/** What should not have been, each in a line. */
	readonly wrong: readonly string[];
}

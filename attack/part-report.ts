/** What a part of the attack came to. */
export interface PartReport {
	readonly said: string;
	/** How much of it was answered or done, for an attack that touched nothing shows nothing. */
	readonly reached: number;
	/** What should not have been, each in a line. */
	readonly wrong: readonly string[];
}

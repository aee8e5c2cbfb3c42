/** How many letters of a run stand where. */
export interface RunCounts {
	readonly all: number;
	readonly toWrite: number;
	readonly held: number;
	readonly withdrawn: number;
	/** Written, and wait for the mail server or rest. */
	readonly waiting: number;
	/** Of those: not taken for now, and tried again later. */
	readonly later: number;
	readonly sent: number;
	/** Not taken by the mail server. */
	readonly refused: number;
	readonly toPrint: number;
	readonly printed: number;
}

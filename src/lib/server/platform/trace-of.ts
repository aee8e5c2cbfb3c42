/** Where an error comes from, without a word of what was worked on. */
export interface Trace {
	readonly error: string;
	readonly code?: string;
	/** What the database said; it names tables and rules, never values. */
	readonly database?: string;
	readonly at: readonly string[];
	readonly cause?: Trace;
}

/**
 * An error for the log. Its message is left out: messages quote statements with their values, names and amounts among them; the
 * class, the code and the places in the code are enough to find it. The database's own words stay, they are of tables and rules.
 */
export function traceOf(error: unknown): Trace {
	if (!(error instanceof Error)) return { error: typeof error, at: [] };
	const code = 'code' in error && typeof error.code === 'string' ? error.code : undefined;
	return {
		error: error.name,
		...(code !== undefined && { code }),
		...(code?.startsWith('SQLITE_') && { database: error.message.slice(0, 300) }),
		at: withoutMessage(error)
			.split('\n')
			.filter((line) => /^\s+at /.test(line))
			.slice(0, 12)
			.map((line) => line.trim().slice(3)),
		...(error.cause instanceof Error && { cause: traceOf(error.cause) })
	};
}

/** A message may have lines that look like places. */
function withoutMessage({ stack = '', message }: Error): string {
	const begins = stack.indexOf(message);
	return begins < 0 ? stack : stack.slice(begins + message.length);
}

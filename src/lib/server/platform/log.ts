import pino from 'pino';
import { config } from './config';
import { traceOf, type Trace } from './trace-of';

/**
 * What is logged, as lines of JSON on standard output: who did what kind of thing, when, how long it took and how it ended. Never
 * names, amounts, texts, addresses of pages with what was looked for, or secrets: the shapes below have no place for them.
 */
let made: pino.Logger | null = null;
/** Made when it is first written to: by then the settings have been checked, with a sentence for each that is wrong. */
function out(): pino.Logger {
	return (made ??= pino({
		level: config().logLevel,
		base: null,
		timestamp: pino.stdTimeFunctions.isoTime,
		formatters: { level: (level) => ({ level }) }
	}));
}

/** A request that was answered; `route` is the pattern of the page, not what was typed in its place. */
export function logRequest(request: {
	readonly method: string;
	readonly route: string | null;
	readonly status: number;
	/** Milliseconds. */
	readonly took: number;
	readonly person: string | null;
}): void {
	out().info({ what: 'request', ...request });
}

/** An act that was done, or refused with these codes. */
export function logAct(act: {
	readonly kind: string;
	readonly person: string;
	/** Milliseconds. */
	readonly took: number;
	readonly refused?: readonly string[];
}): void {
	out().info({ what: 'act', ...act });
}

/** Something at the door: who came in, was refused, or took something out. `about` is the name of a table, file or act. */
export function logSecurity(event: {
	readonly kind: string;
	readonly person: string | null;
	readonly from: string;
	readonly about: string;
}): void {
	const refused = /refused|too-many/.test(event.kind);
	out()[refused ? 'warn' : 'info']({ what: 'security', ...event });
}

interface Failed {
	/** The number that the person was told. */
	readonly failure?: string;
	/** Which record it was about. */
	readonly id?: number;
}

/** Something that must not happen happened; `doing` says at what. */
export function logFailure(doing: string, error: unknown, about: Failed = {}): void {
	logTrace(doing, traceOf(error), about);
}

/** The same for a failure in another thread, of which only the trace came over. */
export function logTrace(doing: string, trace: Trace, about: Failed = {}): void {
	out().error({ what: 'failure', doing, ...about, ...trace });
}

import { readlinkSync } from 'node:fs';
import { setPriority } from 'node:os';

/** By how much a thread stands back (the `nice` of POSIX): enough that it gets a core only while nobody else wants it. */
const NICE = 15;

let given = false;

/**
 * Lets others go first: the thread that calls it gets processor time once those that serve pages have had theirs. Linux counts priorities
 * by thread; elsewhere nothing changes.
 */
export function giveWay(): void {
	if (given) return;
	given = true;
	try {
		// As in 4711/task/4713.
		const thread = Number(readlinkSync('/proc/thread-self').split('/').at(-1));
		if (thread > 0 && thread !== process.pid) setPriority(thread, NICE);
	} catch {
		// No such system, or not allowed: it works all the same.
	}
}

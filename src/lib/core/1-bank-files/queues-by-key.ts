/**
 * Things that wait under keys, each under several, to be taken once: the first that waits under a key is found in a step, however many were
 * taken before it.
 */
export class QueuesByKey<T> {
	readonly #queues = new Map<string, { readonly waiting: T[]; at: number }>();

	/** Puts one behind those that wait under a key. */
	add(key: string, one: T): void {
		const queue = this.#queues.get(key);
		if (queue) queue.waiting.push(one);
		else this.#queues.set(key, { waiting: [one], at: 0 });
	}

	/** The first under a key that is not taken; nothing where none is left. @param isTaken stays true for one once it is */
	first(key: string, isTaken: (one: T) => boolean): T | undefined {
		const queue = this.#queues.get(key);
		if (!queue) return undefined;
		while (queue.at < queue.waiting.length && isTaken(queue.waiting[queue.at]!)) queue.at++;
		return queue.waiting[queue.at];
	}
}

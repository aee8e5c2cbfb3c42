/**
 * Sums of pairs, for looking up which pairs come to a sum. Open addressing over typed arrays with a bit filter before
 * it: most look-ups find nothing and end at the filter.
 */
export class PairTable {
	readonly #mask: number;
	readonly #sums: Float64Array;
	/** One more than the newest pair of the sum; nought where the slot is free. */
	readonly #heads: Int32Array;
	readonly #counts: Int32Array;
	/** Which lowest bits of sums there are: most look-ups end here, before anything is hashed. */
	readonly #low: Uint32Array;
	readonly #lowMask: number;
	readonly #next: Int32Array;
	readonly #a: Uint16Array;
	readonly #b: Uint16Array;
	#size = 0;

	/** A table with room for so many pairs of places below 65,536. */
	constructor(room: number) {
		let slots = 16;
		while (slots < room * 2) slots *= 2;
		this.#mask = slots - 1;
		this.#sums = new Float64Array(slots);
		this.#heads = new Int32Array(slots);
		this.#counts = new Int32Array(slots);
		this.#lowMask = slots * 8 - 1;
		this.#low = new Uint32Array((slots * 8) >>> 5);
		this.#next = new Int32Array(room + 1);
		this.#a = new Uint16Array(room + 1);
		this.#b = new Uint16Array(room + 1);
	}

	add(sum: number, a: number, b: number): void {
		const hash = hashOf(sum);
		const bit = sum & this.#lowMask;
		this.#low[bit >>> 5]! |= 1 << (bit & 31);
		const slot = this.#slotOf(sum, hash);
		const pair = ++this.#size;
		this.#a[pair] = a;
		this.#b[pair] = b;
		this.#next[pair] = this.#heads[slot]!;
		this.#heads[slot] = pair;
		this.#sums[slot] = sum;
		this.#counts[slot]!++;
	}

	/** How many pairs come to the sum. */
	count(sum: number): number {
		const bit = sum & this.#lowMask;
		if ((this.#low[bit >>> 5]! & (1 << (bit & 31))) === 0) return 0;
		return this.#counts[this.#slotOf(sum, hashOf(sum))]!;
	}

	/** The pairs that come to the sum, newest first, until one is answered with false. */
	each(sum: number, take: (a: number, b: number) => boolean): void {
		let pair = this.#heads[this.#slotOf(sum, hashOf(sum))]!;
		while (pair !== 0 && take(this.#a[pair]!, this.#b[pair]!)) pair = this.#next[pair]!;
	}

	#slotOf(sum: number, hash: number): number {
		let slot = hash & this.#mask;
		while (this.#heads[slot] !== 0 && this.#sums[slot] !== sum) slot = (slot + 1) & this.#mask;
		return slot;
	}
}

function hashOf(sum: number): number {
	const high = Math.floor(sum / 4_294_967_296) | 0;
	let hash = Math.imul((sum | 0) ^ Math.imul(high, 0x9e3779b1), 0x85ebca6b);
	hash ^= hash >>> 15;
	hash = Math.imul(hash, 0xc2b2ae35);
	return (hash ^ (hash >>> 13)) >>> 0;
}

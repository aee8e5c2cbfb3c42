import { readBankText } from '../src/lib/core/1-bank-files/read-bank-text';
import { MOST_AMOUNT } from '../src/lib/core/money/minor';
import { parseDay } from '../src/lib/core/day/day';
import { chanceOf, mutate } from './mutate';

export interface Fuzzed {
	readonly inputs: number;
	readonly read: number;
	readonly refused: number;
	/** The input that took longest, in milliseconds. */
	readonly slowest: number;
}

/**
 * Reads damaged bank files, cut into chunks by chance. Whatever they are, they are read or refused: an exception, a refusal without a reason,
 * or an entry that no book could hold is a fault.
 * @param samples sound files to damage
 * @param inputs how many to make
 * @throws Error with the seed and the number of the input that shows the fault
 */
export function fuzzBankFiles(samples: readonly string[], inputs: number, seed: number): Fuzzed {
	let read = 0;
	let slowest = 0;
	for (let n = 0; n < inputs; n++) {
		const chance = chanceOf(seed * 1_000_003 + n);
		const text = mutate(samples[chance(samples.length)]!, chance);
		const before = performance.now();
		try {
			if (check(text, chance)) read++;
		} catch (fault) {
			throw new Error(`seed ${seed}, input ${n}: ${String(fault)}\n${JSON.stringify(text.slice(0, 2_000))}`, {
				cause: fault
			});
		}
		slowest = Math.max(slowest, timeOf(text, chance, performance.now() - before));
	}
	return { inputs, read, refused: inputs - read, slowest };
}

/** A time that looks long is taken again: the machine may have been busy with something else. */
const LOOKS_LONG = 300;

function timeOf(text: string, chance: (below: number) => number, first: number): number {
	let least = first;
	for (let n = 0; n < 3 && least > LOOKS_LONG; n++) {
		const before = performance.now();
		check(text, chance);
		least = Math.min(least, performance.now() - before);
	}
	return least;
}

function check(text: string, chance: (below: number) => number): boolean {
	const cut = chance(text.length + 1);
	const result = readBankText(text.slice(0, cut), text.slice(cut));
	if (!result.ok) {
		if (result.problems.length === 0) throw new Error('refused without a reason');
		return false;
	}
	for (const { header, balances, entries, balanceChecked } of result.value) {
		if (!header.account) throw new Error('a statement of no account');
		let sum = 0n;
		for (const entry of entries) {
			if (!parseDay(entry.booked)) throw new Error(`booked on ${entry.booked}`);
			if (!Number.isSafeInteger(entry.amount) || Math.abs(entry.amount) > MOST_AMOUNT)
				throw new Error(`an amount of ${entry.amount}`);
			sum += BigInt(entry.amount);
		}
		if (balanceChecked && BigInt(balances.opening!) + sum !== BigInt(balances.closing!))
			throw new Error('balances that do not agree were taken');
	}
	return true;
}

import { SvelteMap } from 'svelte/reactivity';
import type { HeldReason } from '$lib/core/7-letters/why-held';
import type { RunRow } from '$lib/server/letters/queries/run-rows';

/** An account that was chosen, as it was seen. */
export interface Chosen {
	readonly customerId: number;
	readonly currency: string;
	readonly amount: number;
	readonly overruled?: HeldReason;
	readonly note?: string;
}

type Account = Pick<RunRow, 'customerId' | 'currency'>;
export const keyOf = (one: Account): string => `${one.customerId} ${one.currency}`;

/** Who gets a letter: those that were ticked, on any page, with what was added to each. */
export class ChosenLetters {
	readonly #chosen = new SvelteMap<string, Chosen>();
	readonly #notes = new SvelteMap<string, string>();

	get count(): number {
		return this.#chosen.size;
	}

	/** All of them, with their notes. */
	get all(): readonly Chosen[] {
		return [...this.#chosen].map(([key, one]) => {
			const note = this.noteOf(key);
			return note ? { ...one, note } : one;
		});
	}

	has(one: Account): boolean {
		return this.#chosen.has(keyOf(one));
	}

	/** @param overruled the reason against it that the person was told, where there is one */
	choose(
		{ customerId, currency, amount }: Account & { readonly amount: number },
		overruled?: HeldReason
	): void {
		this.#chosen.set(keyOf({ customerId, currency }), {
			...{ customerId, currency, amount },
			...(overruled ? { overruled } : {})
		});
	}

	leaveOut(one: Account): void {
		this.#chosen.delete(keyOf(one));
	}

	clear(): void {
		this.#chosen.clear();
		this.#notes.clear();
	}

	noteOf(key: string): string {
		return this.#notes.get(key) ?? '';
	}

	setNote(key: string, note: string): void {
		this.#notes.set(key, note);
	}
}

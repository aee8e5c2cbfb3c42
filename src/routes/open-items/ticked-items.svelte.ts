import { SvelteMap } from 'svelte/reactivity';
import type { OpenItemRow } from '$lib/server/documents/queries/open-items';
import { typedAmount } from '$lib/words/typed-amount';
import { amount } from '$lib/words';

/** An item that is ticked, and how much of it was paid, as it is typed. */
interface Ticked {
	readonly row: OpenItemRow;
	readonly text: string;
}

/** Open items that somebody ticks, over pages, filters and accounts, and what of a sum is still to be found. */
export class TickedItems {
	/** @param base the currency of the books, in which a sum is meant while nothing is ticked */
	constructor(readonly base: string) {}
	readonly #rows = new SvelteMap<number, Ticked>();
	/** The sum that is looked for, as it is typed; empty for none. */
	wanted = $state('');

	readonly all = $derived([...this.#rows.values()]);
	readonly currencies = $derived([...new Set(this.all.map(({ row }) => row.currency))]);
	/** The one currency of all that is ticked, or null. */
	readonly currency = $derived(this.currencies.length === 1 ? this.currencies[0]! : null);
	readonly accounts = $derived(new Set(this.all.map(({ row }) => row.code)).size);
	/** What was paid of each, minor units; null where it cannot be read. */
	readonly amounts = $derived(
		new Map(
			this.all.map(({ row, text }) => {
				const sum = typedAmount(text, row.currency);
				return [row.id, typeof sum === 'number' && sum > 0 && sum <= row.open ? sum : null];
			})
		)
	);
	readonly sums = $derived(
		this.currencies.map((currency) => ({
			currency,
			amount: this.all
				.filter(({ row }) => row.currency === currency)
				.reduce(
					(sum, { row }) => sum + (row.kind === 'credit_note' ? -1 : 1) * (this.amounts.get(row.id) ?? 0),
					0
				)
		}))
	);
	/** What is still to be found of the wanted sum, minor units, below zero where it is too much; null where none is wanted. */
	readonly left = $derived.by(() => {
		if (!this.wanted.trim() || this.currencies.length > 1) return null;
		const sum = typedAmount(this.wanted, this.currency ?? this.base);
		return typeof sum === 'number' ? sum - (this.sums[0]?.amount ?? 0) : null;
	});
	/** The page where a letter about what is ticked is written; null where it is of several accounts or currencies, or of credit notes. */
	readonly letterHref = $derived.by(() => {
		const { row } = this.all[0] ?? {};
		const isOne = this.currency !== null && new Set(this.all.map((one) => one.row.customerId)).size === 1;
		if (!row || !isOne || this.all.some((one) => one.row.kind === 'claim')) return null;
		const isDue = this.all.every((one) => one.row.kind !== 'credit_note');
		return `/letters/write?${new URLSearchParams({
			...{ kind: isDue ? 'reminder' : 'copies', customer: String(row.customerId), currency: row.currency },
			items: this.all.map((one) => one.row.id).join(',')
		})}`;
	});
	/** Whether all that is typed can be read. */
	readonly ready = $derived(this.all.length > 0 && [...this.amounts.values()].every((sum) => sum !== null));

	has(id: number): boolean {
		return this.#rows.has(id);
	}
	toggle(row: OpenItemRow): void {
		if (this.#rows.delete(row.id)) return;
		this.#rows.set(row.id, { row, text: amount(row.open, row.currency) });
	}
	type(id: number, text: string): void {
		const before = this.#rows.get(id);
		if (before) this.#rows.set(id, { ...before, text });
	}
	clear(): void {
		this.#rows.clear();
		this.wanted = '';
	}
	/** As the act is given them. */
	get given(): { itemId: number; version: number; amount: number }[] {
		return this.all.map(({ row }) => ({
			...{ itemId: row.id, version: row.version, amount: this.amounts.get(row.id) ?? 0 }
		}));
	}
}

import type { FoundCustomer } from '../server/customers/queries/find-customers';

/** Looks customers up while one types; an answer that comes after a newer question is dropped. */
export class CustomerSearch {
	found = $state.raw<readonly FoundCustomer[]>([]);
	/** Counts the answers. */
	answers = $state(0);
	#asked = 0;

	async ask(text: string): Promise<void> {
		const mine = ++this.#asked;
		if (text.trim().length < 2) {
			this.found = [];
			return;
		}
		const response = await fetch(`/api/customers?q=${encodeURIComponent(text)}`);
		if (mine !== this.#asked || !response.ok) return;
		this.found = (await response.json()) as FoundCustomer[];
		this.answers++;
	}

	/** Leaves what was found, and every answer that is still on its way. */
	clear(): void {
		this.#asked++;
		this.found = [];
	}
}

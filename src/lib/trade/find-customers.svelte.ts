import type { FoundCustomer } from '../server/customers/queries/find-customers';

/** Looks customers up while one types; an answer that comes after a newer question is dropped. */
export class CustomerSearch {
	found = $state.raw<readonly FoundCustomer[]>([]);
	#asked = 0;

	async ask(text: string): Promise<void> {
		const mine = ++this.#asked;
		if (text.trim().length < 2) {
			this.found = [];
			return;
		}
		const response = await fetch(`/api/customers?q=${encodeURIComponent(text)}`);
		if (mine === this.#asked && response.ok) this.found = (await response.json()) as FoundCustomer[];
	}
}

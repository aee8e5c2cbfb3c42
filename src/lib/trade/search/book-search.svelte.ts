import type { Finding } from '../../server/reports/queries/search';
import { findStations, type Station } from './find-stations';

/** Looks everything up while one types; an answer that comes after a newer question is dropped. */
export class BookSearch {
	#supervises = false;
	text = $state('');
	found = $state.raw<readonly Finding[]>([]);
	/** True from a question until its answer. */
	asking = $state(false);
	/** Counts the answers. */
	answers = $state(0);
	readonly stations: readonly Station[] = $derived(findStations(this.text, this.#supervises));
	#asked = 0;

	/** @param supervises whether it is a supervisor who looks */
	constructor(supervises: boolean) {
		this.#supervises = supervises;
	}

	async ask(text: string): Promise<void> {
		const mine = ++this.#asked;
		this.text = text;
		if (this.text.trim().length < 2) {
			this.found = [];
			this.asking = false;
			return;
		}
		this.asking = true;
		const response = await fetch(`/api/search?q=${encodeURIComponent(this.text)}`);
		if (mine !== this.#asked) return;
		this.found = response.ok ? ((await response.json()) as Finding[]) : [];
		this.answers++;
		this.asking = false;
	}
}

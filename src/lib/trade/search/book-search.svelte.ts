import type { Finding } from '../../server/reports/queries/search';
import { findStations, type Station } from './find-stations';

/** Looks everything up while one types; an answer that comes after a newer question is dropped. */
export class BookSearch {
	text = $state('');
	found = $state.raw<readonly Finding[]>([]);
	/** True from a question until its answer. */
	asking = $state(false);
	chosen = $state(0);
	readonly stations: readonly Station[] = $derived(findStations(this.text));
	/** All that can be gone to, in the order in which it is listed. */
	readonly targets: readonly string[] = $derived([
		...this.found.map((one) => one.href),
		...this.stations.map((one) => one.href)
	]);
	#asked = 0;

	async ask(): Promise<void> {
		const mine = ++this.#asked;
		this.chosen = 0;
		if (this.text.trim().length < 2) {
			this.found = [];
			this.asking = false;
			return;
		}
		this.asking = true;
		const response = await fetch(`/api/search?q=${encodeURIComponent(this.text)}`);
		if (mine !== this.#asked) return;
		this.found = response.ok ? ((await response.json()) as Finding[]) : [];
		this.asking = false;
	}

	/** Moves the choice by one or minus one, round the end. */
	step(by: 1 | -1): void {
		const n = this.targets.length;
		if (n > 0) this.chosen = (this.chosen + by + n) % n;
	}
}

import type { Day } from '$lib/core/day/day';
import { parseTypedDay } from '$lib/core/day/parse-typed-day';
import type { OpeningSums } from '$lib/server/documents/queries/opening-balances';
import { typedAmount } from '$lib/words/typed-amount';

/** What is said of documents that were open when the books were begun: of what day, their tax, and what they have to come to. */
export class OpeningItems {
	is = $state(false);
	/** The day, as it was typed. */
	onText = $state('');
	taxHere = $state(false);
	/** What the control account shows, as it was typed. */
	controlText = $state('');
	/** The difference that somebody agreed to, and to which sums they did. */
	#agreed = $state<{ readonly to: string; readonly apart: number } | null>(null);
	readonly #currency: () => string;
	readonly #today: () => Day;

	constructor(currency: () => string, today: () => Day) {
		this.#currency = currency;
		this.#today = today;
	}

	/** The day that the items are of; null where none was typed. */
	get on(): Day | null {
		return this.onText.trim() ? parseTypedDay(this.onText, this.#today()) : null;
	}

	/** What the control account shows, in minor units; null where nothing was typed, or nothing that is an amount. */
	get control(): number | null {
		const read = this.controlText.trim() ? typedAmount(this.controlText, this.#currency(), true) : null;
		return typeof read === 'number' ? read : null;
	}

	/** What is wrong with what was typed, or nothing. */
	get fault(): string {
		if (!this.is) return '';
		if (!this.on) return 'Say of which day the items are, such as 30 Sep 2026.';
		return this.controlText.trim() && this.control === null
			? 'The total of the control account is not an amount.'
			: '';
	}

	/** Whether all is there that a look at the rows needs to be brought in: no difference, or one that was agreed to. */
	settles(sums: OpeningSums | undefined): boolean {
		return !sums || sums.apart === 0 || this.isAgreed(sums);
	}

	isAgreed(sums: OpeningSums): boolean {
		return this.#agreed?.to === named(sums) && this.#agreed.apart === sums.apart;
	}

	/** Somebody takes the difference as it is, or no longer does. */
	agree(sums: OpeningSums, agrees: boolean): void {
		this.#agreed = agrees ? { to: named(sums), apart: sums.apart } : null;
	}

	/** What the form sends; empty where they are documents of these books. */
	get field(): string {
		if (!this.is) return '';
		const { on, taxHere, control } = this;
		return JSON.stringify({ on, taxHere, control, apart: this.#agreed?.apart ?? 0 });
	}
}

/** A difference is agreed to between just these sums. */
const named = ({ on, before, added, control }: OpeningSums) => [on, before, added, control].join(' ');

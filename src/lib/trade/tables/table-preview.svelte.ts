import type { ActionResult } from '@sveltejs/kit';
import type { TableAnswer } from '$lib/tables/table-seen';

/** What a table would bring, before it is brought in: shown when it is read, with what somebody said of how to read it. */
export class TablePreview<Preview> {
	shown = $state.raw<Preview | null>(null);
	reading = $state(false);
	/** Why it could not be read. */
	refused = $state.raw<readonly string[]>([]);
	/** What somebody said of tables, by their headings, the latest first. */
	answers = $state.raw<readonly TableAnswer[]>([]);
	readonly #otherwise: string;
	readonly #began: () => void;

	/**
	 * @param otherwise what is said where the server could not be reached or failed
	 * @param began takes away what was said of another table, or before it was read again
	 */
	constructor(otherwise: string, began: () => void) {
		this.#otherwise = otherwise;
		this.#began = began;
	}

	/** Another table: what was said of the one before is not of it. */
	start(): void {
		this.answers = [];
		this.shown = null;
		this.refused = [];
		this.#began();
	}

	/** Keeps what somebody says of a table. */
	say(answer: TableAnswer): void {
		this.answers = [answer, ...this.answers.filter((one) => one.headings !== answer.headings)];
	}

	/** What a form that is sent to be looked at waits for. */
	showing() {
		this.reading = true;
		this.refused = [];
		this.#began();
		return ({ result }: { result: ActionResult }): void => {
			this.reading = false;
			this.shown = result.type === 'success' ? (result.data as Preview) : null;
			if (result.type === 'success') return;
			const problems =
				result.type === 'failure' ? (result.data?.problems as string[] | undefined) : undefined;
			this.refused = problems ?? [this.#otherwise];
		};
	}
}

/** The question for the password that stands in front of what matters; the layout shows it. */
class ConfirmYourself {
	/** What waits for an answer. */
	#waiting = $state.raw<((confirmed: boolean) => void) | null>(null);

	get open(): boolean {
		return this.#waiting !== null;
	}

	/** Asks for the password; true once it was the right one, false where the question was left. */
	ask(): Promise<boolean> {
		this.#waiting?.(false);
		return new Promise((resolve) => (this.#waiting = resolve));
	}

	/** Gives the password to the server; what is wrong, as a sentence, or null once it was the right one. */
	async give(password: string): Promise<string | null> {
		const answer = await fetch('/api/confirm', {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify({ password })
		}).catch(() => null);
		if (answer?.ok) {
			this.answer(true);
			return null;
		}
		const told = (await answer?.json().catch(() => null)) as { readonly message?: string } | null;
		return told?.message ?? 'That could not be asked. Try again.';
	}

	answer(confirmed: boolean): void {
		const waiting = this.#waiting;
		this.#waiting = null;
		waiting?.(confirmed);
	}
}

export const confirmYourself = new ConfirmYourself();

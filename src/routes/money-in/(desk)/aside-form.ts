import type { setAside } from '$lib/server/receipts/commands/set-aside';
import { ActForm } from '$lib/trade/act-form.svelte';
import { money } from '$lib/words';
import type { Done } from './done';

/**
 * A form that posts an entry to a ledger account, and says so by the account's name.
 * @param nameOf what the account is called that it was posted to
 */
export function asideForm(
	entry: { readonly amount: number; readonly currency: string },
	nameOf: () => string,
	done: Done
): ActForm<typeof setAside> {
	const sum = money(Math.abs(entry.amount), entry.currency);
	return new ActForm<typeof setAside>('?/aside', {
		refresh: false,
		done: (answer) => {
			const waits = answer.output.waits.length > 0;
			return done(
				waits ? `A supervisor is asked about ${sum}.` : `Posted ${sum} to ${nameOf()}.`,
				answer,
				true
			);
		}
	});
}

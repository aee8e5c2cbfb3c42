import { goto } from '$app/navigation';
import { toast } from 'svelte-sonner';
import type { joinParts } from '$lib/server/receipts/commands/split-receipt';
import { ActForm } from '$lib/trade/act-form.svelte';

/** A form that joins the parts of a split entry again. */
export function joinForm(): ActForm<typeof joinParts> {
	return new ActForm<typeof joinParts>('?/join', {
		otherwise: 'That did not work; try again.',
		refresh: false,
		done: async () => {
			await goto('/money-in', { invalidateAll: true });
			// Said when it is shown: what somebody picks after reading it is not overtaken.
			toast('The parts are one entry again.');
		}
	});
}

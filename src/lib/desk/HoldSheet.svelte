<script lang="ts">
	import { enhance } from '$app/forms';
	import Problems from '$lib/ui/Problems.svelte';
	import Sheet from '$lib/ui/Sheet.svelte';
	import type { PlaceInput } from '$lib/server/place-input';
	import type { After } from './after';

	/** Puts a receipt by, with what is laid on it. */
	let {
		open = $bindable(),
		receipt,
		order,
		problems,
		busy,
		after
	}: {
		open: boolean;
		receipt: { id: number; version: number };
		order: PlaceInput | null;
		problems: readonly string[];
		busy: boolean;
		after: After;
	} = $props();
	let because = $state('');
</script>

<Sheet title="Hold this receipt" bind:open>
	<form
		method="POST"
		action="?/hold"
		use:enhance={({ formData }) => {
			formData.set(
				'json',
				JSON.stringify({ receiptId: receipt.id, receiptVersion: receipt.version, because, order })
			);
			return after(because ? 'Held, with what is laid on it.' : 'Off hold.', Boolean(because));
		}}
	>
		<label class="grid gap-1"
			>What are you waiting for?<input
				type="text"
				bind:value={because}
				placeholder="asked them for the invoice numbers"
			/></label
		>
		<p class="mt-1 says">
			Nothing is posted, and what is laid is kept. Leave it empty to take a receipt off hold.
		</p>
		<div class="mt-3"><Problems {problems} /></div>
		<button class="btn btn-main mt-3" disabled={busy}>{because ? 'Hold it' : 'Take off hold'}</button>
	</form>
</Sheet>

<script lang="ts">
	import { enhance } from '$app/forms';
	import type { holdReceipt } from '$lib/server/receipts/commands/hold-receipt';
	import FieldError from '$lib/ui/FieldError.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import type { AllocationInput } from '$lib/server/allocation/allocation-input';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import type { Done } from './done';

	/** Puts a receipt by, with what is laid on it. */
	let {
		open = $bindable(),
		receipt,
		order,
		done
	}: {
		open: boolean;
		receipt: { id: number; version: number };
		order: AllocationInput | null;
		done: Done;
	} = $props();
	let because = $state('');
	const form = new ActForm<typeof holdReceipt>('?/hold', {
		refresh: false,
		done: (answer) =>
			done(because ? 'Held, with what is allocated on it.' : 'Off hold.', answer, Boolean(because))
	});
</script>

<Dialog title="Hold this receipt" bind:open>
	<form
		method="POST"
		action="?/hold"
		use:enhance={form.submit(() => ({
			...{ receiptId: receipt.id, receiptVersion: receipt.version, because, order }
		}))}
	>
		<label class="grid gap-1"
			>What are you waiting for?<input
				type="text"
				bind:value={because}
				{...form.at('because')}
				placeholder="asked them for the invoice numbers"
			/></label
		>
		<FieldError {form} name="because" />
		<p class="mt-1 says">
			Nothing is posted, and what is allocated is kept. Leave it empty to take a receipt off hold.
		</p>
		<div class="mt-3"><Problems problems={form.problems} /></div>
		<button class="btn btn-main mt-3" disabled={form.busy}>{because ? 'Hold it' : 'Take off hold'}</button>
	</form>
</Dialog>

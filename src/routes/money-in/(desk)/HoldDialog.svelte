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
		people,
		done
	}: {
		open: boolean;
		receipt: { id: number; version: number; heldBecause: string | null; heldFor: string | null };
		order: AllocationInput | null;
		/** Who could look into it. */
		people: readonly string[];
		done: Done;
	} = $props();
	let heldFor = $derived(open ? (receipt.heldFor ?? '') : '');
	/** Opens with what it is held for already. */
	let because = $derived(open ? (receipt.heldBecause ?? '') : '');
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
			...{ receiptId: receipt.id, receiptVersion: receipt.version, because, heldFor, order }
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
		<label class="mt-2 grid gap-1"
			>Who looks into it?<select bind:value={heldFor} {...form.at('heldFor')}
				><option value="">nobody in particular</option>{#each people as name (name)}<option value={name}
						>{name}</option
					>{/each}</select
			></label
		>
		<FieldError {form} name="heldFor" />
		<p class="mt-1 says">Nothing is posted, and what is allocated is kept.</p>
		<div class="mt-3"><Problems problems={form.problems} /></div>
		<div class="mt-3 flex gap-3">
			<button class="btn btn-main" disabled={form.busy || !because.trim()}
				>{receipt.heldBecause ? 'Keep it on hold' : 'Hold it'}</button
			>
			{#if receipt.heldBecause}<button class="btn" disabled={form.busy} onclick={() => (because = '')}
					>Take it off hold</button
				>{/if}
		</div>
	</form>
</Dialog>

<script lang="ts">
	import { page } from '$app/state';
	import type { OpeningItems } from './opening-items.svelte';

	/** Asks whether documents were open before these books began, and what they should come to. */
	let { opening, changed }: { opening: OpeningItems; changed: () => void } = $props();
</script>

<fieldset class="grid gap-2">
	<legend class="mb-1 text-soft">Where do they come from?</legend>
	<label class="flex items-center gap-1"
		><input
			type="radio"
			name="from"
			checked={opening.is}
			onchange={() => {
				opening.is = true;
				changed();
			}}
		/> from the books before: opening items, with what is still open of them</label
	>
	<label class="flex items-center gap-1"
		><input
			type="radio"
			name="from"
			checked={!opening.is}
			onchange={() => {
				opening.is = false;
				changed();
			}}
		/> new since: sales, on the day of each</label
	>
</fieldset>
{#if opening.is}
	<div class="grid grid-cols-2 items-start gap-3">
		<label class="grid gap-1"
			>Open at the end of
			<input type="text" autocomplete="off" bind:value={opening.onText} onchange={changed} />
		</label>
		<label class="grid gap-1"
			>Balance of the control account, {page.data.base}
			<input
				type="text"
				inputmode="decimal"
				class="text-right"
				placeholder="if you have it"
				bind:value={opening.controlText}
				onchange={changed}
			/>
		</label>
		<label class="col-span-2 flex items-start gap-1"
			><input type="checkbox" class="mt-1" bind:checked={opening.taxHere} onchange={changed} />
			The VAT on them was not accounted for in the books before: post it as VAT here</label
		>
	</div>
	<p class="says">
		They are posted against opening balances, not sales, on that day and at that day’s rate. Each keeps its
		own date and due date.
	</p>
{/if}

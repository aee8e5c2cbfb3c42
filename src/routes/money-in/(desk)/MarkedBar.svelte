<script lang="ts">
	import { count } from '$lib/words';

	/** What can be done with the receipts that are marked. */
	let {
		marked,
		deal,
		clear
	}: { marked: number; deal: (what: 'hold' | 'account') => void; clear: () => void } = $props();
	const WAYS = [
		['account', 'on one account', 'B'],
		['hold', 'hold, hand over', 'G']
	] as const;
</script>

<p class="sticky top-0 z-20 mt-2 flex flex-wrap gap-x-3 bg-wash px-5 py-1.5 text-sm" role="status">
	<strong>{count(marked, 'receipt')} marked</strong>
	{#each WAYS as [what, says, key] (what)}
		<button class="min-h-6 cursor-pointer text-copper hover:underline" onclick={() => deal(what)}
			>{says} <span class="key">{key}</span></button
		>
	{/each}
	<button class="min-h-6 cursor-pointer text-soft hover:underline" onclick={clear}>clear</button>
</p>

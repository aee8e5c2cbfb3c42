<script lang="ts">
	import type { OpeningSums } from '$lib/server/documents/queries/opening-balances';
	import { money, shortDay } from '$lib/words';
	import type { OpeningItems } from './opening-items.svelte';

	/** What opening items come to, beside what the control account shows. */
	let { sums, opening }: { sums: OpeningSums; opening: OpeningItems } = $props();
	const together = $derived(sums.before + sums.added);
	const gap = $derived(money(Math.abs(sums.apart), sums.currency));
</script>

<p class="mt-2">
	Opening items of {shortDay(sums.on)} come to <strong>{money(together, sums.currency)}</strong>{sums.before
		? `, ${money(sums.before, sums.currency)} of it there already`
		: ''}.
	{#if sums.control !== null}
		{#if sums.apart === 0}<span class="text-patina"
				>That is what the control account shows, to the penny.</span
			>{:else}<span class="text-oxblood"
				>The control account shows {money(sums.control, sums.currency)}: {gap}
				{sums.apart > 0 ? 'less' : 'more'}.</span
			>{/if}
	{/if}
</p>
{#if sums.control !== null && sums.apart !== 0}
	<p class="says">
		Look for items that are missing or there twice, or for payments on account, which come as credit notes.
	</p>
	<label class="mt-1 flex items-center gap-2"
		><input
			type="checkbox"
			checked={opening.isAgreed(sums)}
			onchange={({ currentTarget }) => opening.agree(sums, currentTarget.checked)}
		/>
		Bring them in with a difference of {gap}; the record keeps both sums</label
	>
{/if}

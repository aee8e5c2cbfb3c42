<script lang="ts">
	import { scaleLinear } from 'd3-scale';
	import { amount, money } from '$lib/words';
	import type { Allocating } from './allocating.svelte';

	/** The receipt as a length, what it pays lying on it to scale; what is left over or missing is hatched. */
	let { allocating }: { allocating: Allocating } = $props();
	const credits = $derived(
		allocating.rows.filter((row) => (row.cash ?? 0) < 0).reduce((sum, row) => sum - row.cash!, 0)
	);
	const missing = $derived(
		allocating.rows.reduce(
			(sum, row) => sum + (row.item.kind === 'credit_note' ? 0 : row.difference + row.remains),
			0
		)
	);
	const full = $derived(
		Math.max(
			allocating.amount + credits + Math.min(missing, allocating.amount * 0.5),
			allocating.placed + credits,
			1
		)
	);
	const x = $derived(scaleLinear([0, full], [0, 100]));
	const segments = $derived.by(() => {
		let from = 0;
		return allocating.rows
			.filter((row) => (row.cash ?? 0) > 0)
			.map((row) => {
				const start = from;
				from += row.cash!;
				return {
					id: row.item.id,
					number: row.item.number,
					cash: row.cash!,
					left: x(start),
					width: x(row.cash!)
				};
			});
	});
	const end = $derived(x(Math.max(allocating.amount + credits, 0)));
	const laid = $derived(x(Math.max(allocating.placed + credits, 0)));
	const words = $derived(
		`${money(allocating.amount, allocating.currency)} came. ${segments.map((one) => `${amount(one.cash, allocating.currency)} on ${one.number}`).join(', ') || 'Nothing is allocated'}.` +
			(allocating.left > 0 ? ` ${amount(allocating.left, allocating.currency)} is left.` : '') +
			(missing > 0 ? ` ${amount(missing, allocating.currency)} is missing.` : '')
	);
</script>

<figure class="relative pb-5" aria-label={words}>
	<div class="relative h-9" aria-hidden="true">
		<div class="absolute inset-y-0 left-0 border border-rule bg-raised" style:width="{end}%"></div>
		{#each segments as one (one.id)}
			<div
				class="absolute inset-y-0 flex items-center justify-between overflow-hidden border border-patina bg-patina-wash px-2 transition-[left,width] duration-150"
				style:left="{one.left}%"
				style:width="{one.width}%"
			>
				{#if one.width > 13}<span class="truncate text-sm">{one.number}</span>{/if}
				{#if one.width > 20}<span class="text-sm font-semibold">{amount(one.cash, allocating.currency)}</span
					>{/if}
			</div>
		{/each}
		{#if allocating.left > 0}
			<div
				class="hatched absolute inset-y-0 border border-copper"
				style:left="{laid}%"
				style:width="{end - laid}%"
			></div>
		{/if}
		{#if missing > 0}
			<div
				class="hatched absolute inset-y-0 border border-dashed border-copper"
				style:left="{Math.max(end, laid)}%"
				style:width="{Math.min(100 - Math.max(end, laid), x(missing))}%"
			></div>
		{/if}
		<div class="absolute -inset-y-1.5 w-0.5 bg-ink" style:left="calc({end}% - 1px)"></div>
	</div>
	<figcaption class="absolute bottom-0 text-xs text-soft" style:right="{Math.max(0, 100 - end)}%">
		the money ends here
	</figcaption>
</figure>

<style>
	.hatched {
		background: repeating-linear-gradient(-45deg, var(--copper) 0 3px, var(--copper-wash) 3px 7px);
	}
</style>

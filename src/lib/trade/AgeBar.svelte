<script lang="ts">
	import type { Aged } from '$lib/core/model/aged';
	import { BUCKETS } from '$lib/core/model/aged';
	import { amount } from '$lib/words';
	/** How old what is owed is: paler is younger. */
	let { aged, currency, wide = 110 }: { aged: Aged; currency: string; wide?: number } = $props();
	const names = {
		'not-due': 'not due',
		'to-30': '1 to 30 days overdue',
		'to-60': '31 to 60',
		'to-90': '61 to 90',
		'over-90': 'over 90'
	};
	const shade = { 'not-due': 0.14, 'to-30': 0.34, 'to-60': 0.56, 'to-90': 0.78, 'over-90': 1 };
	const positive = $derived(BUCKETS.map((bucket) => ({ bucket, value: Math.max(0, aged[bucket]) })));
	const total = $derived(positive.reduce((sum, one) => sum + one.value, 0) || 1);
	const words = $derived(
		positive
			.filter((one) => one.value > 0)
			.map((one) => `${amount(one.value, currency)} ${names[one.bucket]}`)
			.join(', ') || 'nothing owed'
	);
</script>

<div class="flex h-2.5" style:width="{wide}px" role="img" aria-label={words} title={words}>
	{#each positive as one (one.bucket)}
		{#if one.value > 0}<span
				class="bg-copper"
				style:opacity={shade[one.bucket]}
				style:width="{(100 * one.value) / total}%"
			></span>{/if}
	{/each}
</div>

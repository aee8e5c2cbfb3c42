<script lang="ts">
	import type { Aged } from '$lib/core/model/aged';
	import { amount, bucketName } from '$lib/words';
	/** How old what is owed is: paler is younger. */
	let { aged, currency, wide = 110 }: { aged: Aged; currency: string; wide?: number } = $props();
	const shade = (n: number) => 0.14 + (0.86 * n) / Math.max(1, aged.length - 1);
	const positive = $derived(aged.map((bucket, n) => ({ n, bucket, value: Math.max(0, bucket.sum) })));
	const said = (bucket: Aged[number]) =>
		bucketName(bucket).toLowerCase() + (bucket.from === null ? '' : ' overdue');
	const total = $derived(positive.reduce((sum, one) => sum + one.value, 0) || 1);
	const words = $derived(
		positive
			.filter((one) => one.value > 0)
			.map((one) => `${amount(one.value, currency)} ${said(one.bucket)}`)
			.join(', ') || 'nothing owed'
	);
</script>

<div class="flex h-2.5" style:width="{wide}px" role="img" aria-label={words} title={words}>
	{#each positive as one (one.n)}
		{#if one.value > 0}<span
				class="bg-copper"
				style:opacity={shade(one.n)}
				style:width="{(100 * one.value) / total}%"
			></span>{/if}
	{/each}
</div>

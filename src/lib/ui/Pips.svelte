<script lang="ts">
	/** How sure: filled pips out of three. The word beside it says the same. */
	let { filled }: { filled: 0 | 1 | 2 | 3 } = $props();
</script>

<svg width="26" height="8" viewBox="0 0 26 8" aria-hidden="true" class="inline-block">
	{#each [0, 1, 2] as n (n)}
		<circle
			cx={4 + n * 9}
			cy="4"
			r="3"
			fill={n < filled ? 'currentColor' : 'none'}
			stroke="currentColor"
			stroke-width="1.1"
		/>
	{/each}
</svg>

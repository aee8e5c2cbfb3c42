<script lang="ts">
	/** The one status sign: an empty ring is unpaid, filled to the share that is paid, full is settled, struck is returned. */
	let {
		share,
		label,
		size = 14,
		struck = false
	}: { share: number; label: string; size?: number; struck?: boolean } = $props();
	const clamped = $derived(Math.min(1, Math.max(0, share)));
	const full = $derived(clamped >= 1);
	// A wedge from twelve o'clock; a sliver stays visible.
	const angle = $derived(Math.max(clamped, 0.06) * 2 * Math.PI);
	const wedge = $derived(
		`M8 8V3A5 5 0 ${clamped > 0.5 ? 1 : 0} 1 ${(8 + 5 * Math.sin(angle)).toFixed(2)} ${(8 - 5 * Math.cos(angle)).toFixed(2)}Z`
	);
</script>

<svg
	width={size}
	height={size}
	viewBox="0 0 16 16"
	role="img"
	aria-label={label}
	class={['inline-block shrink-0', full ? 'text-patina' : clamped > 0 ? 'text-copper' : 'text-soft']}
>
	<circle cx="8" cy="8" r="6.8" fill="none" stroke="currentColor" stroke-width="1.5" />
	{#if full}<circle cx="8" cy="8" r="4.6" fill="currentColor" />
	{:else if clamped > 0}<path d={wedge} fill="currentColor" />{/if}
	{#if struck}<path d="M2 14 14 2" stroke="currentColor" stroke-width="1.6" />{/if}
</svg>

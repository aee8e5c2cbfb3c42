<script lang="ts">
	/** A box that is ticked or not, as it is drawn in rows whose list has the keys; whoever hears the page hears the row. */
	let { ticked }: { ticked: boolean } = $props();
</script>

<svg width="15" height="15" viewBox="0 0 15 15" aria-hidden="true" class={ticked ? 'text-ink' : 'text-soft'}>
	<rect x="1" y="1" width="13" height="13" rx="2" fill="none" stroke="currentColor" stroke-width="1.3" />
	{#if ticked}<path d="M4 7.7l2.5 2.6L11.2 5" fill="none" stroke="currentColor" stroke-width="1.8" />{/if}
</svg>

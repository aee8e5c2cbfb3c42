<script lang="ts">
	/** The bank's own words, with what was recognised underlined. */
	let { text, recognised }: { text: string; recognised: readonly { from: number; to: number }[] } = $props();
	const pieces = $derived.by(() => {
		const out: { text: string; known: boolean }[] = [];
		let at = 0;
		for (const { from, to } of recognised) {
			if (from > at) out.push({ text: text.slice(at, from), known: false });
			out.push({ text: text.slice(from, to), known: true });
			at = to;
		}
		if (at < text.length) out.push({ text: text.slice(at), known: false });
		return out;
	});
</script>

{#each pieces as piece, i (i)}{#if piece.known}<mark class="border-b-2 border-copper bg-transparent text-ink"
			>{piece.text}</mark
		>{:else}{piece.text}{/if}{/each}

<script lang="ts">
	import { onDestroy } from 'svelte';
	import { drawPage } from '$lib/ui/draw-pdf-page';
	import { PdfPages } from './pdf-pages.svelte';
	/** A PDF as it is, page below page, its text selectable. */
	let {
		url,
		label,
		asked = null
	}: {
		url: string;
		label: string;
		/** What is asked for, where it is more than an address can say. */
		asked?: unknown;
	} = $props();
	const pdf = new PdfPages();
	$effect(() => void pdf.show(url, asked));
	onDestroy(() => pdf.close());
</script>

<!-- What scrolls is reached by the keyboard. -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div
	class={['pages grow overflow-auto border border-rule bg-wash', pdf.busy && 'busy']}
	role="region"
	aria-label={label}
	aria-busy={pdf.busy}
	tabindex="0"
>
	{#if pdf.problem}
		<p class="p-4 says" role="status">{pdf.problem}</p>
	{:else}
		{#each pdf.pages as page (page)}
			<div class="page" {@attach drawPage(page)}>
				<canvas aria-hidden="true"></canvas>
				<div class="words" data-words></div>
			</div>
		{:else}<p class="p-4 says">Setting the page …</p>{/each}
	{/if}
</div>

<style>
	.page {
		position: relative;
		margin: 0 auto 10px;
		background: #fff;
	}
	canvas {
		position: absolute;
		inset: 0;
		width: 100%;
		height: 100%;
	}
	.busy .page {
		opacity: 0.5;
	}
	.words {
		position: absolute;
		inset: 0;
		overflow: clip;
		line-height: 1;
		text-align: initial;
		transform-origin: 0 0;
		forced-color-adjust: none;
	}
	.words :global(:is(span, br)) {
		position: absolute;
		color: transparent;
		white-space: pre;
		cursor: text;
		transform-origin: 0% 0%;
	}
	.words :global(span.markedContent) {
		top: 0;
		height: 0;
	}
	.words :global(::selection) {
		background: rgb(164 82 31 / 30%);
	}
</style>

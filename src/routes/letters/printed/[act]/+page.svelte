<script lang="ts">
	import LetterTabs from '../../LetterTabs.svelte';
	import PdfView from '$lib/trade/PdfView.svelte';
	import { count, LETTER_NAMES, money, shortDay } from '$lib/words';
	let { data } = $props();
	const url = $derived(`/letters/printed/${data.actId}/pdf`);
</script>

<svelte:head><title>Letters for the printer · Odd Penny</title></svelte:head>

<div class="grid h-[calc(100vh-48px)] grid-cols-[minmax(0,1fr)_minmax(380px,52%)]">
	<section class="overflow-y-auto px-8 pt-5 pb-10">
		<LetterTabs here="runs" />
		<h1 class="mt-3">{count(data.letters.length, 'letter')} for the printer.</h1>
		<p class="mt-1 says">
			One file, in the order of the post. In the margin of each sheet stands which letter it is of. They count
			as printed; the file can be had again at any time.
		</p>
		<p class="mt-3"><a class="btn btn-main" href={url} target="_blank">Open the file</a></p>
		<ol class="mt-4">
			{#each data.letters as one, n (one.id)}
				<li class="flex gap-3 border-t border-rule py-1.5">
					<span class="w-8 text-soft">{n + 1}</span>
					<a class="w-24" href="/customers/{one.code}">{one.code}</a>
					<a class="grow" href="/letters/outbox/{one.id}">{LETTER_NAMES[one.kind]} of {shortDay(one.date)}</a>
					<span class="text-soft">{one.town}</span>
					<span class="num w-28">{money(one.amount, one.currency)}</span>
				</li>
			{/each}
		</ol>
	</section>
	<section class="flex min-h-0 flex-col border-l border-rule bg-wash p-4" aria-label="The letters as printed">
		<PdfView {url} label="The letters as printed" />
	</section>
</div>

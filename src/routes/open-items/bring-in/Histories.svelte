<script lang="ts">
	import type { HistoryBroughtIn } from '$lib/server/matching/queries/histories';
	import { moment, whole } from '$lib/words';
	let {
		histories,
		mayAct,
		busy,
		takeBack
	}: {
		histories: readonly HistoryBroughtIn[];
		mayAct: boolean;
		busy: boolean;
		/** Takes one back by the act that brought it in. */
		takeBack: (actId: number) => unknown;
	} = $props();
</script>

<!-- Histories that matching learns from, each of which can be taken back. -->
<h2 class="mt-6 text-xl">Learned from before</h2>
<table class="mt-2">
	<thead
		><tr
			><th>Brought in</th><th>By</th><th class="num">Payments</th><th
				><span class="sr-only">Take back</span></th
			></tr
		></thead
	>
	<tbody>
		{#each histories as one (one.actId)}
			<tr
				><td>{moment(one.at)}</td><td>{one.who}</td><td class="num">{whole(one.payments)}</td><td
					>{#if mayAct}<button class="btn" disabled={busy} onclick={() => takeBack(one.actId)}
							>take back</button
						>{/if}</td
				></tr
			>
		{/each}
	</tbody>
</table>

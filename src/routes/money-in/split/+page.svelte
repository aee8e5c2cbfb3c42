<script lang="ts">
	import ChooseEntry from './ChooseEntry.svelte';
	import SplitEntry from './SplitEntry.svelte';
	let { data } = $props();
	/** The report that was taken, kept while the entry that it explains is looked for. */
	let report = $state<string | null>(null);
</script>

<svelte:head><title>Split a payment · Odd Penny</title></svelte:head>

{#if data.entry}
	{#key data.entry.receipt.id}
		<SplitEntry
			entry={data.entry}
			processors={data.processors}
			today={data.today ?? ''}
			mayAct={data.mayAct}
			bind:report
		/>
	{/key}
{:else}
	<ChooseEntry
		payouts={data.payouts}
		processors={data.processors}
		today={data.today ?? ''}
		mayAct={data.mayAct}
		bind:report
	/>
{/if}

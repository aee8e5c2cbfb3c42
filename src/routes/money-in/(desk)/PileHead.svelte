<script lang="ts">
	import BringIn from './BringIn.svelte';
	import PileFilterBar from './PileFilterBar.svelte';
	import { count, list, money } from '$lib/words';
	import type { PageProps } from './$types';

	/** How much waits, how far the day is, and the ways in for more. */
	let { data, field = $bindable() }: { data: PageProps['data']; field: HTMLInputElement | undefined } =
		$props();
	const came = $derived(list(Object.entries(data.sums).map(([currency, sum]) => money(sum, currency))));
	const { day } = $derived(data);
</script>

<div class="px-5 pt-4">
	<h1 class="text-xl">
		{data.all ? `${count(data.all, 'entry', 'entries')} to allocate` : 'All is allocated'}
	</h1>
	<p class="text-sm text-soft">
		{#if data.count < data.all}{count(data.count, 'entry', 'entries')} shown{came
				? `, ${came}`
				: ''}.{:else if came}{came}.{/if}
	</p>
	{#if day.all}
		<p class="mt-1 flex items-center gap-2 text-xs text-soft">
			<progress class="h-1.5 flex-1" value={day.done} max={day.all} aria-label="Dealt with"></progress>
			{day.done} of {day.all} done
		</p>
	{/if}
	<BringIn mayAct={data.mayAct} />
	<p class="mt-1 text-sm">
		<a href="/money-in/bank-table">Bank table</a> ·
		<a href="/money-in/manual-receipts">Record by hand</a> · <a href="/money-in/advice">Advice</a> ·
		<a href="/money-in/refunds">Refunds</a> · <a href="/money-in/returned">Returned</a>
	</p>
	{#if data.all || data.filter.find}<PileFilterBar filter={data.filter} ways={data.ways} bind:field />{/if}
</div>
{#if data.inApproval}
	<p class="px-5 pt-2 text-sm">
		<a class="text-copper" href="/books/approvals"
			>{count(data.inApproval, 'receipt waits', 'receipts wait')} for a supervisor</a
		>
	</p>
{/if}

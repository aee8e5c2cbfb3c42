<script lang="ts">
	import BringIn from './BringIn.svelte';
	import { count, money } from '$lib/words';

	/** How much waits, and the ways in for more. */
	let {
		count: all,
		sums,
		doneOfNewest,
		inApproval,
		mayAct
	}: {
		count: number;
		/** What came of it, by currency, in minor units. */
		sums: Readonly<Record<string, number>>;
		/** Of the newest file, how many are done. */
		doneOfNewest: number;
		/** How many wait for a supervisor. */
		inApproval: number;
		mayAct: boolean;
	} = $props();
	const came = $derived(
		Object.entries(sums)
			.map(([currency, sum]) => money(sum, currency))
			.join(' and ')
	);
</script>

<div class="px-5 pt-4">
	<h1 class="text-xl">
		{all ? `${count(all, 'entry', 'entries')}, ${came || 'money out'}` : 'All is allocated'}
	</h1>
	<p class="text-sm text-soft">
		{all ? 'need a home.' : 'Nothing waits.'}
		{doneOfNewest} of the newest file are done.
	</p>
	<BringIn {mayAct} />
	<p class="mt-1 text-sm">
		<a href="/money-in/manual-receipts">Record by hand</a> · <a href="/money-in/advice">Advice</a> ·
		<a href="/money-in/refunds">Refunds</a> · <a href="/money-in/returned">Returned</a>
	</p>
</div>
{#if inApproval}
	<p class="px-5 pt-2 text-sm">
		<a class="text-copper" href="/books/approvals"
			>{count(inApproval, 'receipt waits', 'receipts wait')} for a supervisor</a
		>
	</p>
{/if}

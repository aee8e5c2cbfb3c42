<script lang="ts">
	import type { whereReceiptIs } from '$lib/server/receipts/queries/where-receipt-is';
	import { actSentence, moment, money } from '$lib/words';

	/** Where a receipt is that was asked for and does not wait: what was done with it, and the way to undo that. */
	let { gone }: { gone: NonNullable<Awaited<ReturnType<typeof whereReceiptIs>>> } = $props();
</script>

<div class="p-7">
	<h2 class="text-2xl">{money(gone.amount, gone.currency)} from {gone.payer ?? 'an unnamed payer'}</h2>
	<p class="note mt-3">
		{#if gone.state === 'in_approval'}
			This receipt waits for a supervisor, with what was allocated on it.
			<a class="underline" href="/books/approvals">See what was asked</a>
		{:else if gone.done}
			This receipt does not wait any more. {actSentence(gone.done.said)} · {gone.done.by}, {moment(
				gone.done.at
			)}.
			<a class="underline" href="/books/journal?act={gone.done.actId}">See it in the journal, or undo it</a>
		{/if}
	</p>
	<p class="mt-4 flex gap-3">
		<a class="btn" href="/money-in">Go on with the pile</a>
		{#if gone.code}<a class="btn" href="/customers/{gone.code}">Customer account</a>{/if}
	</p>
</div>

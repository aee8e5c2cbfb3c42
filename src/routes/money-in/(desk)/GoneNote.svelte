<script lang="ts">
	import type { whereReceiptIs } from '$lib/server/receipts/queries/where-receipt-is';

	/** Where a receipt is that was asked for and does not wait. */
	let { gone }: { gone: NonNullable<Awaited<ReturnType<typeof whereReceiptIs>>> } = $props();
</script>

<div class="p-7">
	<p class="note">
		{#if gone === 'in_approval'}
			This receipt waits for a supervisor, with what was allocated on it.
			<a class="underline" href="/books/approvals">See what was asked</a>
		{:else}
			This receipt is not in the pile any more: somebody has dealt with it.
			<a class="underline" href="/money-in">Go on with the pile</a>
		{/if}
	</p>
</div>

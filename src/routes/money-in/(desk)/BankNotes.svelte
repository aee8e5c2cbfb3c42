<script lang="ts">
	import type { PageData } from './$types';
	import BankMatchNote from './BankMatchNote.svelte';
	import ReturnNote from './ReturnNote.svelte';
	import type { Done } from './done';
	let {
		desk,
		today,
		mayAct,
		done
	}: { desk: NonNullable<PageData['desk']>; today: string; mayAct: boolean; done: Done } = $props();
</script>

<!-- What the bank's entry may be beside a customer's money: money that was recorded before, or a payment that came back. -->
{#key desk}
	{#if desk.receipt && desk.bankMatches.length && mayAct}
		<BankMatchNote
			receipt={desk.receipt}
			bankMatches={desk.bankMatches}
			bankAccountId={desk.receipt.bankAccountId}
			{today}
			{done}
		/>
	{/if}
	{#if desk.receipt && desk.debit}
		<ReturnNote receipt={desk.receipt} debit={desk.debit} currency={desk.currency} {today} {mayAct} {done} />
	{/if}
{/key}

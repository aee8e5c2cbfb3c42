<script lang="ts">
	import type { PageData } from './$types';
	import type { Allocating } from '$lib/trade/allocating/allocating.svelte';
	import AdviceDialog from './AdviceDialog.svelte';
	import HoldDialog from './HoldDialog.svelte';
	import NewAccountDialog from './NewAccountDialog.svelte';
	import SetAsideDialog from './SetAsideDialog.svelte';
	import type { DeskDialog } from './desk-dialog';
	import type { Done } from './done';
	let {
		dialog = $bindable(),
		adviceText = $bindable(),
		desk,
		allocating,
		people,
		addressOf,
		done
	}: {
		/** Which one is open. */
		dialog: DeskDialog | null;
		adviceText: string;
		desk: PageData['desk'];
		allocating: Allocating | null;
		people: PageData['ways']['people'];
		/** The desk with this receipt and a customer. */
		addressOf: (customerId: number) => string;
		done: Done;
	} = $props();
	const open = (what: DeskDialog) => (on: boolean) => (dialog = on ? what : null);
</script>

<!-- What is asked of the receipt on the desk. -->
{#if desk?.receipt}
	<HoldDialog
		bind:open={() => dialog === 'hold', open('hold')}
		receipt={desk.receipt}
		order={allocating?.order ?? null}
		{people}
		{done}
	/>
	<NewAccountDialog
		bind:open={() => dialog === 'account', open('account')}
		receipt={desk.receipt}
		to={addressOf}
	/>
	<SetAsideDialog
		bind:open={() => dialog === 'aside', open('aside')}
		receipt={desk.receipt}
		accounts={desk.setAside}
		usual={desk.answer?.usual?.account ?? null}
		{done}
	/>
{/if}
{#if allocating?.desk.customer}<AdviceDialog
		bind:open={() => dialog === 'advice', open('advice')}
		bind:text={adviceText}
		{allocating}
	/>{/if}

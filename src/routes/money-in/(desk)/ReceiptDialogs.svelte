<script lang="ts">
	import type { PageData } from './$types';
	import type { Allocating } from '$lib/trade/allocating/allocating.svelte';
	import { toast } from 'svelte-sonner';
	import { takeFiles } from '$lib/trade/files/take-files.svelte';
	import { textOfFile } from '$lib/trade/files/text-of-file';
	import { problemSentence } from '$lib/words';
	import AdviceDialog from './AdviceDialog.svelte';
	import HoldDialog from './HoldDialog.svelte';
	import NewAccountDialog from './NewAccountDialog.svelte';
	import SetAsideDialog from './SetAsideDialog.svelte';
	import type { DeskDialog } from './desk-dialog';
	import type { Done } from './done';
	let {
		dialog = $bindable(),
		desk,
		allocating,
		mayAct,
		people,
		addressOf,
		done
	}: {
		/** Which one is open. */
		dialog: DeskDialog | null;
		mayAct: boolean;
		desk: PageData['desk'];
		allocating: Allocating | null;
		people: PageData['ways']['people'];
		/** The desk with this receipt and a customer. */
		addressOf: (customerId: number) => string;
		done: Done;
	} = $props();
	let adviceText = $state('');
	/** An advice dropped on a desk whose customer is known is theirs. */
	takeFiles({
		get kinds() {
			return mayAct && allocating?.desk.customer ? (['advice'] as const) : [];
		},
		take: async ([file]) => {
			const taken = await textOfFile(file!, 'advice');
			if (!taken.ok) return void toast.error(taken.problems.map(problemSentence).join(' '));
			adviceText = taken.value;
			dialog = 'advice';
		}
	});
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

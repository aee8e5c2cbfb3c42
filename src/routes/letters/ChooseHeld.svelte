<script lang="ts">
	import Dialog from '$lib/ui/Dialog.svelte';
	import type { RunRow } from '$lib/server/letters/queries/run-rows';
	import { heldReason } from '$lib/words';
	/** Asks before somebody is chosen who is held for a reason; that it was overruled is recorded. */
	let {
		row,
		kind,
		choose,
		close
	}: {
		row: RunRow | null;
		kind: string;
		choose: () => void;
		close: () => void;
	} = $props();
	const why = $derived(
		!row?.held
			? ''
			: row.held === 'money-waiting'
				? 'There are receipts of theirs that are not allocated yet: the letter would ask for money that may have come.'
				: row.held === 'paused'
					? `Reminders to them are paused: ${row.because}.`
					: `It is held: ${heldReason(row.held)}.`
	);
</script>

<Dialog
	bind:open={() => row !== null, (on) => !on && close()}
	title="Send {row?.name ?? ''} a {kind} all the same?"
>
	<p>{why} That you overruled it is kept in the record.</p>
	<p class="mt-4 flex gap-2">
		<button class="btn" data-first onclick={close}>Leave them out</button>
		<button class="btn" onclick={() => (choose(), close())}>Choose them</button>
	</p>
</Dialog>

<script lang="ts">
	import Dialog from '$lib/ui/Dialog.svelte';
	import type { RunRow } from '$lib/server/letters/queries/letters';
	/** Asks before somebody is chosen who has a reason to be left out. */
	let {
		row,
		kind,
		reason,
		choose,
		close
	}: {
		row: RunRow | null;
		kind: 'statement' | 'reminder';
		reason: string;
		choose: () => void;
		close: () => void;
	} = $props();
	const why = $derived(
		row?.leftOut === 'money-waiting'
			? 'There are receipts of theirs that are not allocated yet: the letter would ask for money that may have come.'
			: row?.leftOut === 'sent-today'
				? `They were sent a ${kind} today.`
				: row?.leftOut === 'on-paper'
					? 'They get statements on paper.'
					: row?.leftOut === 'wants-none'
						? 'They want no statements.'
						: row?.leftOut === 'paused'
							? `Reminders to them are ${reason}.`
							: ''
	);
</script>

<Dialog
	bind:open={() => row !== null, (on) => !on && close()}
	title="Send {row?.name ?? ''} a {kind} all the same?"
>
	<p>{why}</p>
	<p class="mt-4 flex gap-2">
		<button class="btn" data-first onclick={close}>Leave them out</button>
		<button class="btn" onclick={() => (choose(), close())}>Choose them</button>
	</p>
</Dialog>

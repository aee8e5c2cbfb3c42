<script lang="ts">
	import { matchAdvice } from '$lib/core/3-matching';
	import { readAdvice } from '$lib/tables/read-advice';
	import Problems from '$lib/ui/Problems.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import { count, money, problemSentence } from '$lib/words';
	import { textOfFile } from '$lib/trade/files/text-of-file';
	import AdviceLines from '$lib/trade/AdviceLines.svelte';
	import type { Allocating } from '$lib/trade/allocating/allocating.svelte';

	/** Takes a remittance advice, pasted or as a file: its lines tied to open items, and what does not add up line by line. */
	let {
		open = $bindable(),
		allocating,
		text = $bindable('')
	}: {
		open: boolean;
		allocating: Allocating;
		/** What they wrote. */
		text?: string;
	} = $props();
	const read = $derived(readAdvice(text, allocating.currency));
	/** Why a file could not be read. */
	let unread = $state.raw<readonly string[]>([]);
	const problems = $derived([...unread, ...(read.ok ? [] : read.problems.map(problemSentence))]);
	const lines = $derived(matchAdvice(read.ok ? read.value : [], allocating.desk.items));
	const tied = $derived(lines.filter((line) => line.item && line.wrong !== 'it is on the advice twice'));
	const sum = $derived(lines.reduce((all, line) => all + (line.paid ?? 0), 0));
	const off = $derived(sum - allocating.amount);
	async function takeFile(event: Event & { currentTarget: HTMLInputElement }) {
		const file = event.currentTarget.files?.[0];
		if (!file) return;
		const taken = await textOfFile(file, 'advice');
		unread = taken.ok ? [] : taken.problems.map(problemSentence);
		if (taken.ok) text = taken.value;
	}
</script>

<Dialog title="Remittance advice" wide bind:open>
	<p class="says">
		Paste what they wrote, or rows of their table; or take a file (a spreadsheet, CSV, text, UBL
		RemittanceAdvice). One line for each document.
	</p>
	<textarea
		class="mt-2 w-full font-mono text-[13px]"
		rows="6"
		aria-label="The advice"
		placeholder="AK-40017   1,043.20&#10;AK-40018   100.00   4.50   95.50   breakage"
		bind:value={text}
		oninput={() => (unread = [])}></textarea>
	<input type="file" class="mt-1" aria-label="The advice as a file" onchange={takeFile} />
	<div class="mt-2"><Problems {problems} /></div>
	{#if lines.length}
		<AdviceLines {lines} currency={allocating.currency} />
		<p class="mt-2 text-sm">
			The advice comes to {money(sum, allocating.currency)}{off === 0
				? ': what came, to the penny.'
				: `, ${money(Math.abs(off), allocating.currency)} ${off > 0 ? 'more' : 'less'} than came.`}
		</p>
	{:else if text.trim() && problems.length === 0}
		<p class="mt-2 text-copper">No line with a document number was found.</p>
	{/if}
	<button
		class="btn btn-main mt-3"
		disabled={tied.length === 0}
		onclick={() => {
			allocating.takeAdvice(tied);
			text = '';
			open = false;
		}}>Allocate {count(tied.length, 'line')}</button
	>
</Dialog>

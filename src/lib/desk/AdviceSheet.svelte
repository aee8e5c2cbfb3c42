<script lang="ts">
	import type { AdviceLine } from '$lib/core/2-receipts/advice/advice';
	import { readAdviceText } from '$lib/core/2-receipts/advice/read-advice-text';
	import { readAdviceUbl } from '$lib/core/2-receipts/advice/read-advice-ubl';
	import Problems from '$lib/ui/Problems.svelte';
	import Sheet from '$lib/ui/Sheet.svelte';
	import { DIFFERENCE_NAMES } from '$lib/words/difference-names';
	import { amount, count, money } from '$lib/words/format';
	import { problemSentence } from '$lib/words/problem-sentence';
	import { matchAdvice } from './match-advice';
	import type { Placing } from './placing.svelte';

	/** Takes a remittance advice, pasted or as a file: its lines tied to open items, and what does not add up line by line. */
	let { open = $bindable(), placing }: { open: boolean; placing: Placing } = $props();
	let text = $state('');
	const read = $derived.by((): { lines: readonly AdviceLine[]; problems: readonly string[] } => {
		if (!text.trim()) return { lines: [], problems: [] };
		if (!text.trimStart().startsWith('<'))
			return { lines: readAdviceText(text, placing.currency), problems: [] };
		const ubl = readAdviceUbl(text, placing.currency);
		return ubl.ok
			? { lines: ubl.value, problems: [] }
			: { lines: [], problems: ubl.problems.map(problemSentence) };
	});
	const lines = $derived(matchAdvice(read.lines, placing.desk.items));
	const tied = $derived(lines.filter((line) => line.item && line.wrong !== 'it is on the advice twice'));
	const sum = $derived(lines.reduce((all, line) => all + (line.paid ?? 0), 0));
	const off = $derived(sum - placing.amount);
	async function takeFile(event: Event & { currentTarget: HTMLInputElement }) {
		const file = event.currentTarget.files?.[0];
		if (file) text = await file.text();
	}
</script>

<Sheet title="Remittance advice" wide bind:open>
	<p class="says">
		Paste what they wrote, or rows of their table; or take a file (CSV, text, UBL RemittanceAdvice). One line
		for each document.
	</p>
	<textarea
		class="mt-2 w-full font-mono text-[13px]"
		rows="6"
		aria-label="The advice"
		placeholder="AK-40017   1,043.20&#10;AK-40018   100.00   4.50   95.50   breakage"
		bind:value={text}></textarea>
	<input type="file" class="mt-1" aria-label="The advice as a file" onchange={takeFile} />
	<div class="mt-2"><Problems problems={read.problems} /></div>
	{#if lines.length}
		<table class="mt-2">
			<thead
				><tr
					><th>Line</th><th>Says</th><th>Is</th><th class="num">Pays</th><th class="num">Took off</th><th
					></th></tr
				></thead
			>
			<tbody>
				{#each lines as line (line.line)}
					<tr>
						<td class="text-soft">{line.line}</td>
						<td class="max-w-[260px] truncate font-mono text-[13px]">{line.text}</td>
						<td>{line.item?.number ?? '–'}</td>
						<td class="num">{line.paid === null ? '–' : amount(line.paid, placing.currency)}</td>
						<td class="num"
							>{line.deduction
								? `${amount(line.deduction.amount, placing.currency)} ${DIFFERENCE_NAMES[line.deduction.kind].toLowerCase()}`
								: '–'}</td
						>
						<td class="text-copper">{line.wrong}</td>
					</tr>
				{/each}
			</tbody>
		</table>
		<p class="mt-2 text-sm">
			The advice comes to {money(sum, placing.currency)}{off === 0
				? ': what came, to the penny.'
				: `, ${money(Math.abs(off), placing.currency)} ${off > 0 ? 'more' : 'less'} than came.`}
		</p>
	{:else if text.trim() && read.problems.length === 0}
		<p class="mt-2 text-copper">No line with a document number was found.</p>
	{/if}
	<button
		class="btn btn-main mt-3"
		disabled={tied.length === 0}
		onclick={() => {
			placing.takeAdvice(tied);
			text = '';
			open = false;
		}}>Lay {count(tied.length, 'line')} on the strip</button
	>
</Sheet>

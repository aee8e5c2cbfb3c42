<script lang="ts">
	import type { MatchedLine } from '$lib/core/3-matching';
	import { DIFFERENCE_NAMES, amount } from '$lib/words';
	/** The lines of a remittance advice, what each is tied to, and what does not add up, line by line. */
	let { lines, currency }: { lines: readonly MatchedLine[]; currency: string } = $props();
</script>

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
				<td class="num">{line.paid === null ? '–' : amount(line.paid, currency)}</td>
				<td class="num"
					>{line.deduction
						? `${amount(line.deduction.amount, currency)} ${DIFFERENCE_NAMES[line.deduction.kind].toLowerCase()}`
						: '–'}</td
				>
				<td class="text-copper">{line.wrong}</td>
			</tr>
		{/each}
	</tbody>
</table>

<script lang="ts">
	import { daysOf } from '$lib/core/9-interest/interest-of';
	import type { InterestSheet } from '$lib/core/9-interest/interest-sheet';
	import { amount, percent, shortDay } from '$lib/words';

	/** The sheet of one account: what each item comes to, and on which days what was late of it. */
	let {
		sheet,
		today
	}: {
		sheet: InterestSheet & { readonly currency: string; readonly numbers: Readonly<Record<number, string>> };
		today: string;
	} = $props();
	const sum = (value: number) => amount(value, sheet.currency);
</script>

<table>
	<thead
		><tr
			><th>Document</th><th>From</th><th>To</th><th class="num">Days</th><th class="num">Overdue</th><th
				class="num">Rate</th
			><th class="num">{sheet.currency}</th></tr
		></thead
	>
	<tbody>
		{#each sheet.rows as row (`${row.itemId} ${row.from}`)}
			{#each row.spans as span, n (span.from)}
				<tr class={n > 0 ? 'text-soft' : ''}>
					<td
						>{#if n === 0}<a class="block py-0.5" href="/open-items?item={row.itemId}"
								>{sheet.numbers[row.itemId]}</a
							>{/if}</td
					>
					<td class="whitespace-nowrap">{shortDay(span.from, today)}</td>
					<td class="whitespace-nowrap">{shortDay(span.to, today)}</td>
					<td class="num">{daysOf(span)}</td>
					<td class="num">{sum(span.open)}</td>
					<td class="num">{percent(span.basisPoints)}</td>
					<td class="num">{n === 0 ? sum(row.amount) : ''}</td>
				</tr>
			{/each}
			{#if row.compensation > 0}
				<tr class="text-soft"
					><td></td><td colspan="5">fixed compensation</td><td class="num">{sum(row.compensation)}</td></tr
				>
			{/if}
		{/each}
		{#each sheet.corrections as one (one.chargeId)}
			<tr>
				<td><a class="block py-0.5" href="/open-items?item={one.itemId}">{sheet.numbers[one.itemId]}</a></td>
				<td class="whitespace-nowrap">{shortDay(one.from, today)}</td>
				<td class="whitespace-nowrap">{shortDay(one.to, today)}</td>
				<td colspan="3" class="text-soft">{sum(one.charged)} was charged, {sum(one.shouldBe)} is due</td>
				<td class="num">{sum(one.shouldBe - one.charged)}</td>
			</tr>
		{/each}
	</tbody>
	<tfoot>
		<tr class="double-top"
			><td colspan="6">In all</td><td class="num">{sum(sheet.charge - sheet.credit)}</td></tr
		>
	</tfoot>
</table>

<script lang="ts">
	import { rowCursor } from '$lib/ui/row-cursor';
	import { goto } from '$app/navigation';
	import { bringFiles, takeFiles } from '$lib/trade/files/take-files.svelte';
	import { minor } from '$lib/core/money/minor';
	import { count, money, shortDay } from '$lib/words';
	import { Splitting, type ReportColumns } from './splitting.svelte';

	/** Which entry a processor's report explains: the one that it comes to, or one that somebody chooses. */
	let {
		payouts,
		processors,
		today,
		mayAct,
		report = $bindable()
	}: {
		payouts: readonly {
			id: number;
			booked: string;
			amount: number;
			currency: string;
			payerName: string | null;
			text: string;
			payout: boolean;
		}[];
		processors: Readonly<Record<string, ReportColumns>>;
		today: string;
		mayAct: boolean;
		report: string | null;
	} = $props();
	/** What the report comes to, by currency: how an amount is read depends on it. */
	const netIn = (currency: string): number | null => {
		if (report === null) return null;
		const read = new Splitting(minor(0), currency, processors);
		read.take(report);
		return read.parts.some((part) => part.gross === null || part.fee === null) ? null : read.sums.net;
	};
	const nets = $derived(
		new Map([...new Set(payouts.map((one) => one.currency))].map((currency) => [currency, netIn(currency)]))
	);
	const fitting = $derived(payouts.filter((one) => nets.get(one.currency) === one.amount));
	const shown = $derived(
		fitting.length > 0 ? fitting : payouts.filter((one) => one.payout || report !== null)
	);
	const comesTo = $derived([...nets].find(([, net]) => net !== null && net > 0));
	takeFiles({
		kinds: ['processor-report', 'other-table', 'advice', 'bank-table'],
		take: ([file]) =>
			void file!.text().then((text) => {
				report = text;
				const [one, another] = fitting;
				if (one && !another) void goto(`/money-in/split?receipt=${one.id}`, { replaceState: true });
			})
	});
</script>

<div class="px-8 pt-5 pb-10">
	<p class="text-sm"><a href="/money-in">Money in</a></p>
	<h1>Which entry does the report belong to?</h1>
	<p class="mt-1 mb-3 says">
		{#if report === null}
			A processor pays out many payments in one sum. Drop its report here, or choose the entry.
		{:else if fitting.length}
			The report comes to {money(comesTo![1]!, comesTo![0])}: {count(fitting.length, 'entry', 'entries')} of just
			that sum.
		{:else if comesTo}
			The report comes to {money(comesTo[1]!, comesTo[0])}, and no entry that waits is of that sum. Choose the
			one that it explains; the columns can be corrected there.
		{:else}The report’s columns are not known: choose the entry, and say which column is which.{/if}
	</p>
	{#if mayAct}<label class="mb-3 flex items-center gap-3 text-sm"
			>The report, as CSV <input
				type="file"
				onchange={({ currentTarget }) => void bringFiles([...(currentTarget.files ?? [])])}
			/></label
		>{/if}
	<table>
		<thead><tr><th>Booked</th><th>From</th><th>Words</th><th class="num">Amount</th></tr></thead>
		<tbody {@attach rowCursor}>
			{#each shown as one (one.id)}
				<tr>
					<td class="whitespace-nowrap">{shortDay(one.booked, today)}</td>
					<td><a href="/money-in/split?receipt={one.id}">{one.payerName ?? 'no name'}</a></td>
					<td class="font-mono text-[13px] text-soft">{one.text}</td>
					<td class="num">{money(one.amount, one.currency)}</td>
				</tr>
			{:else}<tr
					><td colspan="4" class="py-6 text-soft"
						>No entry that waits looks like a payout. Bring in the bank file that has it first, on Money in.</td
					></tr
				>{/each}
		</tbody>
	</table>
</div>

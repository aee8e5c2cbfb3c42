<script lang="ts">
	import { amount, shortDay } from '$lib/words';
	let { data } = $props();
	const { slip, bank, rows, firm } = $derived(data.found);
</script>

<svelte:head><title>Paying-in slip {slip.id} · Odd Penny</title></svelte:head>

<div class="max-w-[640px] px-8 pt-6 pb-12">
	<p class="text-sm print:hidden">
		<a href="/money-in/manual-receipts">Payments recorded by hand</a>
		<button class="btn float-right" onclick={() => window.print()}>Print</button>
	</p>
	<h1 class="mt-4">Paying-in slip {slip.id}</h1>
	<p class="mt-1">
		{firm?.name}, {shortDay(slip.date)}. For {bank.name}, {bank.bankName},
		<span class="font-mono text-[13px]">{bank.number}</span>.
	</p>
	<table class="mt-4">
		<thead><tr><th>Paid by</th><th>How</th><th>Reference</th><th class="num">{bank.currency}</th></tr></thead>
		<tbody>
			{#each rows as row (row.id)}
				<tr
					><td>{row.name}</td><td>{row.method}</td><td>{row.reference}</td><td class="num"
						>{amount(row.amount, row.currency)}</td
					></tr
				>
			{/each}
		</tbody>
		<tfoot>
			<tr class="font-semibold"
				><td colspan="3">{rows.length} payments</td><td class="num">{amount(slip.total, bank.currency)}</td
				></tr
			>
		</tfoot>
	</table>
</div>

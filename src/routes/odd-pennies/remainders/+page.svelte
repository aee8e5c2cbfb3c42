<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { SvelteSet } from 'svelte/reactivity';
	import { toast } from 'svelte-sonner';
	import { postAction } from '$lib/desk/post-action';
	import Problems from '$lib/ui/Problems.svelte';
	import { amount, count, list, money, shortDay } from '$lib/words/format';
	let { data } = $props();
	const today = $derived(data.today ?? '');
	/** All are chosen at first; what is left out is remembered. */
	const left = new SvelteSet<number>();
	const chosen = $derived(data.rows.filter((row) => !left.has(row.itemId)));
	const accounts = $derived(new Set(chosen.map((row) => row.code)).size);
	const sums = $derived.by(() => {
		const by = new Map<string, number>();
		for (const row of chosen) by.set(row.currency, (by.get(row.currency) ?? 0) + row.open);
		return list([...by].map(([currency, sum]) => money(sum, currency)));
	});
	let kind = $state<'small_difference' | 'bad_debt'>('small_difference');
	let problems = $state<readonly string[]>([]);
	let busy = $state(false);
	let key = crypto.randomUUID();
	const most = $derived(data.mine[kind]);
	const over = $derived(most === null ? [] : chosen.filter((row) => row.openBase > most));

	async function writeOff() {
		busy = true;
		const json = { kind, items: chosen.map(({ itemId, version }) => ({ itemId, version })) };
		const result = await postAction(
			'?/writeOff',
			{ json, key },
			'That did not work. Nothing was written off.'
		);
		busy = false;
		problems = result.ok ? [] : result.problems;
		if (!result.ok) return;
		key = crypto.randomUUID();
		toast(`Wrote off ${count(chosen.length, 'remainder')}.`);
		left.clear();
		await invalidateAll();
	}
</script>

<svelte:head><title>Small remainders · Odd Penny</title></svelte:head>

<div class="px-8 pt-5 pb-24">
	<p class="text-sm"><a href="/odd-pennies">Odd pennies</a></p>
	<h1>
		{data.rows.length
			? `${count(data.rows.length, 'small remainder')} up to ${money(data.upTo, data.base)}.`
			: `Nothing up to ${money(data.upTo, data.base)} is left over.`}
	</h1>
	<p class="mt-1 mb-3 says">
		What is left open of {data.partPaid ? 'part-paid documents' : 'any document'}, too little to be asked for.
		Written off in one run: an act for each account, dated today; each can be taken back.
	</p>
	<Problems problems={data.bad ? [`“${data.bad}” is no amount.`, ...problems] : problems} />
	<form method="GET" class="mb-3 flex items-end gap-3 text-sm" data-sveltekit-keepfocus>
		<label class="grid gap-1"
			>Up to, in {data.base}
			<input
				type="text"
				name="upTo"
				inputmode="decimal"
				class="amount-field w-28"
				value={amount(data.upTo, data.base)}
			/></label
		>
		<label class="flex items-center gap-2 pb-1.5"
			><input type="checkbox" name="all" value="yes" checked={!data.partPaid} /> whole small documents, too</label
		>
		<button class="btn">Show</button>
	</form>
	{#if data.rows.length}
		<table>
			<thead
				><tr
					><th class="w-8"></th><th>Customer</th><th>Document</th><th>Due</th><th class="num">Total</th><th
						class="num">Left open</th
					></tr
				></thead
			>
			<tbody>
				{#each data.rows as row (row.itemId)}
					<tr>
						<td
							><input
								type="checkbox"
								aria-label="Write off {row.number}"
								disabled={!data.mayAct}
								checked={!left.has(row.itemId)}
								onchange={() => (left.has(row.itemId) ? left.delete(row.itemId) : left.add(row.itemId))}
							/></td
						>
						<td><a class="block py-0.5" href="/customers/{row.code}">{row.customer}</a></td>
						<td
							><a class="block py-0.5" href="/open-items?item={row.itemId}"
								>{row.number}{row.parts > 1 ? ` (${row.part} of ${row.parts})` : ''}</a
							></td
						>
						<td>{shortDay(row.due, today)}</td>
						<td class="num text-soft">{money(row.total, row.currency)}</td>
						<td class="num">{money(row.open, row.currency)}</td>
					</tr>
				{/each}
			</tbody>
		</table>
		{#if data.mayAct}
			<footer class="double-top fixed inset-x-0 bottom-0 flex h-[54px] items-center gap-3 bg-sheet px-5">
				<button class="btn btn-main" disabled={busy || chosen.length === 0} onclick={writeOff}
					>Write off {count(chosen.length, 'remainder')}</button
				>
				<label class="flex items-center gap-2 text-sm"
					>as <select bind:value={kind}
						><option value="small_difference">small differences</option><option value="bad_debt"
							>bad debts</option
						></select
					></label
				>
				<p class={['ml-auto text-sm', over.length ? 'text-copper' : 'text-soft']} aria-live="polite">
					{over.length
						? `${count(over.length, 'remainder is', 'remainders are')} above your limit of ${money(most!, data.base)}: a supervisor has to write them off.`
						: `Posting closes ${sums} on ${count(accounts, 'account')}.`}
				</p>
			</footer>
		{/if}
	{/if}
</div>

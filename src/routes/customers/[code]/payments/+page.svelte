<script lang="ts">
	import { rowCursor } from '$lib/ui/row-cursor';
	import type { moveReceipts } from '$lib/server/allocation/commands/move-receipts';
	import { SvelteSet } from 'svelte/reactivity';
	import { toast } from 'svelte-sonner';
	import type { Day } from '$lib/core/day/day';
	import { parseTypedDay } from '$lib/core/day/parse-typed-day';
	import CustomerField from '$lib/trade/CustomerField.svelte';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import FieldError from '$lib/ui/FieldError.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { count, money, shortDay, sumsByCurrency } from '$lib/words';
	let { data } = $props();
	const today = $derived((data.today ?? '') as Day);
	const picked = new SvelteSet<number>();
	const chosen = $derived(data.rows.filter((row) => picked.has(row.actId)));
	let to = $state<{ id: number; name: string } | null>(null);
	let date = $state('');
	const form = new ActForm<typeof moveReceipts>('?', {
		otherwise: 'That did not work. Nothing was changed.',
		done: ({ output }) => {
			const many = count(output.count, 'payment');
			toast(to ? `${many} moved to ${to.name}.` : `${many} wait on the desk again.`);
			picked.clear();
		}
	});
	const sums = $derived(sumsByCurrency(chosen));
	const day = $derived(date.trim() ? parseTypedDay(date, today) : null);
	const badDay = $derived(date.trim() !== '' && day === null);

	const move = () =>
		form.send({
			allocations: chosen.map(({ actId, receiptVersion }) => ({ actId, receiptVersion })),
			customerId: to?.id ?? null,
			date: day
		});
</script>

<svelte:head><title>Payments of {data.customer.name} · Odd Penny</title></svelte:head>

<div class="px-8 pt-5 pb-24">
	<p class="text-sm"><a href="/customers/{data.customer.code}">{data.customer.name}</a></p>
	<h1>
		{data.rows.length
			? `${count(data.rows.length, 'payment')} of ${data.customer.name}`
			: `No payment of ${data.customer.name} is allocated.`}
	</h1>
	<p class="mt-1 mb-3 says">
		Choose those that are wrong. What they settled is open again, and they wait in Money in, or go to another
		customer’s account as money on account; both steps are recorded. To change a single one, reallocate it
		from the account.
	</p>
	<Problems problems={form.problems} />
	{#if data.rows.length}
		<table>
			<thead
				><tr
					><th class="w-8"></th><th>Came</th><th>From</th><th>Words</th><th>Allocated by</th><th class="num"
						>On account</th
					><th class="num">Amount</th></tr
				></thead
			>
			<tbody {@attach rowCursor}>
				{#each data.rows as row (row.actId)}
					<tr>
						<td
							><input
								type="checkbox"
								aria-label="Choose the payment of {shortDay(row.booked, today)}, {money(
									row.amount,
									row.currency
								)}"
								checked={picked.has(row.actId)}
								onchange={() => (picked.has(row.actId) ? picked.delete(row.actId) : picked.add(row.actId))}
							/></td
						>
						<td class="whitespace-nowrap"
							><a class="block py-0.5" href="/books/journal?act={row.actId}">{shortDay(row.booked, today)}</a
							></td
						>
						<td>{row.payerName ?? 'unnamed'}</td>
						<td class="font-mono text-[13px]">{row.text}</td>
						<td class="whitespace-nowrap text-soft">{row.by}</td>
						<td class="num text-copper">{row.onAccount ? money(row.onAccount, row.currency) : ''}</td>
						<td class="num">{money(row.amount, row.currency)}</td>
					</tr>
				{/each}
			</tbody>
		</table>
		<footer
			class="double-top fixed inset-x-0 bottom-0 flex min-h-[54px] items-center gap-3 bg-raised px-5 py-2"
		>
			<button class="btn btn-main" disabled={form.busy || chosen.length === 0 || badDay} onclick={move}
				>{to
					? `Move ${count(chosen.length, 'payment')} to ${to.name}`
					: chosen.length
						? `Take ${count(chosen.length, 'payment')} off`
						: 'Take off'}</button
			>
			{#if to}<button class="btn" onclick={() => (to = null)}>Leave them in the pile instead</button>
			{:else}<CustomerField
					class="w-96"
					placeholder="or move them to another account"
					choose={(one) => (to = one)}
				/>{/if}
			<label class="flex items-center gap-2 text-sm"
				>on <input
					type="text"
					class="w-28"
					placeholder="today"
					bind:value={date}
					{...form.at('date')}
				/><FieldError {form} name="date" /></label
			>
			<p class={['ml-auto text-sm', badDay ? 'text-copper' : 'text-soft']} aria-live="polite">
				{badDay
					? 'That is not a date.'
					: chosen.length
						? `${sums} ${to ? `goes on account of ${to.name}` : 'waits on the desk again'}.`
						: 'Nothing is chosen.'}
			</p>
		</footer>
	{/if}
</div>

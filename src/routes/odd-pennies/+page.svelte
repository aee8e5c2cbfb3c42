<script lang="ts">
	import Table from '$lib/ui/Table.svelte';
	import type { TableColumn } from '$lib/ui/table-columns';
	import { plainAmount } from '$lib/words/plain-amount';
	import { scaleLinear } from 'd3-scale';
	import { CLAIM_WORDS, LOST_NAMES, amount, count, money, shortDay, sumsByCurrency } from '$lib/words';
	import { daysBetween } from '$lib/core/day/arithmetic';
	import type { Day } from '$lib/core/day/day';
	import { SvelteSet } from 'svelte/reactivity';
	import DecideDialog from './DecideDialog.svelte';
	let { data } = $props();
	const picked = new SvelteSet<number>();
	let reason = $state('');
	let owner = $state('');
	let older = $state(0);
	let customer = $state('');
	const reasons = $derived([...new Set(data.claims.map((one) => one.reason))]);
	const owners = $derived([...new Set(data.claims.map((one) => one.owner))].sort());
	const shown = $derived(
		data.claims.filter(
			(one) =>
				(!reason || one.reason === reason) &&
				(!owner || one.owner === owner) &&
				daysBetween(one.issued as Day, today as Day) >= older &&
				`${one.customer} ${one.code}`.toLowerCase().includes(customer.trim().toLowerCase())
		)
	);
	const chosen = $derived(shown.filter((one) => picked.has(one.itemId)));
	let deciding = $state(false);
	const today = $derived(data.today ?? '');
	const sums = $derived(sumsByCurrency(data.claims.map((one) => ({ ...one, amount: one.open }))));
	const late = $derived(data.claims.filter((one) => one.deadline < today));
	const all = $derived(data.lost.reduce((sum, one) => sum + one.base, 0));
	const x = $derived(scaleLinear([0, Math.max(1, ...data.lost.map((one) => one.base))], [0, 100]));
	type Row = (typeof data.claims)[number] & { readonly id: number };
	const listed = $derived(shown.map((one): Row => ({ ...one, id: one.itemId })));
	const age = (one: Row) => daysBetween(one.issued as Day, today as Day);
	const columns: readonly TableColumn<Row>[] = [
		{ id: 'choice', name: '', cell: choice, class: 'w-7' },
		{ id: 'claim', name: 'Claim', cell: claim, value: (one) => one.number, sorts: true, stays: true },
		{ id: 'customer', name: 'Customer', cell: customerCell, value: (one) => one.customer, sorts: true },
		{ id: 'reason', name: 'Because of', cell: because, value: (one) => CLAIM_WORDS[one.reason], sorts: true },
		{ id: 'owner', name: 'Followed up by', cell: ownerCell, value: (one) => one.owner, sorts: true },
		{ id: 'deadline', name: 'Decide by', cell: deadline, value: (one) => one.deadline, sorts: true },
		{ id: 'age', name: 'Days old', cell: ageCell, value: age, sorts: true, figures: true },
		{
			...{ id: 'open', name: 'Open', cell: open, sorts: true, figures: true, stays: true },
			value: (one) => one.open,
			copied: (one) => plainAmount(one.open, one.currency)
		}
	];
</script>

{#snippet choice(one: Row)}<input
		type="checkbox"
		aria-label="Choose {one.number}"
		checked={picked.has(one.itemId)}
		disabled={!data.mayAct}
		onchange={() => (picked.has(one.itemId) ? picked.delete(one.itemId) : picked.add(one.itemId))}
	/>{/snippet}
{#snippet claim(one: Row)}<a href="/odd-pennies/{one.number}" class="block py-0.5 font-semibold"
		>{one.number}</a
	>
	<span class="block text-xs whitespace-nowrap text-soft">{one.text}</span>{/snippet}
{#snippet customerCell(one: Row)}<a class="block py-0.5" href="/customers/{one.code}">{one.customer}</a
	>{/snippet}
{#snippet because(one: Row)}{CLAIM_WORDS[one.reason]}{#if one.note}<span class="block text-xs text-soft"
			>“{one.note}”</span
		>{/if}{/snippet}
{#snippet ownerCell(one: Row)}{one.owner}{/snippet}
{#snippet deadline(one: Row)}<span class={one.deadline < today ? 'text-oxblood' : ''}
		>{shortDay(one.deadline, today)}</span
	>{/snippet}
{#snippet ageCell(one: Row)}<span class="text-soft">{age(one)}</span>{/snippet}
{#snippet open(one: Row)}{one.currency === data.base
		? amount(one.open, one.currency)
		: money(one.open, one.currency)}{/snippet}

<svelte:head><title>Odd pennies · Odd Penny</title></svelte:head>

<div class="grid min-h-[calc(100vh-48px)] grid-cols-[minmax(0,1fr)_340px]">
	<section class="px-8 pt-5 pb-10">
		<h1>
			{data.claims.length
				? `${count(data.claims.length, 'claim waits', 'claims wait')} for a decision, ${sums}.`
				: 'No claim waits for a decision.'}
		</h1>
		<p class="mt-1 mb-3 says">
			{late.length
				? `${count(late.length, 'claim is', 'claims are')} past the day on which somebody should have decided.`
				: 'A claim is a short payment in dispute: its invoice is settled, the claim is owed until it is decided.'}
		</p>
		<p class="mb-3 flex gap-3">
			<a class="btn" href="/odd-pennies/deduction-analysis">Deduction analysis</a>
			<a class="btn" href="/odd-pennies/small-balances">Small balances</a>
			<a class={['btn', data.waiting && 'btn-main']} href="/books/approvals"
				>{data.waiting ? `${data.waiting} for a supervisor` : 'Asked of a supervisor'}</a
			>
		</p>
		{#if data.claims.length}
			<div role="search" class="mb-2 flex flex-wrap items-end gap-3 text-sm">
				<label class="grid gap-1"
					>Because of <select bind:value={reason}
						><option value="">anything</option>{#each reasons as one (one)}<option value={one}
								>{CLAIM_WORDS[one]}</option
							>{/each}</select
					></label
				>
				<label class="grid gap-1"
					>Followed up by <select bind:value={owner}
						><option value="">anybody</option>{#each owners as one (one)}<option>{one}</option>{/each}</select
					></label
				>
				<label class="grid gap-1"
					>Older than <select bind:value={older}
						><option value={0}>any age</option>{#each [14, 30, 60, 90] as days (days)}<option value={days}
								>{days} days</option
							>{/each}</select
					></label
				>
				<label class="grid gap-1"
					>Customer <input
						type="search"
						class="w-48"
						bind:value={customer}
						placeholder="name or code"
					/></label
				>
			</div>
			<Table name="claims" {columns} rows={listed} sortedHere>
				{#snippet empty()}No claim fits that.{/snippet}
			</Table>
			{#if data.mayAct}<button
					class="btn btn-main mt-4"
					disabled={chosen.length === 0}
					onclick={() => (deciding = true)}
					>{chosen.length ? `Decide ${count(chosen.length, 'claim')}` : 'Choose what to decide'}</button
				>{/if}
		{:else}
			<p class="says">
				When a payment comes short because something was broken or missing, name the odd penny a claim on the
				desk (<span class="key">3</span>).
			</p>
		{/if}
	</section>
	{#if deciding}<DecideDialog bind:open={deciding} claims={chosen} done={() => picked.clear()} />{/if}
	<aside class="border-l border-rule px-6 pt-5">
		<h2 class="text-xl">{money(all, data.base)} lost in twelve months</h2>
		<ul class="mt-3 grid gap-3">
			{#each data.lost as one (one.kind)}
				<li>
					<p class="flex justify-between text-sm">
						<span
							>{LOST_NAMES[one.kind] ?? one.kind}
							<span class="text-soft">{one.n} times</span></span
						><span class="num">{amount(one.base, data.base)}</span>
					</p>
					<div class="mt-0.5 h-2 bg-copper/70" style:width="{x(one.base)}%"></div>
				</li>
			{:else}<li class="says">Nothing was lost to fees, discounts and small differences.</li>{/each}
		</ul>
	</aside>
</div>

<script lang="ts">
	import { tick, untrack } from 'svelte';
	import Table from '$lib/ui/Table.svelte';
	import type { TableColumn } from '$lib/ui/table-columns';
	import { plainAmount } from '$lib/words/plain-amount';
	import Pages from '$lib/ui/Pages.svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import Coin from '$lib/ui/Coin.svelte';
	import ItemLife from '$lib/trade/ItemLife.svelte';
	import { amount, count, list, money, shortDay } from '$lib/words';
	import { screenKeys } from '$lib/ui/screen-keys.svelte';
	import type { Day } from '$lib/core/day/day';
	import PaidDialog from './PaidDialog.svelte';
	import { TickedItems } from './ticked-items.svelte';
	let { data } = $props();
	const ticked = new TickedItems(untrack(() => data.base));
	let paying = $state(false);
	let wantedField = $state<HTMLInputElement>();
	let seeking = $state(false);
	const barShown = $derived(seeking || ticked.all.length > 0);
	/** A sum is given, and what is still to be found of it stands while one ticks. */
	async function seek() {
		seeking = true;
		await tick();
		wantedField?.focus();
	}
	function clear() {
		ticked.clear();
		seeking = false;
	}
	screenKeys(() =>
		data.mayAct
			? [
					{
						keys: ['l'],
						what: 'write a letter about what is ticked',
						run: () => void (ticked.letterHref && goto(ticked.letterHref))
					},
					{
						keys: ['p'],
						what: 'record what is ticked as paid',
						run: () => ticked.all.length > 0 && (paying = true)
					},
					{ keys: ['f'], what: 'a sum to be found among them', run: seek },
					{ keys: ['c'], what: 'untick all', run: clear }
				]
			: []
	);
	const names = {
		all: 'All',
		late: 'Overdue',
		'late-30': 'Over 30 days',
		'late-90': 'Over 90 days',
		'part-paid': 'Part paid',
		credits: 'Credit notes'
	} as const;
	const facets = Object.keys(names) as (keyof typeof names)[];
	const sums = $derived(list(data.sums.map((one) => money(one.open, one.currency))));
	const shown = $derived(data.counts[data.query.facet] ?? 0);
	function link(change: Record<string, string | null>): string {
		const params = new URLSearchParams(page.url.searchParams);
		for (const [key, value] of Object.entries(change))
			if (value === null || value === '') params.delete(key);
			else params.set(key, value);
		return `/open-items?${params}`;
	}
	type Row = (typeof data.rows)[number];
	const signed = (row: Row) => (row.kind === 'credit_note' ? -row.open : row.open);
	const columns: readonly TableColumn<Row>[] = $derived([
		...(data.mayAct ? [{ id: 'tick', name: '', cell: tickBox, class: 'w-7' }] : []),
		{ id: 'mark', name: '', cell: mark, class: 'w-6' },
		{ id: 'number', name: 'Item', cell: number, value: (row) => row.number, sorts: true, stays: true },
		{ id: 'customer', name: 'Customer', cell: customer, value: (row) => row.customer, sorts: true },
		{
			...{ id: 'due', name: 'Due', cell: due, sorts: true, class: 'whitespace-nowrap' },
			value: (row) => (row.kind === 'credit_note' ? '' : row.due)
		},
		{
			id: 'late',
			name: 'Overdue',
			cell: late,
			value: (row) => (row.late > 0 ? row.late : ''),
			figures: true
		},
		{
			...{ id: 'total', name: 'Total', cell: total, sorts: true, figures: true },
			copied: (row) => plainAmount(row.total, row.currency)
		},
		{
			...{ id: 'open', name: 'Open', cell: open, sorts: true, figures: true, stays: true },
			copied: (row) => plainAmount(signed(row), row.currency)
		}
	]);
	const share = (row: (typeof data.rows)[number]) => (row.total - row.open) / row.total;
</script>

{#snippet tickBox(row: Row)}<input
		type="checkbox"
		class="align-middle"
		aria-label="Tick {row.number}"
		checked={ticked.has(row.id)}
		onchange={() => ticked.toggle(row)}
	/>{/snippet}
{#snippet mark(row: Row)}<Coin
		share={share(row)}
		label={row.open < row.total
			? `part paid, ${amount(row.open, row.currency)} of ${amount(row.total, row.currency)} open`
			: 'unpaid'}
	/>{/snippet}
{#snippet number(row: Row)}<a href={link({ item: String(row.id) })} data-sveltekit-noscroll
		><strong class="font-semibold">{row.number}</strong>{row.parts > 1
			? ` (${row.part} of ${row.parts})`
			: ''} <span class="text-soft">{row.text}</span></a
	>{/snippet}
{#snippet customer(row: Row)}<a href="/customers/{row.code}">{row.customer}</a>{/snippet}
{#snippet due(row: Row)}{row.kind === 'credit_note'
		? '–'
		: shortDay(row.due, data.today ?? undefined)}{/snippet}
{#snippet late(row: Row)}<span class="text-oxblood">{row.late > 0 ? `${row.late} d` : ''}</span>{/snippet}
{#snippet total(row: Row)}<span class="text-soft"
		>{row.open < row.total ? amount(row.total, row.currency) : ''}</span
	>{/snippet}
{#snippet open(row: Row)}{row.currency === data.base
		? amount(signed(row), row.currency)
		: money(signed(row), row.currency)}{/snippet}

<svelte:head><title>Open items · Odd Penny</title></svelte:head>

<div
	class="grid h-[calc(100vh-48px)] {barShown ? 'grid-rows-[minmax(0,1fr)_auto]' : 'grid-rows-1'} {data.item
		? 'grid-cols-[minmax(0,1fr)_400px]'
		: 'grid-cols-1'}"
>
	<section class="overflow-y-auto px-8 pt-5">
		<div class="flex items-baseline">
			<h1>{shown ? `${count(shown, 'item')} open, ${sums}.` : 'Nothing is open here.'}</h1>
			<span class="ml-auto flex gap-4 text-sm"
				>{#if data.mayAct}<button class="cursor-pointer underline" onclick={seek}
						>Tick what was paid <span class="key">F</span></button
					>{/if}<a class="underline" href="/open-items/new">Write a document</a><a
					class="underline"
					href="/open-items/bring-in">Bring in invoices or customers</a
				></span
			>
		</div>
		<div class="mt-3 mb-2 flex flex-wrap items-center gap-x-5 gap-y-2">
			<nav aria-label="Which of them" class="flex flex-wrap gap-x-5 gap-y-2">
				{#each facets as facet (facet)}<a
						href={link({ show: facet === 'all' ? null : facet, page: null })}
						aria-current={data.query.facet === facet ? 'true' : undefined}
						class={[
							'border-b-2 pb-0.5 hover:no-underline',
							data.query.facet === facet ? 'border-copper font-semibold' : 'border-transparent text-soft'
						]}
					>
						{names[facet]} <span class="text-xs">{data.counts[facet] ?? 0}</span>
					</a>{/each}
			</nav>
			<div role="search" class="ml-auto">
				<input
					type="search"
					class="w-64"
					aria-label="Filter by number, name, order or amount"
					placeholder="number, name, order or 1,889.20"
					value={data.query.text}
					onchange={(event) => goto(link({ q: event.currentTarget.value, page: null }), { keepFocus: true })}
				/>
			</div>
		</div>
		<Table
			name="open-items"
			{columns}
			rows={data.rows}
			active={data.item?.item.id}
			fileHref="/open-items/file{page.url.search}"
		>
			{#snippet empty()}{data.query.text ? `Nothing open fits “${data.query.text}”.` : 'Nothing is open.'}
				{#if data.query.text}<a class="underline" href={link({ q: null })}>Show all</a>{/if}{/snippet}
		</Table>
		<Pages page={data.query.page} per={data.pageSize} total={shown} />
	</section>
	{#if data.item}
		<aside class="overflow-y-auto border-l border-rule bg-raised px-6 pt-5">
			<ItemLife
				life={data.item}
				today={data.today ?? ''}
				closeHref={link({ item: null })}
				mayAct={data.mayAct}
			/>
		</aside>
	{/if}
	{#if barShown}
		<footer class="double-top col-span-full flex h-[54px] items-center gap-4 bg-raised px-8">
			<button class="btn btn-main" disabled={ticked.all.length === 0} onclick={() => (paying = true)}
				>Record as paid <span class="key">P</span></button
			>
			{#if ticked.letterHref}<a class="btn" href={ticked.letterHref}
					>Write about {ticked.all.length === 1 ? 'it' : 'them'} <span class="key">L</span></a
				>{/if}
			<p aria-live="polite">
				{ticked.all.length
					? `${count(ticked.all.length, 'item')} of ${count(ticked.accounts, 'account')}, ${list(ticked.sums.map((one) => money(one.amount, one.currency)))}.`
					: 'Tick what was paid.'}
				{#if ticked.left !== null}<strong
						class={['font-semibold', ticked.left === 0 ? 'text-patina' : 'text-copper']}
						>{ticked.left === 0
							? 'Just the sum.'
							: ticked.left > 0
								? `${money(ticked.left, ticked.currency ?? data.base)} still to be found.`
								: `${money(-ticked.left, ticked.currency ?? data.base)} too much.`}</strong
					>{/if}
			</p>
			<label class="ml-auto flex items-center gap-2 text-sm text-soft"
				>Sum to be found <span class="key">F</span><input
					bind:this={wantedField}
					type="text"
					inputmode="decimal"
					class="amount-field w-28"
					bind:value={ticked.wanted}
				/></label
			>
			<button class="btn" onclick={clear}>Clear <span class="key">C</span></button>
		</footer>
	{/if}
</div>
{#if data.ways}<PaidDialog
		bind:open={paying}
		{ticked}
		ways={data.ways}
		today={(data.today ?? '') as Day}
	/>{/if}

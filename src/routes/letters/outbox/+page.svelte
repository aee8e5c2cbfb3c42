<script lang="ts">
	import { enhance } from '$app/forms';
	import { refreshWhenStill } from '$lib/ui/refresh-when-still';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import SendAgain from '$lib/trade/letters/SendAgain.svelte';
	import Table from '$lib/ui/Table.svelte';
	import type { TableColumn } from '$lib/ui/table-columns';
	import { plainAmount } from '$lib/words/plain-amount';
	import Problems from '$lib/ui/Problems.svelte';
	import { screenKeys } from '$lib/ui/screen-keys.svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import DayField from '$lib/ui/DayField.svelte';
	import LetterTabs from '../LetterTabs.svelte';
	import type { printLetters } from '$lib/server/letters/commands/print-letters';
	import {
		count,
		DELIVERY_WORDS,
		didNotArrive,
		deliverySays,
		money,
		moment,
		shortDay,
		LETTER_NAMES
	} from '$lib/words';
	let { data } = $props();
	// While letters are on their way the list is asked again; it stops by itself.
	$effect(() => {
		if (data.busy === 0) return;
		const timer = setTimeout(() => refreshWhenStill('books:outbox'), 700);
		return () => clearTimeout(timer);
	});
	const OUTBOX_STATE_WORDS = {
		'under-way': 'on the way',
		sent: 'sent',
		refused: 'did not arrive',
		withdrawn: 'withdrawn',
		'to-print': 'to be printed',
		printed: 'printed'
	} as const;
	const isFiltered = $derived(Object.keys(data.query).length > 1);
	function look(event: SubmitEvent & { currentTarget: HTMLFormElement }) {
		event.preventDefault();
		const params = new URLSearchParams();
		for (const [name, value] of new FormData(event.currentTarget))
			if (typeof value === 'string' && value.trim() !== '') params.set(name, value.trim());
		void goto(`/letters/outbox?${params}`, { keepFocus: true, noScroll: true });
	}
	const changed = (event: Event & { currentTarget: HTMLElement }) =>
		event.currentTarget.closest('form')?.requestSubmit();
	let wordsField = $state<HTMLInputElement>();
	screenKeys(() => [{ keys: ['f'], what: 'find letters by their words', run: () => wordsField?.focus() }]);
	function pageLink(to: number): string {
		const params = new URLSearchParams(page.url.searchParams);
		params.set('page', String(to));
		return `/letters/outbox?${params}`;
	}
	const print = new ActForm<typeof printLetters>('?/print');
	const stateOf = (row: Row) =>
		[
			row.state === 'paper' ? '' : DELIVERY_WORDS[row.state],
			row.printing === 'waiting' ? 'to be printed' : row.printing === 'printed' ? 'printed' : ''
		]
			.filter(Boolean)
			.join(', ');
	type Row = (typeof data.rows)[number];
	const named = (row: Row) => `${LETTER_NAMES[row.kind]} of ${shortDay(row.date, data.today ?? undefined)}`;
	const failed = (row: Row) => didNotArrive(row.state);
	const columns: readonly TableColumn<Row>[] = [
		{ id: 'letter', name: 'Letter', cell: letter, value: named, stays: true },
		{ id: 'customer', name: 'Customer', cell: customer, value: (row) => row.name },
		{ id: 'to', name: 'To', cell: to, value: (row) => row.resentTo ?? row.recipient },
		{
			...{ id: 'amount', name: 'Amount', cell: sum, figures: true },
			copied: (row) => plainAmount(row.amount, row.currency)
		},
		{ id: 'state', name: 'State', cell: state, value: stateOf, stays: true },
		{ id: 'again', name: '', cell: again, figures: true }
	];
</script>

{#snippet letter(row: Row)}<a class="font-semibold" href="/letters/outbox/{row.id}">{named(row)}</a>{/snippet}
{#snippet customer(row: Row)}<a href="/customers/{row.code}">{row.name}</a>{/snippet}
{#snippet to(row: Row)}<span class="text-soft">{row.resentTo ?? (row.recipient || 'by post')}</span>{/snippet}
{#snippet sum(row: Row)}{money(row.amount, row.currency)}{/snippet}
{#snippet state(row: Row)}<span
		class={failed(row) ? 'font-semibold text-oxblood' : row.state === 'sent' ? 'text-patina' : 'text-copper'}
		>{stateOf(row)}</span
	>
	<span class="block text-xs text-soft">{deliverySays(row) || moment(row.at)}</span>{/snippet}
{#snippet again(row: Row)}{#if data.mayAct}<SendAgain
			letter={{ ...row, to: row.resentTo ?? row.recipient }}
		/>{/if}{/snippet}

<svelte:head><title>Outbox · Odd Penny</title></svelte:head>

<div class="max-w-[1100px] px-8 pt-5 pb-10">
	<LetterTabs here="outbox" />
	<h1 class="mt-3" aria-live="polite">
		{data.busy
			? `${count(data.busy, 'letter')} on the way …`
			: data.rows.length || isFiltered
				? 'Every letter, as it was sent.'
				: 'No letter was sent yet.'}
	</h1>
	{#if data.trouble}<p class="mt-1 text-oxblood">No letter goes: {data.trouble}</p>{/if}
	<form
		class="mt-2 flex flex-wrap items-end gap-x-4 gap-y-2 text-sm"
		onsubmit={look}
		aria-label="Which letters"
	>
		{#if data.query.runId}<input type="hidden" name="run" value={data.query.runId} />{/if}
		<label class="grid gap-0.5"
			><span class="text-soft">Customer, address or words <span class="key">F</span></span><input
				bind:this={wordsField}
				type="search"
				name="q"
				class="w-56 py-0.5"
				value={data.query.words ?? ''}
				onchange={changed}
			/></label
		>
		<label class="grid gap-0.5"
			><span class="text-soft">Kind</span>
			<select name="kind" class="py-0.5" value={data.query.kind ?? ''} onchange={changed}
				><option value="">any</option>{#each Object.entries(LETTER_NAMES) as [kind, name] (kind)}<option
						value={kind}>{name}</option
					>{/each}</select
			></label
		>
		<label class="grid gap-0.5"
			><span class="text-soft">State</span>
			<select name="state" class="py-0.5" value={data.query.state ?? ''} onchange={changed}
				><option value="">any</option
				>{#each Object.entries(OUTBOX_STATE_WORDS) as [state, name] (state)}<option value={state}
						>{name}</option
					>{/each}</select
			></label
		>
		<DayField name="from" label="From" value={data.query.from ?? ''} near={data.day} {changed} />
		<DayField name="to" label="To" value={data.query.to ?? ''} near={data.day} {changed} />
		{#if isFiltered}<a class="py-1 underline" href="/letters/outbox">all letters</a>{/if}
		{#if data.query.runId}<a class="py-1 underline" href="/letters/runs/{data.query.runId}"
				>run {data.query.runId}</a
			>{/if}
	</form>
	{#if data.toPrint > 0 && data.mayAct}
		<form class="mt-3" method="POST" action="?/print" use:enhance={print.submit()}>
			<button class="btn" disabled={print.busy}>Print {count(Math.min(data.toPrint, 300), 'letter')}</button>
		</form>
	{/if}
	<Problems problems={print.problems} />
	<Table name="outbox" {columns} rows={data.rows}>
		{#snippet empty()}{isFiltered
				? 'No letter is like that.'
				: 'Choose who gets a statement or a reminder, read one, and send.'}{/snippet}
	</Table>
	{#if data.query.page > 0 || data.hasMore}
		<nav aria-label="Pages" class="double-top mt-1 flex gap-4 py-3 text-sm">
			<span class="text-soft">page {data.query.page + 1}</span>
			{#if data.query.page > 0}<a class="underline" href={pageLink(data.query.page - 1)}>previous</a>{/if}
			{#if data.hasMore}<a class="underline" href={pageLink(data.query.page + 1)}>next</a>{/if}
		</nav>
	{/if}
</div>

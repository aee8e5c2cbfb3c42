<script lang="ts">
	import { enhance } from '$app/forms';
	import { refreshWhenStill } from '$lib/ui/refresh-when-still';
	import type { sendAgain } from '$lib/server/letters/commands/send-again';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Table from '$lib/ui/Table.svelte';
	import type { TableColumn } from '$lib/ui/table-columns';
	import { plainAmount } from '$lib/words/plain-amount';
	import Problems from '$lib/ui/Problems.svelte';
	import { count, money, moment, shortDay, LETTER_NAMES } from '$lib/words';
	let { data } = $props();
	const form = new ActForm<typeof sendAgain>('?/again');
	// While letters are on their way the list is asked again; it stops by itself.
	$effect(() => {
		if (data.busy === 0) return;
		const timer = setTimeout(() => refreshWhenStill('books:outbox'), 700);
		return () => clearTimeout(timer);
	});
	const states = {
		waiting: 'waits',
		sending: 'on its way',
		sent: 'sent',
		refused: 'refused',
		failed: 'failed'
	} as const;
	type Row = (typeof data.rows)[number];
	const named = (row: Row) => `${LETTER_NAMES[row.kind]} of ${shortDay(row.date, data.today ?? undefined)}`;
	const failed = (row: Row) => row.state === 'refused' || row.state === 'failed';
	const columns: readonly TableColumn<Row>[] = [
		{ id: 'letter', name: 'Letter', cell: letter, value: named, stays: true },
		{ id: 'customer', name: 'Customer', cell: customer, value: (row) => row.name },
		{ id: 'to', name: 'To', cell: to, value: (row) => row.recipient },
		{
			...{ id: 'amount', name: 'Amount', cell: sum, figures: true },
			copied: (row) => plainAmount(row.amount, row.currency)
		},
		{ id: 'state', name: 'State', cell: state, value: (row) => states[row.state], stays: true },
		{ id: 'again', name: '', cell: again, figures: true }
	];
</script>

{#snippet letter(row: Row)}<a class="font-semibold" href="/letters/outbox/{row.id}">{named(row)}</a>{/snippet}
{#snippet customer(row: Row)}<a href="/customers/{row.code}">{row.name}</a>{/snippet}
{#snippet to(row: Row)}<span class="text-soft">{row.recipient}</span>{/snippet}
{#snippet sum(row: Row)}{money(row.amount, row.currency)}{/snippet}
{#snippet state(row: Row)}<span
		class={failed(row) ? 'font-semibold text-oxblood' : row.state === 'sent' ? 'text-patina' : 'text-copper'}
		>{states[row.state]}</span
	>
	<span class="block text-xs text-soft">{failed(row) ? row.answer : moment(row.at)}</span>{/snippet}
{#snippet again(row: Row)}{#if failed(row)}
		<form method="POST" action="?/again" use:enhance={form.submit()}>
			<input type="hidden" name="letterId" value={row.id} /><button
				class="btn py-0.5"
				disabled={!data.mayAct || form.busy}>Send again</button
			>
		</form>
	{/if}{/snippet}

<svelte:head><title>Outbox · Odd Penny</title></svelte:head>

<div class="max-w-[1100px] px-8 pt-5 pb-10">
	<nav class="flex gap-5" aria-label="Kinds of letters">
		<a
			href="/letters?kind=statement"
			class="border-b-2 border-transparent pb-0.5 text-soft hover:no-underline">Statements</a
		>
		<a href="/letters?kind=reminder" class="border-b-2 border-transparent pb-0.5 text-soft hover:no-underline"
			>Reminders</a
		>
		<a
			href="/letters/outbox"
			aria-current="page"
			class="border-b-2 border-copper pb-0.5 font-semibold hover:no-underline">Outbox</a
		>
	</nav>
	<h1 class="mt-3" aria-live="polite">
		{data.busy
			? `${count(data.busy, 'letter')} on the way …`
			: data.rows.length
				? 'Every letter, as it was sent.'
				: 'No letter was sent yet.'}
	</h1>
	<Problems problems={form.problems} />
	<Table name="outbox" {columns} rows={data.rows}>
		{#snippet empty()}Choose who gets a statement or a reminder, read one, and send.{/snippet}
	</Table>
</div>

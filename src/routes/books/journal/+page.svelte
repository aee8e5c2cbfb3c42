<script lang="ts">
	import { rowCursor } from '$lib/ui/row-cursor';
	import { amount, moment, shortDay, actSentence, undoingSentence } from '$lib/words';
	import type { reinstate } from '$lib/server/allocation/commands/reinstate';
	import type { undoActs } from '$lib/server/allocation/commands/undo-acts';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	let { data } = $props();
	const asBefore = new ActForm<typeof reinstate>('?/asBefore');
	const undo = new ActForm<typeof undoActs>('?/undo');
	const problems = $derived([...asBefore.problems, ...undo.problems]);
	/** The account whose threads an act belongs to: the first of its customers. */
	const threadsOf = (entry: (typeof data.entries)[number]) =>
		entry.lines.find((line) => line.code !== null)?.code ?? null;
	const title = $derived(
		data.query.actId
			? 'One act and its journal'
			: data.query.account
				? `The journal, account ${data.query.account}`
				: 'The journal, newest first'
	);
</script>

<svelte:head><title>Journal · Odd Penny</title></svelte:head>

<div class="max-w-[1000px] px-8 pt-5 pb-10">
	<p class="text-sm">
		<a class="underline" href="/books">Books</a>{#if data.query.actId || data.query.account}&nbsp;· <a
				class="underline"
				href="/books/journal">all of the journal</a
			>{/if}
	</p>
	<h1 class="mt-1">{title}</h1>
	<div class="mt-2"><Problems {problems} /></div>
	{#if data.may?.said}
		<p class="mt-1">{actSentence(data.may.said)}</p>
		{#if data.may.undo && data.may.undoing}<p class="mt-1 says">
				Undoing it: {undoingSentence(data.may.undoing)}
			</p>{/if}
		<p class="mt-2 flex gap-3">
			{#if data.may.putRight}
				<a class="btn" href="/money-in/reallocate/{data.may.putRight.actId}">Put it right</a>
				<a class="btn" href="/money-in/returned/{data.may.putRight.receiptId}">Mark as returned</a>
			{/if}
			{#if data.may.undo}
				<button class="btn" disabled={undo.busy} onclick={() => undo.send({ actIds: [data.may!.undo!] })}
					>Undo it</button
				>
			{:else if data.may.asBefore}
				<button
					class="btn"
					disabled={asBefore.busy}
					onclick={() => asBefore.send({ actId: data.query.actId! })}>Allocate it again as it was</button
				>
			{/if}
		</p>
	{/if}
	<table class="mt-3">
		<thead class="sticky top-0 bg-paper"
			><tr
				><th>Account</th><th>Customer</th><th class="num">Debit</th><th class="num">Credit</th><th class="num"
					>Base</th
				></tr
			></thead
		>
		{#each data.entries as entry (entry.id)}
			<tbody {@attach rowCursor} class="border-t-2 border-rule">
				<tr>
					<td colspan="5" class="pt-3">
						<a href="/books/journal?act={entry.id}" class="font-semibold">{shortDay(entry.date)}</a>
						{actSentence(entry.said)}
						<span class="text-sm text-soft"
							>· {entry.userName}, {moment(entry.at)} ·
							<a class="underline" href="/books/record?before={entry.id + 1}">record {entry.id}</a
							>{#if threadsOf(entry)}&nbsp;· <a class="underline" href="/customers/{threadsOf(entry)}/threads"
									>what it paid</a
								>{/if}{#if entry.undoesId}&nbsp;· <a
									class="underline"
									href="/books/journal?act={entry.undoesId}">undoes record {entry.undoesId}</a
								>{/if}</span
						>
					</td>
				</tr>
				{#each entry.lines as line (line.id)}
					<tr>
						<td class={line.amount < 0 || (line.amount === 0 && line.base < 0) ? 'pl-8!' : ''}
							><a href="/books/journal?account={line.account}">{line.account} {line.name}</a></td
						>
						<td
							>{#if line.code}<a href="/customers/{line.code}">{line.customer}</a>{/if}</td
						>
						<td class="num"
							>{line.amount > 0 ? `${amount(line.amount, line.currency)} ${line.currency}` : ''}</td
						>
						<td class="num"
							>{line.amount < 0 ? `${amount(-line.amount, line.currency)} ${line.currency}` : ''}</td
						>
						<td class="num text-soft">{amount(line.base, data.base)}</td>
					</tr>
				{/each}
			</tbody>
		{:else}
			<tbody
				><tr
					><td colspan="5" class="py-6 text-soft"
						>{data.query.actId
							? 'This act posted nothing to the journal.'
							: 'Nothing is posted here yet.'}</td
					></tr
				></tbody
			>
		{/each}
	</table>
	{#if data.next}<p class="double-top py-3">
			<a
				class="underline"
				href="/books/journal?before={data.next}{data.query.account ? `&account=${data.query.account}` : ''}"
				>further back</a
			>
		</p>{/if}
</div>

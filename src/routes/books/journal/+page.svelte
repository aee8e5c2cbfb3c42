<script lang="ts">
	import { amount, moment, shortDay } from '$lib/words/format';
	import { enhance } from '$app/forms';
	import Problems from '$lib/ui/Problems.svelte';
	let { data, form } = $props();
	const key = crypto.randomUUID();
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

<div class="mx-auto max-w-[1000px] px-8 pt-5 pb-10">
	<p class="text-sm">
		<a class="underline" href="/books">Books</a>{#if data.query.actId || data.query.account}&nbsp;· <a
				class="underline"
				href="/books/journal">all of the journal</a
			>{/if}
	</p>
	<h1 class="mt-1">{title}</h1>
	<div class="mt-2"><Problems problems={form?.problems} /></div>
	{#if data.may?.putRight}
		<p class="mt-2 flex gap-3">
			<a class="btn" href="/money-in/again/{data.query.actId}">Put it right</a>
			<a class="btn" href="/money-in/returned/{data.may.putRight}">It came back</a>
		</p>
	{:else if data.may?.asBefore}
		<form method="POST" action="?/asBefore" class="mt-2" use:enhance>
			<input type="hidden" name="actId" value={data.query.actId} />
			<input type="hidden" name="key" value={key} />
			<button class="btn">Place it again as it was</button>
		</form>
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
			<tbody class="border-t-2 border-rule">
				<tr>
					<td colspan="5" class="pt-3">
						<a href="/books/journal?act={entry.id}" class="font-semibold">{shortDay(entry.date)}</a>
						{entry.summary}
						<span class="text-sm text-soft">· {entry.userName}, {moment(entry.at)} · record {entry.id}</span>
						<a class="text-sm text-soft" href="/books/record?before={entry.id + 1}">in the record</a>
						{#if threadsOf(entry)}<a class="text-sm text-soft" href="/customers/{threadsOf(entry)}/threads"
								>which money paid what</a
							>{/if}
						{#if entry.undoesId}<a class="text-sm underline" href="/books/journal?act={entry.undoesId}"
								>takes back record {entry.undoesId}</a
							>{/if}
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

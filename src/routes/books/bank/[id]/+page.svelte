<script lang="ts">
	import { rowCursor } from '$lib/ui/row-cursor';
	import { page } from '$app/state';
	import { actSentence, amount, shortDay } from '$lib/words';
	let { data } = $props();
	type Part = (typeof data.entries)[number]['parts'][number];
	const today = $derived(data.today ?? undefined);
	const further = $derived.by(() => {
		const params = new URLSearchParams(page.url.searchParams);
		params.set('before', String(data.next));
		return `?${params}`;
	});
	/** Where a receipt stands that nothing was posted for. */
	function stands({ state, unidentified }: Part): string {
		if (state === 'in_approval') return 'waits for a supervisor';
		if (unidentified) return 'unidentified';
		return state === 'held' ? 'on hold in Money in' : 'waits in Money in';
	}
</script>

<svelte:head><title>{data.account.name} · Odd Penny</title></svelte:head>

<div class="px-8 pt-5 pb-10">
	<p class="text-sm"><a href="/books">Books</a></p>
	<h1>{data.account.name}: what the bank shows</h1>
	<p class="mt-1 mb-3 says">
		{data.account.number}, {data.account.currency}. Every entry as the bank sent it, newest first, with what
		was done with it. Open one to see its journal, or to undo it.
	</p>
	<form method="GET" class="mb-3 flex items-end gap-3" data-sveltekit-keepfocus>
		<label class="grid gap-1 text-sm"
			>Find <input
				type="text"
				name="find"
				class="w-64"
				placeholder="name, words, reference or amount"
				value={data.query.text}
			/></label
		>
		<button class="btn">Show</button>
		{#if data.query.text}<a class="btn" href="/books/bank/{data.account.id}">All entries</a>{/if}
		<a class="btn ml-auto" href="/books/journal?account={data.account.ledger}">Its journal</a>
	</form>
	<table>
		<thead class="sticky top-0 bg-paper"
			><tr><th>Booked</th><th>Who and what</th><th class="num">Amount</th><th>What was done</th></tr></thead
		>
		<tbody {@attach rowCursor}>
			{#each data.entries as entry (entry.id)}
				<tr class="align-top">
					<td class="whitespace-nowrap">{shortDay(entry.booked, today)}</td>
					<td
						>{entry.parts[0]?.payer ?? 'no name'}
						<span class="font-mono text-[13px] text-soft">{entry.parts[0]?.text || entry.text}</span></td
					>
					<td class="num">{amount(entry.amount, entry.currency)}</td>
					<td>
						{#each entry.parts as part (part.id)}
							<span class="block py-1">
								{#if part.state === 'waiting' || part.state === 'held' || part.state === 'in_approval'}<a
										class="text-copper"
										href="/money-in?receipt={part.id}">{stands(part)}</a
									>{/if}
								{#if part.done}<a href="/books/journal?act={part.done.actId}">{actSentence(part.done.said)}</a
									>
									<span class="text-soft">· {part.done.by}</span>{/if}
							</span>
						{/each}
					</td>
				</tr>
			{:else}<tr
					><td colspan="4" class="py-6 text-soft"
						>{data.query.text
							? 'No entry of this account fits that.'
							: 'The bank has not shown anything yet: bring in a bank file on Money in.'}</td
					></tr
				>{/each}
		</tbody>
	</table>
	{#if data.next}<p class="double-top py-3"><a class="underline" href={further}>further back</a></p>{/if}
</div>

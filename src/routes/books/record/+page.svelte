<script lang="ts">
	import { rowCursor } from '$lib/ui/row-cursor';
	import { page } from '$app/state';
	import Problems from '$lib/ui/Problems.svelte';
	import { actSentence, count, moment, shortDay } from '$lib/words';
	let { data } = $props();
	const today = $derived(data.today ?? '');
	const filtered = $derived(
		Boolean(
			data.query.person || data.query.from || data.query.to || data.query.customer || data.query.document
		)
	);
	const further = $derived.by(() => {
		const params = new URLSearchParams(page.url.searchParams);
		params.set('before', String(data.next));
		return `/books/record?${params}`;
	});
</script>

<svelte:head><title>Record · Odd Penny</title></svelte:head>

<div class="px-8 pt-5 pb-10">
	<p class="text-sm"><a href="/books">Books</a></p>
	<h1>Who did what, newest first</h1>
	<p class="mt-1 mb-3 says">
		Every act with its time and what it touched. Each is linked to the one before, so that none can be changed
		or lost unnoticed: the <a href="/books">proof</a> reads the whole chain.
	</p>
	<Problems
		problems={data.bad.map((text) => `“${text}” is not a date. Write 30 Oct, 30/10 or 2026-10-30.`)}
	/>
	<form method="GET" class="mb-3 flex flex-wrap items-end gap-3 text-sm" data-sveltekit-keepfocus>
		<label class="grid gap-1"
			>Person <select name="person" value={data.query.person}
				><option value="">anybody</option>{#each data.people as name (name)}<option value={name}
						>{name}</option
					>{/each}</select
			></label
		>
		<label class="grid gap-1"
			>From <input
				type="text"
				name="from"
				class="w-28"
				placeholder="any day"
				value={data.query.from && shortDay(data.query.from, today)}
			/></label
		>
		<label class="grid gap-1"
			>To <input
				type="text"
				name="to"
				class="w-28"
				placeholder="any day"
				value={data.query.to && shortDay(data.query.to, today)}
			/></label
		>
		<label class="grid gap-1"
			>Customer <input
				type="text"
				name="customer"
				class="w-48"
				placeholder="name or code"
				value={data.query.customer}
			/></label
		>
		<label class="grid gap-1"
			>Document <input
				type="text"
				name="document"
				class="w-36"
				placeholder="number"
				value={data.query.document}
			/></label
		>
		<button class="btn">Show</button>
		{#if filtered}<a class="btn" href="/books/record">Everything</a>{/if}
	</form>
	<table>
		<thead class="sticky top-0 bg-paper"
			><tr
				><th class="num">No.</th><th>Done</th><th>By</th><th>What</th><th>Customer</th><th>For</th><th
					>Mark</th
				></tr
			></thead
		>
		<tbody {@attach rowCursor}>
			{#each data.rows as row (row.id)}
				<tr class="align-top">
					<td class="num text-soft">{row.id}</td>
					<td class="whitespace-nowrap">{moment(row.at)}</td>
					<td class="whitespace-nowrap">{row.by}</td>
					<td>
						{#if row.posted || row.partsCount}<a
								class="block min-h-6 w-fit py-0.5"
								href="/books/journal?act={row.id}">{actSentence(row.said)}</a
							>{:else}{actSentence(row.said)}{/if}
						{#if row.partsCount}
							<details class="text-sm text-soft">
								<summary class="min-h-6 cursor-pointer py-0.5">in {count(row.partsCount, 'part')}</summary>
								<ul>
									{#each row.parts as part (part.id)}
										<li>
											<a class="block min-h-6 w-fit py-0.5" href="/books/journal?act={part.id}"
												>{part.id}: {actSentence(part.said)}</a
											>
										</li>
									{/each}
									{#if row.partsCount > row.parts.length}<li>
											and {row.partsCount - row.parts.length} more,
											<a href="/books/journal?act={row.id}">all of them in the journal</a>
										</li>{/if}
								</ul>
							</details>
						{/if}
						{#if row.parentId}<a
								class="block min-h-6 w-fit py-0.5 text-sm text-soft"
								href="/books/journal?act={row.parentId}">a part of record {row.parentId}</a
							>{/if}
						{#if row.undoesId}<a
								class="block min-h-6 w-fit py-0.5 text-sm text-copper"
								href="/books/journal?act={row.undoesId}">of record {row.undoesId}</a
							>{/if}
						{#if row.undoneBy}<a
								class="block min-h-6 w-fit py-0.5 text-sm text-copper"
								href="/books/journal?act={row.undoneBy}">undone by record {row.undoneBy}</a
							>{/if}
						{#if row.reason}<span class="block text-sm text-soft">{row.reason}</span>{/if}
					</td>
					<td class="whitespace-nowrap"
						>{#if row.code}<a href="/customers/{row.code}">{row.customer}</a>{/if}</td
					>
					<td class="whitespace-nowrap">{shortDay(row.date, today)}</td>
					<td class="font-mono text-[12px] text-soft" title={row.hash}>{row.hash.slice(0, 8)}</td>
				</tr>
			{:else}<tr><td colspan="7" class="py-6 text-soft">No records match.</td></tr>{/each}
		</tbody>
	</table>
	{#if data.next}<p class="double-top py-3"><a class="underline" href={further}>further back</a></p>{/if}
</div>

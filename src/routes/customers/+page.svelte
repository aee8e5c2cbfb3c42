<script lang="ts">
	import { page } from '$app/state';
	import Table from '$lib/ui/Table.svelte';
	import type { TableColumn } from '$lib/ui/table-columns';
	import { plainAmount } from '$lib/words/plain-amount';
	import Pages from '$lib/ui/Pages.svelte';
	import { goto } from '$app/navigation';
	import { amount, count, whole } from '$lib/words';
	let { data } = $props();
	type Row = (typeof data.rows)[number];
	const columns: readonly TableColumn<Row>[] = $derived([
		{ id: 'code', name: 'Code', cell: code, value: (row) => row.code, sorts: true, class: 'text-soft' },
		{ id: 'name', name: 'Name', cell: name, value: (row) => row.name, sorts: true, stays: true },
		{ id: 'items', name: 'Open items', cell: items, value: (row) => row.items, sorts: true, figures: true },
		{
			...{ id: 'late', name: `Overdue, ${data.base}`, cell: late, sorts: true, figures: true },
			copied: (row) => plainAmount(row.late, data.base)
		},
		{
			...{ id: 'owed', name: `Owed, ${data.base}`, cell: owed, sorts: true, figures: true },
			copied: (row) => plainAmount(row.owed, data.base)
		}
	]);
</script>

{#snippet code(row: Row)}{row.code}{/snippet}
{#snippet name(row: Row)}<a href="/customers/{row.code}">{row.name}</a>{#if !row.email}<span
			class="pl-1.5 text-sm text-copper">no e-mail address</span
		>{/if}{/snippet}
{#snippet items(row: Row)}{row.items ? whole(row.items) : ''}{/snippet}
{#snippet late(row: Row)}<span class="text-oxblood">{row.late ? amount(row.late, data.base) : ''}</span
	>{/snippet}
{#snippet owed(row: Row)}{row.owed ? amount(row.owed, data.base) : '–'}{/snippet}

<svelte:head><title>Customers · Odd Penny</title></svelte:head>

<div class="max-w-[1100px] px-8 pt-5 pb-10">
	<div class="flex items-baseline gap-4">
		<h1>
			{count(data.count, 'account')}{data.query.text
				? ` fit “${data.query.text}”`
				: data.query.sorting
					? ''
					: ', most overdue first'}.
		</h1>
		{#if data.who?.role !== 'reader'}<a class="btn ml-auto" href="/customers/new">New customer</a>{/if}
		<input
			type="search"
			class={data.who?.role === 'reader' ? 'ml-auto w-64' : 'w-64'}
			aria-label="Filter by name or code"
			placeholder="name or code"
			value={data.query.text}
			onchange={(event) =>
				goto(`/customers?q=${encodeURIComponent(event.currentTarget.value)}`, { keepFocus: true })}
		/>
	</div>
	<Table name="customers" {columns} rows={data.rows} fileHref="/customers/file{page.url.search}">
		{#snippet empty()}{#if !data.query.text}No customers yet. <a
					class="underline"
					href="/open-items/bring-in?what=customers">Bring them in from a table</a
				>, or <a class="underline" href="/customers/new">add one by hand</a>.{:else}No account fits. <a
					class="underline"
					href="/customers">Show all</a
				>{/if}{/snippet}
	</Table>
	<Pages page={data.query.page} per={data.pageSize} total={data.count} />
</div>

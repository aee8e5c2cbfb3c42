<script lang="ts" generics="Row extends { readonly id: string | number }">
	import {
		columnVisibilityFeature,
		createSortedRowModel,
		createTable,
		rowSortingFeature,
		tableFeatures
	} from '@tanstack/svelte-table';
	import { DropdownMenu } from 'bits-ui';
	import { onMount, type Snippet } from 'svelte';
	import { toast } from 'svelte-sonner';
	import { page } from '$app/state';
	import { rowCursor } from './row-cursor';
	import { asPastedText, compareValues, nextSorting, readSorting, type TableColumn } from './table-columns';

	/**
	 * A list of rows. Headings sort (the order stands in the address, so that a link shows the same), columns can be left out (kept
	 * in this browser), what is shown can be copied into a spreadsheet, and all of it fetched as a file where `fileHref` leads to it.
	 */
	let {
		name,
		columns,
		rows,
		sortedHere = false,
		fileHref,
		sums = [],
		active,
		empty,
		tools
	}: {
		/** Under which the choice of columns is kept. */
		name: string;
		columns: readonly TableColumn<Row>[];
		rows: readonly Row[];
		/** All rows are here and are sorted here; else the server does it, by `sort` in the address. */
		sortedHere?: boolean;
		fileHref?: string;
		/** What the rows come to, below them. */
		sums?: readonly Row[];
		/** The row that is looked at. */
		active?: Row['id'] | null;
		/** What stands there where there is no row. */
		empty: Snippet;
		/** What else can be done with the list. */
		tools?: Snippet;
	} = $props();

	const features = tableFeatures({
		rowSortingFeature,
		columnVisibilityFeature,
		sortedRowModel: createSortedRowModel()
	});
	const byValue = (a: { getValue: (id: string) => unknown }, b: typeof a, id: string) =>
		compareValues(a.getValue(id) as string | number, b.getValue(id) as string | number);
	let hidden = $state.raw<Readonly<Record<string, boolean>>>({});
	const key = $derived(`columns of ${name}`);
	onMount(() => {
		try {
			const kept: unknown = JSON.parse(localStorage.getItem(key) ?? '[]');
			if (Array.isArray(kept)) hidden = Object.fromEntries(kept.map((id) => [String(id), false]));
		} catch {
			// What is kept there was not written here: all columns are shown.
		}
	});
	const sorting = $derived(
		readSorting(
			page.url.searchParams.get('sort'),
			columns.filter((one) => one.sorts).map((one) => one.id)
		)
	);
	const byId = $derived(new Map(columns.map((one) => [one.id, one])));
	const table = createTable({
		features,
		get columns() {
			return columns.map((one) => ({
				id: one.id,
				header: one.name,
				accessorFn: (row: Row) => one.value?.(row) ?? '',
				sortFn: byValue,
				enableHiding: !one.stays && one.name !== ''
			}));
		},
		get data() {
			return rows as Row[];
		},
		getRowId: (row: Row) => String(row.id),
		get manualSorting() {
			return !sortedHere;
		},
		state: {
			get sorting() {
				return sorting ? [{ id: sorting.by, desc: sorting.down }] : [];
			},
			get columnVisibility() {
				return hidden;
			}
		}
	});
	const shown = $derived(table.getVisibleLeafColumns().map((one) => byId.get(one.id)!));
	/** Once for each column and not for each cell: a page has thousands. */
	const classes = $derived(
		shown.map((one) => [one.figures && 'num', one.class].filter(Boolean).join(' ') || undefined)
	);
	const choosable = $derived(columns.filter((one) => one.name && !one.stays));

	function show(id: string, on: boolean) {
		hidden = { ...hidden, [id]: on };
		localStorage.setItem(key, JSON.stringify(Object.keys(hidden).filter((each) => hidden[each] === false)));
	}
	function sortHref(id: string): string {
		const params = new URLSearchParams(page.url.searchParams);
		const next = nextSorting(sorting, id);
		if (next === null) params.delete('sort');
		else params.set('sort', next);
		params.delete('page');
		return `${page.url.pathname}?${params}`;
	}
	async function copy() {
		const order = table.getRowModel().rows.map((row) => row.original);
		await navigator.clipboard.writeText(asPastedText(shown, order));
		toast(order.length === 1 ? 'One row is copied.' : `${order.length} rows are copied, as they are shown.`);
	}
	const tool = 'min-h-6 cursor-pointer py-0.5 text-soft hover:text-ink hover:underline';
</script>

<div role="toolbar" aria-label="This table" class="mt-2 mb-1 flex items-baseline justify-end gap-4 text-sm">
	{@render tools?.()}
	{#if choosable.length}
		<DropdownMenu.Root>
			<DropdownMenu.Trigger class={tool}>Columns</DropdownMenu.Trigger>
			<DropdownMenu.Portal>
				<DropdownMenu.Content
					align="end"
					class="z-50 min-w-44 rounded border border-rule bg-raised p-2 text-sm"
				>
					{#each choosable as one (one.id)}
						<DropdownMenu.CheckboxItem
							checked={hidden[one.id] !== false}
							onCheckedChange={(on) => show(one.id, on)}
							closeOnSelect={false}
							class="flex cursor-pointer items-baseline gap-2 px-2 py-1 data-highlighted:bg-wash"
						>
							{#snippet children({ checked })}
								<span class="w-3 text-copper" aria-hidden="true">{checked ? '✓' : ''}</span>{one.name}
							{/snippet}
						</DropdownMenu.CheckboxItem>
					{/each}
				</DropdownMenu.Content>
			</DropdownMenu.Portal>
		</DropdownMenu.Root>
	{/if}
	{#if rows.length}<button type="button" class={tool} onclick={copy}>Copy</button>{/if}
	{#if rows.length && fileHref}<a class={tool} href={fileHref} download>Save as CSV</a>{/if}
</div>
<table>
	<thead class="sticky top-0 bg-paper">
		<tr>
			{#each shown as one (one.id)}
				{@const sorted = sorting?.by === one.id ? (sorting.down ? 'descending' : 'ascending') : undefined}
				<th class={[one.figures && 'num', one.class]} aria-sort={sorted}>
					{#if one.sorts}<a
							href={sortHref(one.id)}
							data-sveltekit-noscroll
							data-sveltekit-keepfocus
							class={['inline-block min-h-6 py-1 hover:underline', sorted && 'text-ink']}
							>{one.name}<span aria-hidden="true">{sorted ? (sorting?.down ? ' ↓' : ' ↑') : ''}</span></a
						>{:else}{one.name}{/if}
				</th>
			{/each}
		</tr>
	</thead>
	<tbody {@attach rowCursor}>
		{#each table.getRowModel().rows as row (row.id)}
			<tr class={['row', active === row.original.id && 'bg-raised']}>
				{#each shown as one, i (one.id)}<td class={classes[i]}>{@render one.cell(row.original, one)}</td
					>{/each}
			</tr>
		{:else}
			<tr><td colspan={shown.length} class="py-6 text-soft">{@render empty()}</td></tr>
		{/each}
	</tbody>
	{#if rows.length && sums.length}
		<tfoot class="double-top font-semibold">
			{#each sums as row (row.id)}
				<tr
					>{#each shown as one, i (one.id)}<td class={classes[i]}>{@render one.cell(row, one)}</td>{/each}</tr
				>
			{/each}
		</tfoot>
	{/if}
</table>

<style>
	.row {
		content-visibility: auto;
		contain-intrinsic-size: auto 33px;
	}
</style>

<script lang="ts">
	import LetterTabs from '../LetterTabs.svelte';
	import Pages from '$lib/ui/Pages.svelte';
	import Table from '$lib/ui/Table.svelte';
	import type { TableColumn } from '$lib/ui/table-columns';
	import { LETTER_NAMES, moment, runProgress, runTitle } from '$lib/words';
	let { data } = $props();
	type Row = (typeof data.runs)[number];
	const columns: readonly TableColumn<Row>[] = [
		{ id: 'run', name: 'Run', cell: run, value: (row) => runTitle(row), stays: true },
		{ id: 'at', name: 'Asked for', cell: at, value: (row) => row.at },
		{ id: 'by', name: 'By', cell: by, value: (row) => row.by },
		{ id: 'letters', name: 'Letters', cell: letters, value: (row) => row.counts.all, figures: true },
		{ id: 'state', name: 'State', cell: state, value: (row) => runProgress(row), stays: true }
	];
</script>

{#snippet run(row: Row)}<a class="font-semibold" href="/letters/runs/{row.id}">{runTitle(row)}</a>{/snippet}
{#snippet at(row: Row)}<span class="text-soft">{moment(row.at)}</span>{/snippet}
{#snippet by(row: Row)}{row.by}{/snippet}
{#snippet letters(row: Row)}{row.counts.all}{/snippet}
{#snippet state(row: Row)}<span class={row.counts.held + row.counts.refused > 0 ? 'text-copper' : 'text-soft'}
		>{runProgress(row)}</span
	>{/snippet}

<svelte:head><title>Runs of letters · Odd Penny</title></svelte:head>

<div class="max-w-[1100px] px-8 pt-5 pb-10">
	<LetterTabs here="runs" />
	<h1 class="mt-3">{data.runs.length ? 'Runs of letters, the newest first.' : 'No run was started yet.'}</h1>
	<Table name="runs" {columns} rows={data.runs}>
		{#snippet empty()}Choose who gets a <a href="/letters?kind=statement"
				>{LETTER_NAMES.statement.toLowerCase()}</a
			>
			or a <a href="/letters?kind=reminder">{LETTER_NAMES.reminder.toLowerCase()}</a>, read one, and send.{/snippet}
	</Table>
	<Pages page={data.page} per={data.perPage} total={data.total} />
</div>

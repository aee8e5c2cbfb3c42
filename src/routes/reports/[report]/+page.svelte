<script lang="ts">
	import { page } from '$app/state';
	import { minor } from '$lib/core/money/minor';
	import type { ReportColumn, ReportRow } from '$lib/core/model/report';
	import AgeBar from '$lib/trade/AgeBar.svelte';
	import AgeingMonths from '$lib/trade/reports/AgeingMonths.svelte';
	import { cellHref } from '$lib/trade/reports/cell-href';
	import ReportAsked from '$lib/trade/reports/ReportAsked.svelte';
	import Pages from '$lib/ui/Pages.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import Table from '$lib/ui/Table.svelte';
	import type { TableColumn } from '$lib/ui/table-columns';
	import { REPORT_NAMES, reportCell, reportHeadline, reportHeading, reportOfNothing } from '$lib/words';
	import { isFigures, plainCell } from '$lib/words/reports';
	let { data } = $props();
	/** How long the longest strip is. */
	const STRIP = 120;
	const report = $derived(data.report);
	const at = $derived(new Map(report?.columns.map(({ key }, n) => [key, n])));
	/** Rows of the ageing as strips to scale: how much each is, and how old. */
	const strip = $derived.by(() => {
		const buckets = (report?.columns ?? []).flatMap(({ key, heading }, n) =>
			heading.code === 'bucket' ? [{ key, n, bucket: heading.bucket }] : []
		);
		if (!report || buckets.length === 0) return null;
		const sumOf = (row: ReportRow) =>
			buckets.reduce((sum, { n }) => sum + Math.max(0, Number(row.cells[n] ?? 0)), 0);
		const most = new Map<string, number>();
		for (const row of report.rows) most.set(row.currency, Math.max(most.get(row.currency) ?? 1, sumOf(row)));
		return (row: ReportRow) => ({
			aged: buckets.map(({ n, bucket }) => ({ ...bucket, sum: minor(Number(row.cells[n] ?? 0)) })),
			wide: Math.ceil((STRIP * sumOf(row)) / most.get(row.currency)!)
		});
	});
	const columns: readonly TableColumn<ReportRow>[] = $derived([
		...(report?.columns ?? []).map((column, n) => ({
			...{ id: column.key, name: reportHeading(column.heading), cell, sorts: true },
			...{ figures: isFigures(column), stays: n === 0 },
			class: wraps(column),
			copied: (row: ReportRow) => String(plainCell(column, row.currency, row.cells[n] ?? null))
		})),
		...(data.id === 'ageing' && data.who?.role !== 'reader'
			? [{ id: 'remind', name: '', cell: remind }]
			: []),
		...(strip ? [{ id: 'strip', name: '', cell: age, class: 'hidden xl:table-cell' }] : [])
	]);
	/** Words wrap where there is little room; what is looked up or added up does not. */
	const wraps = ({ key, kind }: ReportColumn) =>
		kind === 'text' && !['account', 'currency', 'document'].includes(key) ? '' : 'whitespace-nowrap';
	/** Whether it may be asked for: an account with something in a bucket that is overdue, or an item that is. As of a day past, or in base currency, nobody is asked. */
	const isLate = (row: ReportRow) =>
		row.customerId !== undefined &&
		since === 'due' &&
		data.fields.every(
			(field) =>
				(field.name !== 'money' || field.value === 'own') &&
				(field.name !== 'as-of' || field.value === data.day)
		) &&
		(report?.columns ?? []).some(({ key, heading }, n) => {
			const figure = Number(row.cells[n] ?? 0);
			if (heading.code === 'bucket') return (heading.bucket.from ?? 0) > 0 && figure > 0;
			return key === 'days' && row.itemId !== undefined && figure > 0 && Number(row.cells.at(-1)) > 0;
		});
	const monthsHref = $derived.by(() => {
		const params = new URLSearchParams(page.url.searchParams);
		if (data.months) params.delete('months');
		else params.set('months', '12');
		return `/reports/${data.id}?${params}`;
	});
	const since = $derived(
		data.fields.some((field) => field.name === 'since' && field.value === 'issued') ? 'issued' : 'due'
	);
	/** What is wrong with no field that is shown. */
	const elsewhere = $derived(
		Object.entries(data.faults).flatMap(([name, says]) =>
			data.fields.some((field) => field.name === name) ? [] : [says]
		)
	);
	const fileHref = (format: string) => {
		const params = new URLSearchParams(page.url.searchParams);
		params.delete('page');
		params.set('format', format);
		return `/reports/${data.id}/file?${params}`;
	};
</script>

{#snippet remind(row: ReportRow)}
	{#if isLate(row)}<a
			class="-my-0.5 block min-h-6 py-0.5 text-soft"
			href="/letters/write?{new URLSearchParams({
				...{ kind: 'reminder', customer: String(row.customerId), currency: row.currency },
				...(row.itemId === undefined ? {} : { items: String(row.itemId) })
			})}">Remind</a
		>{/if}
{/snippet}
{#snippet age(row: ReportRow)}
	{#if strip && !row.id.startsWith('sum ')}
		{@const { aged, wide } = strip(row)}
		{#if wide > 0}<AgeBar {aged} currency={row.currency} {wide} />{/if}
	{/if}
{/snippet}
{#snippet cell(row: ReportRow, { id }: TableColumn<ReportRow>)}
	{@const n = at.get(id)}
	{@const column = n === undefined ? undefined : report?.columns[n]}
	{#if report && column && n !== undefined}
		{@const value = row.cells[n] ?? null}
		{@const href =
			value === null || value === 0 ? null : cellHref(report, page.url.searchParams, row, column)}
		{@const text = reportCell(column, row, value)}
		{#if href && text}<a class="-my-0.5 block min-h-6 py-0.5" {href}>{text}</a>{:else}{text}{/if}
	{/if}
{/snippet}

<svelte:head><title>{REPORT_NAMES[data.id].name} · Odd Penny</title></svelte:head>

<div class="px-8 pt-5 pb-10">
	<p class="text-sm"><a href="/reports">Reports</a></p>
	<h1>{report ? reportHeadline(report) : REPORT_NAMES[data.id].name}</h1>
	<ReportAsked fields={data.fields} faults={data.faults} day={data.day} />
	{#if report}
		{#if data.months}<AgeingMonths months={data.months} {since} />{/if}
		<Table name="report {data.id}" {columns} rows={report.rows} sums={report.sums}>
			{#snippet empty()}{reportOfNothing(report)}{/snippet}
			{#snippet tools()}
				{#if data.id === 'ageing'}<a
						class="min-h-6 py-0.5 text-soft"
						href={monthsHref}
						data-sveltekit-noscroll>{data.months ? 'Without the months' : 'Twelve months'}</a
					>{/if}
				{#if report.count > 0}
					<a class="min-h-6 py-0.5 text-soft" href={fileHref('pdf')} target="_blank">PDF</a>
					<a class="min-h-6 py-0.5 text-soft" href={fileHref('xlsx')} download>XLSX</a>
					<a class="min-h-6 py-0.5 text-soft" href={fileHref('csv')} download>CSV</a>
				{/if}
			{/snippet}
		</Table>
		<Pages page={data.page} per={data.per} total={report.count} />
	{:else}
		<div class="mt-3"><Problems problems={elsewhere} /></div>
		<p class="mt-1 says">Nothing is shown until that is corrected.</p>
	{/if}
</div>

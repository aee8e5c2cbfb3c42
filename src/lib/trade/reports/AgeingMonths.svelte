<script lang="ts">
	import { page } from '$app/state';
	import type { AgeingMonths } from '$lib/server/reports/queries/ageing-months';
	import MonthColumns from '$lib/ui/MonthColumns.svelte';
	import { amount, bucketName, problemSentence, shortDay } from '$lib/words';

	/** Twelve months of an ageing: as columns, and as a table whose days lead to the report as of each. */
	let { months, since }: { months: AgeingMonths; since: 'due' | 'issued' } = $props();
	const shade = (n: number) => Math.round(14 + (86 * n) / Math.max(1, months.buckets.length - 1));
	const color = (n: number) => `color-mix(in srgb, var(--copper) ${shade(n)}%, var(--paper))`;
	const series = $derived(
		months.buckets.map((bucket, n) => ({
			...{ key: String(n), name: bucketName(bucket, since), color: color(n) },
			values: months.months.map(({ sums }) => sums[n]!)
		}))
	);
	const asOf = (day: string) => {
		const params = new URLSearchParams(page.url.searchParams);
		params.set('as-of', day);
		params.delete('page');
		return `${page.url.pathname}?${params}`;
	};
</script>

<section
	aria-label="Twelve months"
	class="mt-4 grid gap-x-8 gap-y-2 xl:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]"
>
	<MonthColumns months={months.months.map(({ day }) => day.slice(0, 7))} {series} currency={months.base} />
	<table class="self-start text-sm">
		<caption class="pb-1 text-left text-soft"
			>At each month’s end, in {months.base} at the rate of that day; credits that stand apart are left out.</caption
		>
		<thead
			><tr
				><th>As of</th>{#each series as one (one.key)}<th class="num"
						><span class="mr-1 inline-block size-2.5" style:background={one.color}></span>{one.name}</th
					>{/each}<th class="num">In all</th></tr
			></thead
		>
		<tbody>
			{#each months.months.toReversed() as { day, sums } (day)}
				<tr>
					<td class="!py-0.5"><a class="block min-h-6 py-0.5" href={asOf(day)}>{shortDay(day)}</a></td>
					{#each sums as sum, n (n)}<td class="num !py-0.5">{sum ? amount(sum, months.base) : '–'}</td>{/each}
					<td class="num !py-0.5 font-semibold"
						>{amount(
							sums.reduce((a, b) => a + b, 0),
							months.base
						)}</td
					>
				</tr>
			{/each}
		</tbody>
	</table>
	{#each new Set(months.problems.map(problemSentence)) as problem (problem)}<p class="says">
			{problem}
		</p>{/each}
</section>

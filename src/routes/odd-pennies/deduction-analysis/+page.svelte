<script lang="ts">
	import { rowCursor } from '$lib/ui/row-cursor';
	import type { LostRow } from '$lib/server/claims/queries/deduction-analysis';
	import MonthColumns from '$lib/ui/MonthColumns.svelte';
	import type { ClaimReason } from '$lib/core/model/claim';
	import { CLAIM_WORDS, amount, money, longMonth, LOST_NAMES } from '$lib/words';
	let { data } = $props();
	const COLORS = [
		'var(--copper)',
		'var(--patina)',
		'var(--oxblood)',
		'var(--soft)',
		'color-mix(in srgb, var(--copper) 50%, var(--paper))',
		'color-mix(in srgb, var(--patina) 50%, var(--paper))',
		'color-mix(in srgb, var(--oxblood) 50%, var(--paper))'
	];
	let picked = $state<string | null>(null);
	let kind = $state<string | null>(null);
	const sumBy = (rows: readonly LostRow[], key: (row: LostRow) => string) => {
		const sums = new Map<string, { key: string; base: number; n: number; row: LostRow }>();
		for (const row of rows) {
			const at = key(row);
			const sum = sums.get(at) ?? { key: at, base: 0, n: 0, row };
			sum.base += row.base;
			sum.n += row.n;
			sums.set(at, sum);
		}
		return [...sums.values()].sort((a, b) => b.base - a.base);
	};
	const kinds = $derived(sumBy(data.rows, (row) => row.kind));
	const colors = $derived(new Map(kinds.map((one, i) => [one.key, COLORS[i % COLORS.length]!])));
	const series = $derived(
		kinds
			.filter((one) => kind === null || one.key === kind)
			.map((one) => ({
				key: one.key,
				name: LOST_NAMES[one.key] ?? one.key,
				color: colors.get(one.key)!,
				values: data.months.map((month) =>
					data.rows
						.filter((row) => row.month === month && row.kind === one.key)
						.reduce((sum, row) => sum + row.base, 0)
				)
			}))
	);
	const chosen = $derived(
		data.rows.filter(
			(row) => (picked === null || row.month === picked) && (kind === null || row.kind === kind)
		)
	);
	const all = $derived(chosen.reduce((sum, row) => sum + row.base, 0));
	const customers = $derived(sumBy(chosen, (row) => row.code));
	const reasons = $derived(
		sumBy(
			chosen.filter((row) => row.reason !== null),
			(row) => row.reason!
		)
	);
	const times = (n: number) => (n === 1 ? 'once' : n === 2 ? 'twice' : `${n} times`);
</script>

<svelte:head><title>Deduction analysis · Odd Penny</title></svelte:head>

<div class="px-8 pt-5 pb-10">
	<p class="text-sm"><a href="/odd-pennies">Odd pennies</a></p>
	<h1>
		{money(all, data.base)} was lost {picked ? `in ${longMonth(picked)}` : 'in twelve months'}{kind
			? ` to ${(LOST_NAMES[kind] ?? kind).toLowerCase()}`
			: ''}.
	</h1>
	<p class="mt-1 mb-3 says">
		Discounts, fees, small differences, bad debts and claims allowed, in {data.base}. Withholding tax is not
		lost: it is claimed from the tax office.
		{#if picked || kind}<button
				class="cursor-pointer text-copper hover:underline"
				onclick={() => ((picked = null), (kind = null))}>Show everything</button
			>{:else}Choose a month or a kind to see it alone.{/if}
	</p>
	{#if data.rows.length}
		<div class="grid grid-cols-[minmax(0,1fr)_300px] gap-8">
			<MonthColumns months={data.months} {series} currency={data.base} bind:picked />
			<div>
				<h2 class="text-xl">By kind</h2>
				<ul class="mt-1 text-sm" {@attach rowCursor}>
					{#each kinds as one (one.key)}
						{@const own = chosen.filter((row) => row.kind === one.key)}
						<li class={kind !== null && kind !== one.key ? 'opacity-50' : ''}>
							<button
								class="flex w-full cursor-pointer items-center gap-2 py-1 text-left hover:bg-wash"
								aria-pressed={kind === one.key}
								onclick={() => (kind = kind === one.key ? null : one.key)}
							>
								<span class="size-3 shrink-0" style:background={colors.get(one.key)}></span>
								{LOST_NAMES[one.key] ?? one.key}
								<span class="text-soft">{times(own.reduce((sum, row) => sum + row.n, 0))}</span>
								<span class="num ml-auto"
									>{amount(
										own.reduce((sum, row) => sum + row.base, 0),
										data.base
									)}</span
								>
							</button>
						</li>
					{/each}
				</ul>
				{#if reasons.length}
					<h2 class="mt-5 text-xl">Claims, by reason</h2>
					<ul class="mt-1 text-sm">
						{#each reasons as one (one.key)}
							<li class="flex gap-2 py-1">
								{CLAIM_WORDS[one.key as ClaimReason]}
								<span class="text-soft">{times(one.n)}</span>
								<span class="num ml-auto">{amount(one.base, data.base)}</span>
							</li>
						{/each}
					</ul>
				{/if}
			</div>
		</div>
		<h2 class="mt-6 text-xl">By customer</h2>
		<table class="mt-1">
			<thead
				><tr
					><th>Customer</th>{#each kinds as one (one.key)}<th class="num">{LOST_NAMES[one.key] ?? one.key}</th
						>{/each}<th class="num">In all</th></tr
				></thead
			>
			<tbody {@attach rowCursor}>
				{#each customers.slice(0, 25) as one (one.key)}
					<tr>
						<td><a class="block py-0.5" href="/customers/{one.key}">{one.row.customer}</a></td>
						{#each kinds as each (each.key)}
							{@const sum = chosen
								.filter((row) => row.code === one.key && row.kind === each.key)
								.reduce((total, row) => total + row.base, 0)}
							<td class="num">{sum ? amount(sum, data.base) : ''}</td>
						{/each}
						<td class="num font-semibold">{amount(one.base, data.base)}</td>
					</tr>
				{/each}
			</tbody>
		</table>
		{#if customers.length > 25}<p class="mt-1 says">
				The 25 customers with the most, of {customers.length}.
			</p>{/if}
	{:else}
		<p class="says">Nothing was lost to fees, discounts, small differences or claims in twelve months.</p>
	{/if}
</div>

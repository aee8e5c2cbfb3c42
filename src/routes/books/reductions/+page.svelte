<script lang="ts">
	import { rowCursor } from '$lib/ui/row-cursor';
	import { goto } from '$app/navigation';
	import { actSentence, amount, count, longMonth, money, REDUCTION_NAMES, shortDay } from '$lib/words';
	let { data } = $props();
	const today = $derived(data.today ?? '');
	const month = $derived(data.query.from.slice(0, 7));
	const people = $derived.by(() => {
		const by = new Map<string, { id: string; name: string; base: number; rows: typeof data.sums }>();
		for (const row of data.sums) {
			const one = by.get(row.personId) ?? { id: row.personId, name: row.person, base: 0, rows: [] };
			// What is claimed is owed still.
			if (row.kind !== 'claim') one.base += row.base;
			one.rows.push(row);
			by.set(row.personId, one);
		}
		return [...by.values()].sort((a, b) => b.base - a.base);
	});
	const all = $derived(people.reduce((sum, one) => sum + one.base, 0));
	const link = (person: string) => `?month=${month}&person=${encodeURIComponent(person)}`;
</script>

<svelte:head><title>Reductions by person · Odd Penny</title></svelte:head>

<div class="grid min-h-[calc(100vh-48px)] grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
	<section class="px-8 pt-5 pb-10">
		<p class="flex items-baseline justify-between text-sm">
			<a href="/books">Books</a>
			<span class="flex gap-2">
				<a class="btn" href="/books/approvals">Approvals</a>
				<a class="btn" href="/books/reductions/file?month={month}">Save as a table</a>
			</span>
		</p>
		<h1>
			{people.length
				? `${money(all, data.base)} of reductions in ${longMonth(month)}.`
				: `No reductions in ${longMonth(month)}.`}
		</h1>
		<p class="mt-1 mb-3 says">
			What lowered customers’ accounts without money, was to be paid back or was nobody’s money, by who did it
			alone or approved it. What was undone does not count. Claims are still owed: they are listed, and not
			added.
		</p>
		<label class="mb-3 flex items-center gap-2 text-sm"
			>Month <select value={month} onchange={({ currentTarget }) => goto(`?month=${currentTarget.value}`)}
				>{#each data.months as one (one)}<option value={one.slice(0, 7)}>{longMonth(one)}</option>{/each}
				{#if !data.months.some((one) => one.startsWith(month))}<option value={month}
						>{longMonth(month)}</option
					>{/if}</select
			></label
		>
		{#each people as one (one.id)}
			<h2 class="mt-4 flex items-baseline justify-between text-xl">
				<a href={link(one.id)} aria-current={data.query.person === one.id ? 'true' : undefined}>{one.name}</a>
				<span class="num text-base">{money(one.base, data.base)}</span>
			</h2>
			<table class="mt-1 table-fixed">
				<colgroup><col class="w-[34%]" /><col class="w-[34%]" /><col /><col /></colgroup>
				<tbody {@attach rowCursor}>
					{#each one.rows as row (`${row.kind} ${row.agreed}`)}
						<tr>
							<td>{REDUCTION_NAMES[row.kind]}</td>
							<td class="text-soft">{row.agreed ? 'approved for somebody' : 'alone'}</td>
							<td class="num text-soft">{count(row.count, 'time')}</td>
							<td class="num">{amount(row.base, data.base)}</td>
						</tr>
					{/each}
				</tbody>
			</table>
		{:else}
			<p class="mt-6 says">
				Deductions, credit notes, claims allowed, refunds and money set aside show here as they are posted.
				How much each may do alone is set in <a href="/books/settings">Settings</a>.
			</p>
		{/each}
	</section>
	<section class="border-l border-rule px-8 pt-5 pb-10">
		{#if data.person}
			<h2 class="text-xl">{data.person}, one by one</h2>
			<table class="mt-2">
				<thead><tr><th>Day</th><th>What</th><th>Customer</th><th class="num">{data.base}</th></tr></thead>
				<tbody {@attach rowCursor}>
					{#each data.single as row (row.id)}
						<tr class="align-top">
							<td class="whitespace-nowrap text-soft">{shortDay(row.day, today)}</td>
							<td
								><a class="block py-0.5" href="/books/journal?act={row.actId}">{REDUCTION_NAMES[row.kind]}</a
								><span class="block text-xs text-soft"
									>{actSentence(row.said)}{row.askedBy ? `, asked by ${row.askedBy}` : ''}</span
								></td
							>
							<td
								>{#if row.code}<a class="block py-0.5" href="/customers/{row.code}">{row.customer}</a
									>{/if}</td
							>
							<td class={['num', row.base < 0 && 'text-soft']}>{amount(row.base, data.base)}</td>
						</tr>
					{:else}<tr><td colspan="4" class="py-6 text-soft">Nothing in this month.</td></tr>{/each}
				</tbody>
			</table>
			{#if data.more}<p class="mt-2 says">The newest {data.single.length} are shown.</p>{/if}
		{:else}
			<p class="mt-16 says">Choose a person to see what they took off, one by one.</p>
		{/if}
	</section>
</div>

<script lang="ts">
	import Pages from '$lib/ui/Pages.svelte';
	import { goto } from '$app/navigation';
	import { amount, count } from '$lib/words/en-GB/format';
	let { data } = $props();
</script>

<svelte:head><title>Customers · Odd Penny</title></svelte:head>

<div class="mx-auto max-w-[1100px] px-8 pt-5 pb-10">
	<div class="flex items-baseline gap-4">
		<h1>
			{count(data.count, 'account')}{data.query.text ? ` fit “${data.query.text}”` : ', most late first'}.
		</h1>
		<input
			type="search"
			class="ml-auto w-64"
			aria-label="Filter by name or code"
			placeholder="name or code"
			value={data.query.text}
			onchange={(event) =>
				goto(`/customers?q=${encodeURIComponent(event.currentTarget.value)}`, { keepFocus: true })}
		/>
	</div>
	<table class="mt-3">
		<thead
			><tr
				><th>Code</th><th>Name</th><th class="num">Open items</th><th class="num">Late, {data.base}</th><th
					class="num">Owed, {data.base}</th
				></tr
			></thead
		>
		<tbody>
			{#each data.rows as row (row.id)}
				<tr>
					<td class="text-soft">{row.code}</td>
					<td
						><a href="/customers/{row.code}">{row.name}</a>{row.email ? '' : ' '}{#if !row.email}<span
								class="text-sm text-copper">no e-mail address</span
							>{/if}</td
					>
					<td class="num">{row.items || ''}</td>
					<td class="num text-oxblood">{row.late ? amount(row.late, data.base) : ''}</td>
					<td class="num">{row.owed ? amount(row.owed, data.base) : '–'}</td>
				</tr>
			{:else}<tr
					><td colspan="5" class="py-6 text-soft"
						>No account fits. <a class="underline" href="/customers">Show all</a></td
					></tr
				>{/each}
		</tbody>
	</table>
	<Pages page={data.query.page} per={data.pageSize} total={data.count} />
</div>

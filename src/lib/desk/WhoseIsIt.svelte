<script lang="ts">
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { money } from '$lib/words/format';
	import { CustomerSearch } from './find-customers.svelte';

	/** Finds an account by name, code, document number or open amount: as the owner of the money, or beside the owner. */
	let { mode }: { mode: 'owner' | 'beside' } = $props();
	const search = new CustomerSearch();
	const label = $derived(
		mode === 'owner'
			? 'Whose is it? Name, code, document number or open amount'
			: 'Take items of another account as well: name, code, document number or open amount'
	);
	function choose(id: number) {
		const params = new URLSearchParams(page.url.searchParams);
		if (page.data.desk?.receipt) params.set('r', String(page.data.desk.receipt.id));
		if (mode === 'owner') params.set('c', String(id));
		else params.set('also', [...(params.get('also')?.split(',') ?? []), id].join(','));
		void goto(`/money-in?${params}`, { noScroll: true });
	}
</script>

<div class="my-2">
	<input
		type="text"
		aria-label={label}
		placeholder={label}
		class="w-full"
		data-keep-enter
		oninput={(event) => search.ask(event.currentTarget.value)}
	/>
	{#if search.found.length}
		<ul class="border border-t-0 border-rule bg-sheet">
			{#each search.found as one (one.id)}
				<li>
					<button
						class="flex w-full cursor-pointer gap-2 px-2 py-1 text-left hover:bg-wash"
						onclick={() => choose(one.id)}
						>{one.name} <span class="text-soft">{one.code}</span>
						{#if one.by}<span class="ml-auto text-soft"
								>{one.by.number}, {money(one.by.open, one.by.currency)} open</span
							>{/if}</button
					>
				</li>
			{/each}
		</ul>
	{/if}
</div>

<script lang="ts">
	import { goto } from '$app/navigation';
	import Coin from '$lib/ui/Coin.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import { money, shortDay } from '$lib/words/en-GB/format';
	import { BookSearch } from './book-search.svelte';

	/** Finds anything in the books, and goes there. */
	let { open = $bindable() }: { open: boolean } = $props();
	const search = new BookSearch();
	const HEADINGS = { customer: 'Customers', document: 'Documents', receipt: 'Money' } as const;
	const nothing = $derived(
		search.text.trim().length >= 2 && !search.asking && search.found.length + search.stations.length === 0
	);

	function onkeydown(event: KeyboardEvent) {
		if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
			event.preventDefault();
			search.step(event.key === 'ArrowDown' ? 1 : -1);
		} else if (event.key === 'Enter') {
			event.preventDefault();
			const href = search.targets[search.chosen];
			if (!href) return;
			open = false;
			void goto(href);
		}
	}
	const rowClass = (i: number) => [
		'flex min-h-7 items-baseline gap-2 px-2 py-1 hover:no-underline hover:bg-wash',
		search.chosen === i && 'bg-wash'
	];
</script>

<Dialog title="Find" bind:open wide>
	<input
		type="search"
		class="w-full text-lg"
		placeholder="A number, amount, name, reference, or a place to go"
		aria-label="Find a number, amount, name, reference or page"
		role="combobox"
		aria-expanded="true"
		aria-controls="found"
		aria-activedescendant={search.targets.length ? `found-${search.chosen}` : undefined}
		bind:value={search.text}
		oninput={() => search.ask()}
		{onkeydown}
	/>
	<div id="found" class="mt-3 h-[52vh] overflow-y-auto" role="listbox" aria-label="Found">
		{#each search.found as one, i (one.kind + one.href + i)}
			{#if one.kind !== search.found[i - 1]?.kind}
				<p class="mt-2 border-b border-rule pb-0.5 text-sm font-semibold text-soft" role="presentation">
					{HEADINGS[one.kind]}
				</p>
			{/if}
			<a
				id="found-{i}"
				role="option"
				aria-selected={search.chosen === i}
				href={one.href}
				class={rowClass(i)}
				onclick={() => (open = false)}
			>
				{#if one.open !== null}<Coin
						share={one.amount ? 1 - one.open / one.amount : 1}
						label={one.open === 0 ? 'settled' : one.open === one.amount ? 'unpaid' : 'part paid'}
					/>{/if}
				<span class="shrink-0 font-semibold">{one.name}</span>
				<span class="min-w-0 truncate text-soft">{one.about}</span>
				<span class="ml-auto shrink-0 text-soft"
					>{one.day ? `${one.open === null ? '' : 'due '}${shortDay(one.day)}` : ''}</span
				>
				{#if one.amount !== null}<span class="w-44 shrink-0 text-right"
						>{money(one.amount, one.currency)}{#if one.open !== null && one.open !== one.amount}<span
								class="text-soft"
							>
								{one.open === 0 ? 'settled' : `${money(one.open, one.currency)} open`}</span
							>{/if}</span
					>{/if}
			</a>
		{/each}
		{#if search.stations.length}
			<p class="mt-2 border-b border-rule pb-0.5 text-sm font-semibold text-soft" role="presentation">
				Places to go
			</p>
			{#each search.stations as station, k (station.href)}
				{@const i = search.found.length + k}
				<a
					id="found-{i}"
					role="option"
					aria-selected={search.chosen === i}
					href={station.href}
					class={rowClass(i)}
					onclick={() => (open = false)}
				>
					<span class="font-semibold">{station.name}</span>
					<span class="text-soft">{station.about}</span>
				</a>
			{/each}
		{/if}
		{#if nothing}<p class="says mt-3 px-2">
				Nothing in the books has “{search.text.trim()}” in its number, name, order or reference, and no amount
				is the same.
			</p>{/if}
	</div>
</Dialog>

<script lang="ts">
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import type { PileFilter } from '$lib/server/services/answers/order-pile';
	import { BAND_NAMES } from './band-names';

	/** What is shown of the pile, and in which order; it stands in the address. */
	let {
		filter,
		ways,
		field = $bindable()
	}: {
		filter: PileFilter;
		ways: {
			readonly banks: readonly { readonly id: number; readonly name: string }[];
			readonly heldFor: readonly string[];
		};
		field: HTMLInputElement | undefined;
	} = $props();
	const narrowed = $derived(
		filter.group !== null || filter.bankAccountId !== null || filter.heldFor !== null
	);
	let more = $derived(narrowed);
	let typing: ReturnType<typeof setTimeout> | undefined;

	function show(change: Readonly<Record<string, string>>) {
		const params = new URLSearchParams(page.url.searchParams);
		for (const [name, value] of Object.entries(change))
			if (value) params.set(name, value);
			else params.delete(name);
		void goto(`/money-in?${params}`, { replaceState: true, keepFocus: true, noScroll: true });
	}
	/** Waits for the next letter, so that a name is looked for once. */
	function typed(text: string) {
		clearTimeout(typing);
		typing = setTimeout(() => show({ find: text }), 200);
	}
</script>

<div role="group" aria-label="Filter" class="mt-2 flex items-center gap-1.5">
	<input
		bind:this={field}
		type="text"
		class="min-w-0 flex-1 py-0.5 text-sm"
		aria-label="Filter the receipts"
		aria-keyshortcuts="L"
		placeholder="name, words, 45.40"
		value={filter.find}
		oninput={({ currentTarget }) => typed(currentTarget.value)}
	/>
	<span class="key">L</span>
	<button
		class={['min-h-6 cursor-pointer text-sm hover:underline', narrowed ? 'text-copper' : 'text-soft']}
		aria-expanded={more}
		onclick={() => (more = !more)}>more</button
	>
</div>
{#if more}
	<div role="group" aria-label="More to filter by" class="mt-1.5 grid grid-cols-2 gap-1.5 text-sm">
		<select
			aria-label="Order"
			value={filter.order}
			onchange={({ currentTarget }) => show({ order: currentTarget.value })}
			><option value="day">by day</option><option value="amount">largest first</option></select
		>
		<select
			aria-label="How sure"
			value={filter.group ?? ''}
			onchange={({ currentTarget }) => show({ band: currentTarget.value })}
			><option value="">all</option>{#each Object.entries(BAND_NAMES) as [band, { says }] (band)}<option
					value={band}>{says}</option
				>{/each}</select
		>
		<select
			aria-label="Bank account"
			value={String(filter.bankAccountId ?? '')}
			onchange={({ currentTarget }) => show({ bank: currentTarget.value })}
			><option value="">any account</option>{#each ways.banks as bank (bank.id)}<option
					value={String(bank.id)}>{bank.name}</option
				>{/each}</select
		>
		<select
			aria-label="Assigned to"
			value={filter.heldFor ?? ''}
			onchange={({ currentTarget }) => show({ for: currentTarget.value })}
			><option value="">anybody</option>{#each ways.heldFor as name (name)}<option value={name}>{name}</option
				>{/each}</select
		>
	</div>
{/if}

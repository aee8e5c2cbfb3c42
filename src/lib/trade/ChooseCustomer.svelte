<script lang="ts">
	import { CustomerSearch } from './find-customers.svelte';
	import type { FoundCustomer } from '../server/customers/queries/find-customers';

	/** Finds one customer by any part of name, code or document number; Enter takes the first, arrows another. */
	let {
		placeholder,
		choose,
		focus = false
	}: { placeholder: string; choose: (one: FoundCustomer) => void; focus?: boolean } = $props();
	const search = new CustomerSearch();
	let text = $state('');
	let marked = $state(0);
	function take(one: FoundCustomer) {
		text = '';
		search.found = [];
		choose(one);
	}
	function onkeydown(event: KeyboardEvent) {
		if (event.key === 'ArrowDown') marked = Math.min(marked + 1, search.found.length - 1);
		else if (event.key === 'ArrowUp') marked = Math.max(marked - 1, 0);
		else if (event.key === 'Enter') {
			const one = search.found[marked];
			if (one) take(one);
		} else return;
		event.preventDefault();
	}
</script>

<div class="relative w-96">
	<input
		type="text"
		class="w-full"
		role="combobox"
		autocomplete="off"
		aria-label="Customer: part of name, code or document number"
		aria-expanded={search.found.length > 0}
		aria-controls="found-customers"
		{placeholder}
		{@attach (field) => void (focus && field.focus())}
		bind:value={text}
		oninput={() => ((marked = 0), search.ask(text))}
		{onkeydown}
	/>
	{#if search.found.length}
		<ul
			id="found-customers"
			role="listbox"
			class="absolute z-20 max-h-64 w-full overflow-auto border border-rule bg-raised"
		>
			{#each search.found as one, i (one.id)}
				<li role="option" aria-selected={i === marked}>
					<button
						type="button"
						tabindex="-1"
						class={['w-full cursor-pointer px-2 py-1 text-left hover:bg-wash', i === marked && 'bg-wash']}
						onclick={() => take(one)}
						>{one.name} <span class="text-soft">{one.code}{one.by ? ` · ${one.by.number}` : ''}</span></button
					>
				</li>
			{/each}
		</ul>
	{/if}
</div>

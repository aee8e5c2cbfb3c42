<script lang="ts">
	import Combobox, { type FieldAttributes } from '$lib/ui/Combobox.svelte';
	import { money } from '$lib/words';
	import type { FoundCustomer } from '../server/customers/queries/find-customers';
	import { CustomerSearch } from './find-customers.svelte';

	/** Finds one customer by any part of name, code or document number, or by an open amount. */
	let {
		label = 'Customer: part of name, code or document number',
		text = $bindable(''),
		choose,
		ask,
		field = $bindable(null),
		...attributes
	}: {
		label?: string;
		text?: string;
		choose: (one: FoundCustomer) => void;
		/** Told what is typed, too. */
		ask?: (text: string) => void;
		field?: HTMLInputElement | null;
		keepsName?: boolean;
		takesOnTab?: boolean;
	} & FieldAttributes = $props();
	const search = new CustomerSearch();
</script>

<Combobox
	{label}
	options={search.found}
	asked={search.answers}
	nameOf={(one) => one.name}
	bind:text
	bind:field
	ask={(typed) => (ask?.(typed), void search.ask(typed))}
	choose={(one) => (search.clear(), choose(one))}
	{...attributes}
>
	{#snippet option(one)}
		<span>{one.name}</span> <span class="text-soft">{one.code}</span>
		{#if one.by}<span class="ml-auto pl-4 text-soft"
				>{one.by.number}, {money(one.by.open, one.by.currency)} open</span
			>{/if}
	{/snippet}
</Combobox>

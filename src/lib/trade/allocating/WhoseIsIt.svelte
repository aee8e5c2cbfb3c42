<script lang="ts">
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { money } from '$lib/words';
	import type { FoundCustomer } from '../../server/customers/queries/find-customers';
	import CustomerField from '../CustomerField.svelte';
	import FittingSets from './FittingSets.svelte';

	/** Finds an account by name, code, document number or open amount: as the owner of the money, or beside the owner. */
	let {
		mode,
		mayBe = [],
		came = null,
		field = $bindable(null),
		fitting = $bindable()
	}: {
		mode: 'owner' | 'beside';
		/** Who owes just what came. */
		mayBe?: readonly FoundCustomer[];
		/** What came, minor units, where nobody is known yet. */
		came?: { receiptId: number; amount: number; currency: string } | null;
		/** Where one types. */
		field?: HTMLInputElement | null;
		/** The search for sets of items, to be started by its key. */
		fitting?: { look: () => void } | undefined;
	} = $props();
	let text = $derived.by(() => {
		void mayBe;
		return '';
	});
	const label = $derived(
		mode === 'owner'
			? 'Whose is it? Name, code, document number or open amount'
			: 'Take items of another account as well: name, code, document number or open amount'
	);
	/** What they were found by is allocated to: it is what speaks for them. */
	function choose({ id, by }: FoundCustomer) {
		const params = new URLSearchParams(page.url.searchParams);
		const { pathname } = page.url;
		if (page.data.desk?.receipt) params.set('receipt', String(page.data.desk.receipt.id));
		if (mode === 'owner') {
			params.set('customer', String(id));
			params.delete('accounts');
			if (by) params.set('items', by.items.join(','));
			else params.delete('items');
		} else params.set('accounts', [...(params.get('accounts')?.split(',') ?? []), id].join(','));
		void goto(`${pathname}?${params}`, { noScroll: true });
	}
</script>

<div class="my-2">
	<CustomerField {label} placeholder={label} class="w-full" data-keep-enter bind:text bind:field {choose} />
	{#if came && !text.trim() && mayBe.length === 0}
		<p class="mt-1 says">
			Nobody owes just {money(came.amount, came.currency)}, in one open item, in two, or in all.
		</p>
	{/if}
	{#if !text.trim() && mayBe.length}
		<p class="mt-2 text-sm font-semibold text-soft">Who owes just this</p>
		<ul class="border border-rule bg-raised">
			{#each mayBe as one (one.id)}
				<li>
					<button
						class="flex w-full cursor-pointer gap-2 px-2 py-1 text-left hover:bg-wash"
						data-proposed
						onclick={() => choose(one)}
						>{one.name} <span class="text-soft">{one.code}</span>
						{#if one.by}<span class="ml-auto text-soft"
								>{one.by.number}, {money(one.by.open, one.by.currency)} open</span
							>{/if}</button
					>
				</li>
			{/each}
		</ul>
	{/if}
	{#if came && came.amount > 0 && !text.trim()}<FittingSets bind:this={fitting} {...came} />{/if}
</div>

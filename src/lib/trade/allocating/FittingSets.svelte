<script lang="ts">
	import { count, money, whole } from '$lib/words';
	import { findFittingSets } from './find-fitting-sets';
	import type { FittingSet, FittingSets } from '../../server/matching/queries/who-could-owe';

	/** Looks through all accounts for sets of items that come to what came, and leads to the desk with a set laid. */
	let { receiptId, amount, currency }: { receiptId: number; amount: number; currency: string } = $props();
	// Another receipt begins anew.
	let found = $derived.by((): FittingSets | null => {
		void receiptId;
		return null;
	});
	let trouble = $derived.by(() => {
		void receiptId;
		return '';
	});
	let looking = $state(false);
	export async function look() {
		if (looking || found) return;
		looking = true;
		trouble = '';
		const asked = receiptId;
		const answer = await findFittingSets(amount, currency);
		looking = false;
		if (asked !== receiptId) return;
		if (answer) found = answer;
		else trouble = 'The accounts could not be looked through just now; try again.';
	}
	function href(set: FittingSet): string {
		const [owner, ...others] = set.accounts;
		const also = others.length ? `&accounts=${others.map((one) => one.id).join(',')}` : '';
		return `/money-in?receipt=${receiptId}&customer=${owner!.id}${also}&items=${set.items.map((item) => item.id).join(',')}`;
	}
	const oneOf = (set: FittingSet) =>
		set.count === 1 && set.all
			? 'the only set'
			: set.all
				? `one of ${whole(set.count)}`
				: `one of ${whole(set.count)} or more`;
</script>

{#snippet list(title: string, sets: readonly FittingSet[])}
	{#if sets.length}
		<p class="mt-2 text-sm font-semibold text-soft">{title}</p>
		<ul class="border border-rule bg-raised">
			{#each sets as set (set.items.map((item) => item.id).join())}
				<li>
					<a
						data-proposed
						class="block px-2 py-1 no-underline hover:bg-wash"
						href={href(set)}
						data-sveltekit-noscroll
					>
						<span class="flex gap-2"
							>{set.accounts.map((one) => one.name).join(' and ')}
							<span class="text-soft">{set.accounts.map((one) => one.code).join(', ')}</span>
							<span class="ml-auto text-soft">{oneOf(set)}</span></span
						>
						<span class="block text-sm text-soft"
							>{set.items.map((item) => `${item.number} ${money(item.open, currency)}`).join(' + ')}</span
						>
					</a>
				</li>
			{/each}
		</ul>
	{/if}
{/snippet}

{#if !found}
	<p class="mt-1">
		<button class="cursor-pointer text-copper hover:underline" disabled={looking} onclick={look}
			>{looking ? 'Looking through all accounts…' : 'Look for sets of items in all accounts'}
			<span class="key">S</span></button
		>
		{#if trouble}<span class="text-oxblood" role="alert">{trouble}</span>{/if}
	</p>
{:else}
	<div aria-live="polite">
		{@render list('Sets within one account', found.within)}
		{@render list('Two items of two accounts', found.across)}
		<p class="mt-1 says">
			{found.within.length + found.across.length
				? 'The sum alone proves nothing: choose one to look at it.'
				: 'No set comes to just this.'}
			Looked through {count(found.looked.items, 'open item')} of {count(found.looked.accounts, 'account')}.
		</p>
	</div>
{/if}

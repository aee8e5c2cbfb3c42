<script lang="ts">
	import { count, money, whole } from '$lib/words';
	import type { OpenItem } from '../../core/model/records';
	import type { Allocating } from './allocating.svelte';
	import { SetsHere } from './sets-here.svelte';

	/** Looks among the items shown for sets that come to what is still to be found, in a thread of its own. */
	let { allocating, among, mayAct }: { allocating: Allocating; among: readonly OpenItem[]; mayAct: boolean } =
		$props();
	const search = new SetsHere();
	const own = $derived(
		among.filter((item) => item.currency === allocating.currency && item.kind !== 'claim')
	);
	const desk = $derived(allocating.desk);
	// Another receipt or account begins anew; and a search that runs ends with the page.
	$effect(() => {
		void desk;
		return () => search.clear();
	});
	const found = $derived(search.found);
	/** What was found is for another sum than what is left now. */
	const old = $derived(found !== null && found.target !== allocating.left);
	export function look() {
		if (allocating.left > 0 && own.length > 0) search.look(own, allocating.left);
	}
	const words = $derived.by(() => {
		if (!found) return '';
		const among = count(found.among.length, 'item');
		if (found.sets.length === 0)
			return found.all
				? `No set of the ${among} comes to ${money(found.target, allocating.currency)}.`
				: `No set of up to five of the ${among} comes to ${money(found.target, allocating.currency)}, nor all but a few.`;
		const n = whole(found.count);
		const which =
			found.count === 1 && found.all
				? 'Just one set'
				: found.all
					? `${n} sets`
					: `${found.count === 1 ? 'One set' : `${n} sets`} or more`;
		return `${which} of the ${among} ${found.count === 1 ? 'comes' : 'come'} to ${money(found.target, allocating.currency)}.${found.count > 1 ? ' A sum alone is no proof.' : ''}`;
	});
</script>

{#if allocating.left > 0 && own.length > 1}
	<p class="mt-3 flex flex-wrap items-baseline gap-x-3 text-sm">
		<span><strong>{money(allocating.left, allocating.currency)}</strong> is still to be found.</span>
		{#if search.looking}<span role="status">Looking through {count(own.length, 'item')}…</span>
			<button class="cursor-pointer py-0.5 text-copper hover:underline" onclick={() => search.stop()}
				>Stop</button
			>
		{:else}<button class="cursor-pointer py-0.5 text-copper hover:underline" onclick={look}
				>Look for items that come to it <span class="key">S</span></button
			>{/if}
		{#if search.trouble}<span class="text-oxblood" role="alert">{search.trouble}</span>{/if}
	</p>
{/if}
{#if found}
	<div class="mt-1 border border-rule bg-raised px-3 py-1.5 text-sm" aria-live="polite">
		<p class="flex items-baseline gap-3">
			<span>{words}</span>
			<button
				class="ml-auto cursor-pointer py-0.5 text-soft hover:text-ink"
				aria-label="Close what was found"
				onclick={() => search.clear()}>close</button
			>
		</p>
		{#if found.sets.length}
			<ul>
				{#each found.sets as set (set.map((item) => item.id).join())}
					<li class="flex items-baseline gap-3 border-t border-rule py-1">
						<span
							>{set
								.map(
									(item) =>
										`${item.number} ${money(item.kind === 'credit_note' ? -item.open : item.open, allocating.currency)}`
								)
								.join(' + ')}</span
						>
						<button
							class="ml-auto cursor-pointer py-0.5 text-copper hover:underline disabled:text-soft"
							data-proposed
							disabled={old || !mayAct}
							onclick={() => {
								for (const item of set) if (!allocating.isChosen(item.id)) allocating.toggle(item.id);
								search.clear();
							}}>take {set.length === 1 ? 'it' : `these ${set.length}`}</button
						>
					</li>
				{/each}
			</ul>
			{#if mayAct && !old}<p class="text-soft">
					<span class="key">Y</span>
					{found.sets.length === 1 ? 'takes it.' : 'goes from one to the next, Enter takes it.'}
				</p>{/if}
			{#if found.count > found.sets.length}<p class="text-soft">
					The others are not listed: filter the open items, or take one that you are sure of, and look again.
				</p>{/if}
			{#if old}<p class="text-soft">What is left has changed since; look again.</p>{/if}
		{/if}
	</div>
{/if}

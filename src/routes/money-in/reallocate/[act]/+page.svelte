<script lang="ts">
	import { enhance } from '$app/forms';
	import type { reallocate } from '$lib/server/allocation/commands/reallocate';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import { goto } from '$app/navigation';
	import { toast } from 'svelte-sonner';
	import type { Day } from '$lib/core/day/day';
	import { parseTypedDay } from '$lib/core/day/parse-typed-day';
	import DeskView from '$lib/trade/allocating/DeskView.svelte';
	import { itemKeys } from '$lib/trade/allocating/item-keys';
	import { Allocating } from '$lib/trade/allocating/allocating.svelte';
	import { sortedItems } from '$lib/trade/allocating/sorted-items';
	import { screenKeys } from '$lib/ui/screen-keys.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { moment, money, shortDay } from '$lib/words';
	let { data } = $props();
	const again = $derived(data.again);
	const desk = $derived({
		...again.desk,
		items: sortedItems(again.desk.items, again.desk.currency, again.desk.customer?.id)
	});
	const allocating = $derived(new Allocating(desk, data.today as Day, data.who?.name ?? ''));
	let filter = $state<HTMLInputElement>();
	let active = $state(0);
	const form = new ActForm<typeof reallocate>('?', {
		otherwise: 'That did not work. Nothing was changed.',
		leaving: () =>
			void toast('Reallocated. Both the old allocation and the new one are in the journal.', toldAction())
	});
	let postForm = $state<HTMLFormElement>();
	const ready = $derived(allocating.outcome.ok && !allocating.outcome.asks && !form.busy);
	screenKeys(() => [
		...itemKeys(allocating, { active, move: (to) => (active = to), filter }),
		{ keys: ['Enter'], what: 'put it right', run: () => ready && postForm?.requestSubmit() }
	]);
	/** Where somebody was told how it stood, the way to the corrected statement. */
	const toldAction = () =>
		again.letters.length
			? { action: { label: 'Corrected statement', onClick: () => goto('/letters?kind=correction') } }
			: {};
	const kinds = { statement: 'A statement', reminder: 'A reminder' } as Record<string, string>;
</script>

<svelte:head><title>Reallocate · Odd Penny</title></svelte:head>

<div class="grid h-[calc(100vh-48px)] grid-rows-[auto_1fr_auto]">
	<div class="double-bottom px-6 py-3">
		<p>
			<strong class="font-semibold">Reallocating:</strong> allocated by {again.by} on {moment(again.at)}, for {shortDay(
				again.date,
				data.today ?? undefined
			)}. Allocate it as it should be; what is there now is undone and allocated again in one step, and both
			are recorded.
		</p>
		{#each again.letters as letter (letter.id)}
			<p class="mt-1 text-sm text-copper">
				{kinds[letter.kind] ?? 'A letter'} of {shortDay(letter.date, data.today ?? undefined)} told {letter.customer}
				how it stood.
				<a class="underline" href="/letters/outbox/{letter.id}">Read it</a>. A corrected statement will be
				drafted.
			</p>
		{/each}
		<div class="mt-1"><Problems problems={form.problems} /></div>
	</div>
	<section class="overflow-y-auto" aria-label="The desk">
		{#key again}
			<DeskView {allocating} reasons={again.reasons} bind:filter bind:active mayAct={true} />
		{/key}
	</section>
	<footer class="double-top flex h-[54px] items-center gap-3 bg-raised px-5">
		<form
			bind:this={postForm}
			method="POST"
			class="flex items-center gap-3"
			use:enhance={form.submit(() => ({
				...{ actId: again.actId, order: { ...allocating.order, date: allocating.date || null } }
			}))}
		>
			<button class="btn btn-main" disabled={!ready}>
				Reallocate {money(desk.receipt?.amount ?? 0, desk.currency)} <span class="key">Enter</span>
			</button>
			<label class="flex items-center gap-2 text-sm"
				>on
				<input
					type="text"
					class="w-28"
					placeholder="today"
					onchange={({ currentTarget: { value } }) =>
						(allocating.date = value.trim() ? (parseTypedDay(value, allocating.today) ?? value) : '')}
				/>{#if allocating.date}{shortDay(allocating.date)}{/if}</label
			>
		</form>
		<button type="button" class="btn" onclick={() => allocating.clear()}>Take all of it off</button>
		<a class="btn" href="/customers/{desk.customer?.code ?? ''}">Leave it as it is</a>
		<p
			aria-live="polite"
			class={['ml-auto text-right text-sm', allocating.outcome.ok ? 'text-soft' : 'text-copper']}
		>
			{allocating.outcome.asks
				? 'That is above your limit: a supervisor has to reallocate it.'
				: allocating.outcome.text}
		</p>
	</footer>
</div>

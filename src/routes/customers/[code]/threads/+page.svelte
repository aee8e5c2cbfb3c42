<script lang="ts">
	import { goto } from '$app/navigation';
	import { screenKeys } from '$lib/ui/screen-keys.svelte';
	import { rowCursor } from '$lib/ui/row-cursor';
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import { toast } from 'svelte-sonner';
	import { addDays } from '$lib/core/day/arithmetic';
	import type { Day } from '$lib/core/day/day';
	import type { undoPosting } from '$lib/server/allocation/commands/undo-posting';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Threads from './Threads.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { amount, count, moment, money, shortDay } from '$lib/words';
	let { data } = $props();
	const threads = $derived(data.threads);
	const today = $derived((data.today ?? '') as Day);
	let picked = $state<number | null>(null);
	const form = new ActForm<typeof undoPosting>('?/off', {
		done: () => void toast('Undone. The money waits in the pile again.')
	});
	const link = $derived(threads.links.find((one) => one.id === picked) ?? null);
	const source = $derived(link && threads.sources.find((one) => one.key === link.source)!);
	const target = $derived(link && threads.items.find((one) => one.id === link.itemId)!);
	let ribbons = $state<Threads>();
	const mayMove = $derived(data.mayAct && link !== null && !link.off && source?.actId === link.actId);
	screenKeys(() =>
		data.asTable
			? []
			: [
					{
						keys: ['ArrowDown', 'ArrowUp'],
						shown: '↓ ↑',
						what: 'next and previous allocation',
						run: (key) => ribbons?.step(key === 'ArrowDown' ? 1 : -1)
					},
					{
						keys: ['m'],
						what: 'move it, or part of it, where it belongs',
						run: () => mayMove && goto(`/money-in/reallocate/${link!.actId}`)
					}
				]
	);
	const SINCE = [
		[60, 'two months'],
		[180, 'half a year'],
		[365, 'a year'],
		[3650, 'ten years']
	] as const;
	function address(change: Record<string, string | null>): string {
		const params = new URLSearchParams(page.url.searchParams);
		for (const [key, value] of Object.entries(change))
			if (value === null) params.delete(key);
			else params.set(key, value);
		return `${page.url.pathname}?${params}`;
	}
</script>

<svelte:head><title>Threads of {threads.customer.name} · Odd Penny</title></svelte:head>

<div class="grid h-[calc(100vh-48px)] grid-cols-[minmax(0,1fr)_300px]">
	<section class="overflow-y-auto px-8 pt-5 pb-8">
		<p class="text-sm"><a href="/customers/{threads.customer.code}">{threads.customer.name}</a></p>
		<h1>Receipts and what they paid</h1>
		<p class="mt-1 flex flex-wrap items-center gap-x-4 text-sm text-soft">
			{#if threads.alone}
				<a class="block py-0.5 underline" href="/customers/{threads.customer.code}/threads"
					>all of the account</a
				>
			{:else}
				<span>Allocated since {shortDay(threads.from, today)}:</span>
				{#each SINCE as [days, words] (days)}
					{@const from = addDays(today, -days)}
					<a
						class={['block py-0.5', from === threads.from && 'font-semibold text-ink']}
						href={address({ from })}
						aria-current={from === threads.from ? 'true' : undefined}>{words}</a
					>
				{/each}
			{/if}
			<a class="block py-0.5 underline" href={address({ off: threads.ghosts ? null : 'shown' })}
				>{threads.ghosts ? 'without what was undone' : 'with what was undone'}</a
			>
			<a class="block py-0.5 underline" href={address({ as: data.asTable ? null : 'table' })}
				>{data.asTable ? 'as a picture' : 'as a table'}</a
			>
		</p>
		{#if threads.links.length === 0}
			<p class="mt-6 says">
				{threads.alone ? 'No money is allocated to it.' : 'Nothing was allocated on this account since then.'}
				{threads.earlier.count ? `Before it, ${count(threads.earlier.count, 'time')}.` : ''}
			</p>
		{/if}
		{#if data.asTable}
			<table class="mt-4">
				<thead
					><tr
						><th>Money</th><th>Of</th><th>Settles</th><th>Allocated by</th><th class="num">So much of it</th
						></tr
					></thead
				>
				<tbody {@attach rowCursor}>
					{#each threads.links as one (one.id)}
						{@const from = threads.sources.find((it) => it.key === one.source)!}
						{@const to = threads.items.find((it) => it.id === one.itemId)!}
						<tr class={one.off ? 'text-soft line-through' : ''}>
							<td>{from.label}</td><td class="whitespace-nowrap">{shortDay(from.date, today)}</td>
							<td
								><button class="cursor-pointer py-0.5 underline" onclick={() => (picked = one.id)}
									>{to.label}</button
								></td
							>
							<td class="text-soft">{one.by}, {moment(one.at)}</td>
							<td class="num">{money(one.amount, to.currency)}</td>
						</tr>
					{/each}
				</tbody>
			</table>
		{:else}
			<div class="mt-4 max-w-[1100px]">
				<Threads
					bind:this={ribbons}
					sources={threads.sources}
					items={threads.items}
					links={threads.links}
					bind:picked
					{today}
					currency={threads.customer.currency}
					owner={threads.customer.name}
				/>
			</div>
		{/if}
		{#if threads.cut}<p class="mt-2 text-sm text-copper">
				Only the newest {count(threads.links.length, 'allocation')} are shown; take a shorter time to see all of
				it.
			</p>{/if}
		{#if threads.earlier.count}
			<p class="double-top mt-4 pt-2 text-sm text-soft">
				Before {shortDay(threads.from, today)}: {count(threads.earlier.count, 'allocation')} of {money(
					threads.earlier.sum,
					threads.customer.currency
				)} in all.
			</p>
		{/if}
	</section>
	<aside class="overflow-y-auto border-l border-rule px-6 pt-5 text-sm" aria-live="polite">
		{#if link && source && target}
			<h2 class="text-xl">{money(link.amount, target.currency)}</h2>
			<p class="mt-1">
				of {source.label}, {shortDay(source.date, today)} ({money(source.amount, source.currency)}), on
				<a class="underline" href="/customers/{threads.customer.code}?item={target.id}">{target.label}</a>
				({amount(target.total, target.currency)}).
			</p>
			<p class="mt-3">Allocated by {link.by} on {moment(link.at)}, for {shortDay(link.date, today)}.</p>
			{#if link.reasons.length}
				<h3 class="mt-3 font-sans font-semibold text-soft">Why, at that time</h3>
				<ul class="mt-1 list-disc pl-4 marker:text-copper">
					{#each link.reasons as reason, i (i)}<li class="mb-1">{reason}</li>{/each}
				</ul>
			{/if}
			{#if link.off}
				<p class="note mt-3">
					Undone by {link.off.by} on {moment(link.off.at)}.
					<a class="underline" href="/books/journal?act={link.off.actId}">Its journal</a>
				</p>
			{/if}
			<p class="mt-3"><a class="underline" href="/books/journal?act={link.actId}">The journal of it</a></p>
			<Problems problems={form.problems} />
			{#if !link.off && data.mayAct}
				<div class="mt-4 flex flex-wrap gap-2">
					{#if source.actId === link.actId}
						<a class="btn btn-main" href="/money-in/reallocate/{link.actId}"
							>Move it, or part of it <span class="key">M</span></a
						>
					{/if}
					<form method="POST" action="?/off" use:enhance={form.submit()}>
						<input type="hidden" name="actId" value={link.actId} />
						<button class="btn" disabled={form.busy}>Undo all of it</button>
					</form>
				</div>
				<p class="mt-2 says">
					Undoing it opens all that this {source.actId === link.actId ? 'money' : 'credit'} settled in the same
					act.
				</p>
			{/if}
		{:else}
			<p class="says">
				Pick a ribbon to see who allocated it, when and why, and to move it where it belongs.
			</p>
		{/if}
	</aside>
</div>

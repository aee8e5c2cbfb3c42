<script lang="ts">
	import { toast } from 'svelte-sonner';
	import type { finishTask } from '$lib/server/customers/commands/tasks';
	import type { CallReason, CallRow } from '$lib/server/letters/queries/calls';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { rowCursor } from '$lib/ui/row-cursor';
	import { screenKeys } from '$lib/ui/screen-keys.svelte';
	import { amount, count, list, money, shortDay } from '$lib/words';
	import LetterTabs from '../LetterTabs.svelte';
	import CallPanel from './CallPanel.svelte';
	let { data } = $props();
	const today = $derived(data.day);
	const keyOf = (row: CallRow) => `${row.customerId} ${row.currency}`;
	let shown = $state<string | null>(null);
	const current = $derived(data.calls.find((row) => keyOf(row) === shown) ?? data.calls[0] ?? null);
	let panel = $state<CallPanel>();
	const finishing = new ActForm<typeof finishTask>('?/finish', { done: () => void toast('Done.') });
	function step(by: 1 | -1) {
		const at = data.calls.findIndex((row) => current && keyOf(row) === keyOf(current));
		const next = data.calls[at + by];
		if (next) shown = keyOf(next);
	}
	function reasonWords(one: CallReason): string {
		switch (one.why) {
			case 'step':
				return `next step: ${one.step}`;
			case 'broken':
				return `promise of ${shortDay(one.day, today)} not kept`;
			case 'again':
				return `to be called again ${shortDay(one.day, today)}`;
			default:
				return one satisfies never;
		}
	}
	const worth = (row: CallRow) =>
		[
			`${amount(row.late, row.currency)} × ${row.age} for ${count(row.daysLate, 'day')}`,
			row.made ? `× ${row.habit.toFixed(2)} for ${row.kept} of ${count(row.made, 'promise')} kept` : ''
		]
			.filter(Boolean)
			.join(' ');
	screenKeys(() => [
		{ keys: ['n'], what: 'the next one to call', run: () => step(1) },
		{ keys: ['b'], what: 'the one before', run: () => step(-1) },
		...(data.mayAct ? [{ keys: ['c'], what: 'what came of the call', run: () => panel?.type() }] : [])
	]);
</script>

<svelte:head><title>Calls · Odd Penny</title></svelte:head>

<div class="grid h-[calc(100vh-48px)] grid-cols-[minmax(0,1fr)_minmax(380px,42%)]">
	<section class="overflow-y-auto px-8 pt-5 pb-8">
		<LetterTabs here="calls" />
		<h1 class="mt-3">
			{data.calls.length
				? `${count(data.calls.length, 'customer')} to call today.`
				: 'Nobody is to be called today.'}
		</h1>
		<p class="mt-1 says">
			{data.calls.length
				? 'First who may bring most: what is overdue, by its age and by how promises were kept.'
				: 'Customers come here when their next step is a call, when a promise is broken, or on the day they asked to be called again.'}
		</p>
		{#if data.calls.length}
			<table class="mt-2">
				<thead class="sticky -top-5 z-10 bg-paper"
					><tr
						><th>Customer</th><th class="num">Overdue</th><th>Why</th><th class="num hidden xl:table-cell"
							>May bring</th
						></tr
					></thead
				>
				<tbody {@attach rowCursor}>
					{#each data.calls as row (keyOf(row))}
						<tr class={['align-top', current && keyOf(row) === keyOf(current) && 'bg-raised']}>
							<td
								><button
									data-open
									class="cursor-pointer text-left hover:underline"
									onclick={() => (shown = keyOf(row))}>{row.name}</button
								>
								<span class="block text-xs text-soft">{worth(row)}</span></td
							>
							<td class="num"
								>{row.currency === data.base
									? amount(row.late, row.currency)
									: money(row.late, row.currency)}</td
							>
							<td class="text-sm">{list(row.reasons.map(reasonWords))}</td>
							<td class="num hidden text-soft xl:table-cell">{amount(row.worth, data.base)}</td>
						</tr>
					{/each}
				</tbody>
			</table>
		{/if}
		{#if data.tasks.length}
			<h2 class="mt-6 text-xl">To be done</h2>
			<Problems problems={finishing.problems} />
			<ul class="mt-1">
				{#each data.tasks as task (task.id)}
					<li class="flex items-baseline gap-3 border-b border-rule py-1">
						<span class="w-16 shrink-0 text-sm {task.day < today ? 'text-copper' : 'text-soft'}"
							>{shortDay(task.day, today)}</span
						>
						<span class="grow wrap-anywhere"
							>{task.what} <a class="text-soft underline" href="/customers/{task.code}">{task.name}</a></span
						>
						{#if data.mayAct}<button
								class="btn py-0.5"
								disabled={finishing.busy}
								aria-label="{task.what}: done"
								onclick={() => finishing.send({ taskId: task.id })}>done</button
							>{/if}
					</li>
				{/each}
			</ul>
		{/if}
	</section>
	<section class="overflow-y-auto border-l border-rule p-5" aria-label="Who is called">
		{#if current}
			<CallPanel bind:this={panel} row={current} {today} mayAct={data.mayAct} next={() => step(1)} />
		{:else}<p class="says">The one who is to be called is shown here, with what to say.</p>{/if}
	</section>
</div>

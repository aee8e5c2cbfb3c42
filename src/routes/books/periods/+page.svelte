<script lang="ts">
	import { rowCursor } from '$lib/ui/row-cursor';
	import { toast } from 'svelte-sonner';
	import type { lockPeriod, unlockPeriod } from '$lib/server/periods/commands/lock-period';
	import { actSentence, count, moment, shortDay } from '$lib/words';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import FieldError from '$lib/ui/FieldError.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	let { data } = $props();
	const today = $derived(data.today ?? '');
	let reason = $state('');
	const name = (first: string) =>
		new Date(`${first}T00:00:00Z`).toLocaleDateString('en-GB', {
			...{ month: 'long', year: 'numeric', timeZone: 'UTC' }
		});
	/** What is asked before a month is locked or opened. */
	let asked = $state<{ way: 'lock' | 'unlock'; day: string; waiting: number } | null>(null);
	function done() {
		if (asked)
			toast(
				asked.way === 'lock'
					? `Locked up to ${shortDay(asked.day)}.`
					: `Open again from ${shortDay(asked.day)}.`
			);
		asked = null;
		reason = '';
	}
	const lockForm = new ActForm<typeof lockPeriod>('?/lock', { done });
	const unlockForm = new ActForm<typeof unlockPeriod>('?/unlock', { done });
	const form = $derived(asked?.way === 'unlock' ? unlockForm : lockForm);
	function send(event: SubmitEvent) {
		event.preventDefault();
		if (asked?.way === 'lock') void lockForm.send({ through: asked.day, reason });
		if (asked?.way === 'unlock') void unlockForm.send({ from: asked.day, reason });
	}
</script>

<svelte:head><title>Periods · Odd Penny</title></svelte:head>

<div class="grid min-h-[calc(100vh-48px)] grid-cols-[minmax(0,1fr)_380px]">
	<section class="px-8 pt-5 pb-10">
		<p class="text-sm"><a href="/books">Books</a></p>
		<h1>
			{data.locked ? `The books are locked up to ${shortDay(data.locked, today)}.` : 'No period is locked.'}
		</h1>
		<p class="mt-1 mb-3 says">
			Nothing is posted, changed or undone on a locked day; figures of a locked month stay as they are for
			ever. {data.mayLock ? '' : 'Locking and opening takes a supervisor.'}
		</p>
		<Problems problems={form.problems} />
		<table>
			<thead
				><tr
					><th>Month</th><th class="num">Acts posted</th><th class="num">Still waiting</th><th>State</th><th
					></th></tr
				></thead
			>
			<tbody {@attach rowCursor}>
				{#each data.months as month (month.first)}
					<tr>
						<td>{name(month.first)}</td>
						<td class="num">{month.acts.toLocaleString('en-GB')}</td>
						<td class={['num', month.waiting > 0 && 'text-copper']}>{month.waiting || '–'}</td>
						<td class={month.locked === 'none' ? 'text-soft' : 'text-patina'}
							>{month.locked === 'all'
								? 'locked'
								: month.locked === 'part'
									? `locked up to ${shortDay(data.locked!, today)}`
									: 'open'}</td
						>
						<td class="text-right">
							{#if data.mayLock}
								{#if month.locked !== 'all'}<button
										class="btn py-0.5"
										onclick={() =>
											(asked = {
												way: 'lock',
												day: month.last < today ? month.last : today,
												waiting: data.months
													.filter((one) => one.first <= month.first)
													.reduce((sum, one) => sum + one.waiting, 0)
											})}>Lock {month.last < today ? name(month.first) : 'up to today'}</button
									>{/if}
								{#if month.locked !== 'none'}<button
										class="btn py-0.5"
										onclick={() => (asked = { way: 'unlock', day: month.first, waiting: 0 })}
										>Open from {shortDay(month.first, today)}</button
									>{/if}
							{/if}
						</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</section>
	<aside class="border-l border-rule px-6 pt-5">
		{#if asked}
			<form class="mb-6 grid gap-3" onsubmit={send}>
				<h2 class="text-xl">
					{asked.way === 'lock'
						? `Lock up to ${shortDay(asked.day, today)}?`
						: `Open from ${shortDay(asked.day, today)}?`}
				</h2>
				{#if asked.waiting > 0}<p class="note">
						{count(asked.waiting, 'entry', 'entries')} of that time still {asked.waiting === 1
							? 'waits'
							: 'wait'}: once it is locked, they are booked on the first open day instead.
					</p>{/if}
				<label class="grid gap-1 text-sm"
					>Why, for the record{asked.way === 'lock' ? ' (may be left out)' : ''}
					<input
						type="text"
						class="w-full"
						bind:value={reason}
						maxlength="400"
						{...form.at('reason')}
					/></label
				>
				<FieldError {form} name="reason" />
				<p class="flex gap-2">
					<button class="btn btn-main" disabled={form.busy || (asked.way === 'unlock' && !reason.trim())}
						>{asked.way === 'lock' ? 'Lock' : 'Open again'}</button
					>
					<button type="button" class="btn" onclick={() => (asked = null)}>Leave it</button>
				</p>
			</form>
		{/if}
		<h2 class="text-xl">Locked and opened</h2>
		<ul class="mt-1 text-sm">
			{#each data.history as one (one.id)}
				<li class="border-t border-rule py-2">
					{actSentence(one.said)}<span class="block text-soft">{one.by}, {moment(one.at)}</span>
				</li>
			{:else}<li class="says">Nobody has locked a period yet.</li>{/each}
		</ul>
		<h2 class="mt-6 text-xl">Anchors of the record</h2>
		<p class="mt-1 text-sm says">
			The record as it stood, as a code that also stands on statements of account. What was written before it
			cannot be changed without it showing.
		</p>
		<ul class="mt-1 text-sm">
			{#each data.anchors as one (one.id)}
				<li class="border-t border-rule py-2">
					<span class="font-mono text-[13px]">{one.code}</span><span class="block text-soft"
						>{shortDay(one.day, today)}{one.reason === 'lock'
							? ', when a period was locked'
							: ''}{one.mail === 'sent'
							? ', sent'
							: one.mail === 'failed'
								? `, not sent: ${one.answer}`
								: ''}</span
					>
				</li>
			{:else}<li class="says">None yet: the first is made when a day is over.</li>{/each}
		</ul>
	</aside>
</div>

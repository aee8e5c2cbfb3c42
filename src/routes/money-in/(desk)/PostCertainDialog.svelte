<script lang="ts">
	import type { postCertain } from '$lib/server/allocation/commands/post-certain';
	import Problems from '$lib/ui/Problems.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import type { PileGroupRows, PileRow } from '$lib/server/receipts/queries/pile';
	import { amount, count, money } from '$lib/words';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import { untrack } from 'svelte';
	import type { Done } from './done';
	import { MOST_ROWS, rowsOf } from '$lib/trade/pile-rows';

	/** What is certain, to be read through and posted together. */
	let {
		open = $bindable(),
		group,
		base,
		done
	}: {
		open: boolean;
		group: PileGroupRows;
		base: string;
		done: Done;
	} = $props();
	/** All of the group, once it is read: the page has the first rows only. */
	let all = $state.raw<readonly PileRow[] | null>(null);
	let reading = $state(false);
	const rows = $derived(all ?? group.rows);
	let stopping = $state(false);
	async function readAll() {
		reading = true;
		try {
			all = await rowsOf('certain', 0, MOST_ROWS);
		} catch (error) {
			form.say((error as Error).message);
		} finally {
			reading = false;
		}
	}
	$effect(() => {
		if (open)
			untrack(() => {
				form.say();
				all = null;
				if (group.rows.length < group.count) void readAll();
			});
		// Nothing is posted that nobody sees.
		else stopping = true;
	});

	/** So many are sent together: others are let in between, and one sees how far it is. */
	const TOGETHER = 50;
	const form = new ActForm<typeof postCertain>('?/certain', { refresh: false });
	/** How many were sent, of how many, while they are being posted. */
	let going = $state<{ readonly sent: number; readonly of: number } | null>(null);

	async function post() {
		// What was seen, and no more.
		const wanted = rows.map(({ id, version }) => ({ id, version }));
		const acts: number[] = [];
		let [posted, left, sent] = [0, 0, 0];
		stopping = false;
		while (sent < wanted.length && !stopping) {
			going = { sent, of: wanted.length };
			const answer = await form.send({ receipts: wanted.slice(sent, sent + TOGETHER) });
			if (!answer) break;
			posted += answer.output.posted;
			left += answer.output.left;
			if (answer.undo !== null) acts.push(answer.undo);
			sent = Math.min(sent + TOGETHER, wanted.length);
		}
		going = null;
		// Nothing was done: what stood in the way stands in the dialog.
		if (posted === 0 && form.problems.length > 0) return;
		const said = [`Posted ${count(posted, 'receipt')}.`];
		if (left) said.push(`${count(left, 'receipt')} changed meanwhile or takes a supervisor.`);
		if (form.problems.length > 0) said.push(`Then it went no further: ${form.problems.join(' ')}`);
		else if (sent < wanted.length)
			said.push(`${count(wanted.length - sent, 'receipt')} left as you stopped.`);
		await done(said.join(' '), { undo: acts.length ? acts : null });
	}
</script>

<Dialog title="Post what is certain" wide bind:open>
	<p class="says">
		Each of these has a known payer, is explained to the penny, and has no other answer as good. Read them
		through; each can be undone by itself, or all of them together.
	</p>
	<!-- svelte-ignore a11y_no_noninteractive_tabindex (a long list is scrolled by keyboard) -->
	<div
		class="my-3 max-h-[52vh] overflow-auto"
		role="region"
		aria-label="Receipts that are certain"
		tabindex="0"
	>
		<table>
			<thead><tr><th>Payer</th><th>Settles</th><th class="num">Amount</th></tr></thead>
			<tbody>
				{#each rows as row (row.id)}
					<tr
						><td>{row.who}</td><td class="text-soft">{row.numbers.join(', ')}</td><td class="num"
							>{row.currency === base
								? amount(row.amount, row.currency)
								: money(row.amount, row.currency)}</td
						></tr
					>
				{/each}
			</tbody>
		</table>
	</div>
	{#if rows.length < group.count}
		<p class="mb-3 text-sm text-soft">
			{reading
				? 'The others are being read.'
				: `The first ${rows.length} of ${group.count}; the others come after these.`}
		</p>
	{/if}
	<Problems problems={form.problems} />
	<div class="flex items-center gap-4">
		<button class="btn btn-main" data-first disabled={going !== null || rows.length === 0} onclick={post}
			>Post these {going?.of ?? rows.length}</button
		>
		{#if going && going.of > TOGETHER}
			<progress class="w-48" value={going.sent} max={going.of} aria-label="Receipts sent"></progress>
			<span class="text-soft" role="status">{going.sent} of {going.of}</span>
			<button class="btn" disabled={stopping} onclick={() => (stopping = true)}>Stop here</button>
		{/if}
	</div>
</Dialog>

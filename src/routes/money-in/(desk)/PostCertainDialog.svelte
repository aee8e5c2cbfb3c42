<script lang="ts">
	import { goto } from '$app/navigation';
	import type { postCertain } from '$lib/server/allocation/commands/post-certain';
	import Problems from '$lib/ui/Problems.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import TickBox from '$lib/ui/TickBox.svelte';
	import type { PileFilter } from '$lib/server/services/answers/order-pile';
	import type { CertainRow } from '$lib/server/receipts/queries/certain';
	import { count, money, postingSentence, reasonSentence, shortDay, sumsByCurrency } from '$lib/words';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import { SvelteSet } from 'svelte/reactivity';
	import { untrack } from 'svelte';
	import type { Done } from './done';
	import { certainRows } from '$lib/trade/pile-rows';

	/** What is certain, to be read through and posted together; any of it can be left out. */
	let {
		open = $bindable(),
		all,
		filter,
		today,
		done
	}: {
		open: boolean;
		/** How many there are. */
		all: number;
		/** What is shown of the pile; nothing else is posted. */
		filter: PileFilter;
		today: string;
		done: Done;
	} = $props();
	let rows = $state.raw<readonly CertainRow[]>([]);
	let reading = $state(false);
	let active = $state(0);
	const leftOut = new SvelteSet<number>();
	const wanted = $derived(rows.filter((row) => !leftOut.has(row.id)));
	const sums = $derived(sumsByCurrency(wanted));
	const activeId = $derived.by(() => {
		const row = rows[active];
		return row && `certain-${row.id}`;
	});
	let stopping = $state(false);
	let region = $state<HTMLElement>();
	async function readAll() {
		reading = true;
		try {
			rows = await certainRows(filter);
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
				[rows, active] = [[], 0];
				leftOut.clear();
				void readAll();
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
		if (going || wanted.length === 0) return;
		// What was seen, and no more.
		const seen = wanted.map(({ id, version }) => ({ id, version }));
		const acts: number[] = [];
		let [posted, left, sent] = [0, 0, 0];
		stopping = false;
		while (sent < seen.length && !stopping) {
			going = { sent, of: seen.length };
			const answer = await form.send({ receipts: seen.slice(sent, sent + TOGETHER) });
			if (!answer) break;
			posted += answer.output.posted;
			left += answer.output.left;
			if (answer.undo !== null) acts.push(answer.undo);
			sent = Math.min(sent + TOGETHER, seen.length);
		}
		going = null;
		// Nothing was done: what stood in the way stands in the dialog.
		if (posted === 0 && form.problems.length > 0) return;
		const said = [`Posted ${count(posted, 'receipt')}.`];
		if (left) said.push(`${count(left, 'receipt')} changed meanwhile or takes a supervisor.`);
		if (form.problems.length > 0) said.push(`Then it went no further: ${form.problems.join(' ')}`);
		else if (sent < seen.length) said.push(`${count(seen.length - sent, 'receipt')} left as you stopped.`);
		await done(said.join(' '), { undo: acts.length ? acts : null });
	}

	function doing({ does, to, amount, currency }: CertainRow): string {
		if (does) return postingSentence(does);
		return to
			? `Posts ${money(Math.abs(amount), currency)} to ${to}.`
			: 'It changed since; open it on the desk.';
	}
	function toggle(row: CertainRow | undefined) {
		if (!row || going) return;
		if (!leftOut.delete(row.id)) leftOut.add(row.id);
	}
	function show(row: CertainRow | undefined) {
		if (!row) return;
		open = false;
		void goto(`/money-in?receipt=${row.id}`, { noScroll: true });
	}
	function onkeydown(event: KeyboardEvent) {
		const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
		if (event.ctrlKey || event.metaKey || event.altKey) return;
		const steps: Readonly<Record<string, number>> = {
			...{ ArrowDown: active + 1, j: active + 1, ArrowUp: active - 1, k: active - 1 },
			...{ Home: 0, End: rows.length - 1, PageDown: active + 8, PageUp: active - 8 }
		};
		if (key in steps) active = Math.max(0, Math.min(rows.length - 1, steps[key]!));
		else if (key === ' ') toggle(rows[active]);
		else if (key === 'o') show(rows[active]);
		else if (key === 'Enter') void post();
		else return;
		event.preventDefault();
		region?.querySelector(`[data-at="${active}"]`)?.scrollIntoView({ block: 'nearest' });
	}
</script>

<Dialog title="Post what is certain" wide bind:open>
	<p class="says">
		Each has a known payer, is explained to the penny, and has no other answer as good. Read them through:
		<span class="key">Space</span> leaves one out, <span class="key">O</span> opens it on the desk.
	</p>
	<div
		bind:this={region}
		class="scroll-shade my-3 max-h-[52vh] overflow-auto border-y border-rule"
		role="listbox"
		aria-multiselectable="true"
		aria-label="Receipts that are certain"
		aria-activedescendant={activeId}
		tabindex="0"
		data-first
		{onkeydown}
	>
		{#each rows as row, i (row.id)}
			{@const out = leftOut.has(row.id)}
			<!-- svelte-ignore a11y_click_events_have_key_events (the list has the keys) -->
			<div
				role="option"
				id="certain-{row.id}"
				data-at={i}
				tabindex="-1"
				aria-selected={!out}
				onclick={() => ((active = i), toggle(row))}
				class={[
					'row grid cursor-pointer grid-cols-[22px_minmax(0,1fr)_auto] gap-x-2 border-b border-rule px-2 py-1.5',
					i === active && 'bg-wash',
					out && 'text-soft line-through decoration-rule'
				]}
			>
				<span class="pt-0.5"><TickBox ticked={!out} /></span>
				<span class="min-w-0">
					<span class="flex gap-2"
						><strong class="truncate font-semibold">{row.customer}</strong>
						<span class="min-w-0 flex-1 truncate font-mono text-[12px] text-soft"
							>{shortDay(row.booked, today)} · {row.payer ?? 'no name'} · {row.text || 'no words'}</span
						></span
					>
					<span class="block">{doing(row)}</span>
					<span class="block text-sm text-soft">{row.reasons.map(reasonSentence).join(' ')}</span>
				</span>
				<span class="text-right font-semibold">{money(row.amount, row.currency)}</span>
			</div>
		{:else}<p class="py-6 text-center text-soft">
				{reading ? 'They are being read …' : 'Nothing is certain just now.'}
			</p>{/each}
	</div>
	{#if rows.length > 0 && rows.length < all}
		<p class="mb-3 text-sm text-soft">The first {rows.length} of {all}; the others come after these.</p>
	{/if}
	<Problems problems={form.problems} />
	<div class="flex items-center gap-4">
		<button class="btn btn-main" disabled={going !== null || wanted.length === 0} onclick={post}
			>Post {count(going?.of ?? wanted.length, 'receipt')}{going ? '' : `, ${sums}`}
			<span class="key">Enter</span></button
		>
		{#if leftOut.size && !going}<span class="text-soft">{leftOut.size} left out</span>{/if}
		{#if going && going.of > TOGETHER}
			<progress class="w-48" value={going.sent} max={going.of} aria-label="Receipts sent"></progress>
			<span class="text-soft" role="status">{going.sent} of {going.of}</span>
			<button class="btn" disabled={stopping} onclick={() => (stopping = true)}>Stop here</button>
		{/if}
	</div>
</Dialog>

<style>
	.row {
		content-visibility: auto;
		contain-intrinsic-size: auto 68px;
	}
</style>

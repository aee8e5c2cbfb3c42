<script lang="ts">
	import { rowCursor } from '$lib/ui/row-cursor';
	import { goto, invalidateAll } from '$app/navigation';
	import { SvelteSet } from 'svelte/reactivity';
	import { toast } from 'svelte-sonner';
	import type { sendLetters } from '$lib/server/letters/commands/send-letters';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import { screenKeys } from '$lib/ui/screen-keys.svelte';
	import ChooseHeld from './ChooseHeld.svelte';
	import Recipients from './Recipients.svelte';
	import Pages from '$lib/ui/Pages.svelte';
	import PdfView from '$lib/ui/PdfView.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import type { RunRow } from '$lib/server/letters/queries/letters';
	import { amount, count, list, money, shortDay } from '$lib/words';
	let { data } = $props();
	const keyOf = (row: { customerId: number; currency: string }) => `${row.customerId} ${row.currency}`;
	const fromKey = (key: string) => {
		const [customerId, currency] = key.split(' ');
		return { customerId: Number(customerId), currency: currency! };
	};
	let chosen = new SvelteSet<string>();
	let shown = $state<string | null>(null);
	let sending = $state<{ done: number; all: number } | null>(null);
	/** One batch after another: its key stays the same when the batch is tried again, so nobody gets two letters. */
	const batchForm = new ActForm<
		typeof sendLetters,
		{ kind: 'statement' | 'reminder'; chosen: { customerId: number; currency: string }[]; seen: number }
	>('?/send', {
		otherwise: 'The letters could not be written. None of these was sent; try again.',
		refresh: false
	});
	/** So many letters are one act: long runs show how far they are, and what is sent stays sent if the page is left. */
	const BATCH = 50;

	async function send(event: SubmitEvent) {
		event.preventDefault();
		const keys = [...chosen];
		let done = 0;
		for (let from = 0; from < keys.length; from += BATCH) {
			sending = { done: from, all: keys.length };
			const batch = keys.slice(from, from + BATCH);
			const answer = await batchForm.send({
				kind: data.kind,
				chosen: batch.map(fromKey),
				seen: data.run.seen
			});
			if (!answer) break;
			done += answer.output.sent;
			for (const one of batch) chosen.delete(one);
		}
		// Who was written to just now is not chosen again: the run is read anew before anything can be.
		await invalidateAll();
		sending = null;
		if (done > 0)
			toast(`${count(done, 'letter')} went to the outbox.`, {
				action: { label: 'Outbox', onClick: () => goto('/letters/outbox') }
			});
	}
	const { rows, ready, accounts } = $derived(data.run);
	const current = $derived(rows.find((row) => keyOf(row) === shown) ?? rows[0]);
	const names = $derived(rows.filter((row) => chosen.has(keyOf(row))).map((row) => row.name));
	const toWhom = $derived(
		names.length === chosen.size && names.length <= 12
			? list(names)
			: `${count(chosen.size, 'account')}${names.length ? `, ${list(names.slice(0, 6))} among them` : ''}`
	);
	const late = $derived(data.kind === 'reminder');
	const tab = $derived(data.corrections ? 'correction' : data.kind);
	const { corrections } = $derived(data.run);
	const tabs = $derived([
		['statement', 'Statements'],
		['reminder', 'Reminders'],
		...(corrections || data.corrections
			? [['correction', corrections ? `Corrections (${corrections})` : 'Corrections']]
			: [])
	]);
	const sums = $derived(list(data.run.sums.map((sum) => money(sum.amount, sum.currency))));
	function why(row: RunRow): string {
		const corrects = row.corrects
			? `takes the place of the letter of ${shortDay(row.corrects, data.today ?? undefined)}`
			: '';
		return [reason(row), corrects].filter(Boolean).join('; ');
	}
	function reason(row: RunRow): string {
		if (row.leftOut === 'money-waiting') return 'hold: their receipts are not allocated yet';
		if (row.leftOut === 'paused') return `paused: ${row.because}`;
		if (row.leftOut === 'no-address') return 'no e-mail address';
		if (row.leftOut === 'on-paper') return 'gets it on paper: open it by itself to print it';
		if (row.leftOut === 'wants-none') return 'wants no statements';
		if (row.leftOut === 'sent-today') return 'sent today';
		return row.lastSent ? `last sent ${shortDay(row.lastSent, data.today ?? undefined)}` : '';
	}
	/** Who has a reason to be left out is not chosen by a slip: it is asked first. */
	let asked = $state.raw<RunRow | null>(null);
	function pick(row: RunRow) {
		const id = keyOf(row);
		if (chosen.delete(id)) return;
		if (row.leftOut) asked = row;
		else chosen.add(id);
	}
	function pickAll(on: boolean) {
		if (sending) return;
		for (const row of ready) {
			if (on) chosen.add(keyOf(row));
			else chosen.delete(keyOf(row));
		}
	}
	const allChosen = $derived(ready.length > 0 && ready.every((row) => chosen.has(keyOf(row))));
	let sendButton = $state<HTMLButtonElement>();
	screenKeys(() =>
		data.mayAct
			? [
					{ keys: ['a'], what: 'choose all that can go, or none', run: () => pickAll(!allChosen) },
					{ keys: ['s'], what: 'to the button that sends', run: () => sendButton?.focus() }
				]
			: []
	);
	const previewUrl = $derived(
		current
			? `/letters/preview?kind=${data.kind}&customer=${current.customerId}&currency=${current.currency}`
			: null
	);
</script>

<svelte:head><title>Letters · Odd Penny</title></svelte:head>

<div class="grid h-[calc(100vh-48px)] grid-cols-[minmax(0,1fr)_minmax(380px,46%)] grid-rows-[1fr_auto]">
	<section class="overflow-y-auto px-8 pt-5">
		<nav class="flex gap-5" aria-label="Kinds of letters">
			{#each tabs as [kind, name] (kind)}
				<a
					href="/letters?kind={kind}"
					aria-current={tab === kind ? 'true' : undefined}
					onclick={() => (chosen.clear(), (shown = null))}
					class={[
						'border-b-2 pb-0.5 hover:no-underline',
						tab === kind ? 'border-copper font-semibold' : 'border-transparent text-soft'
					]}>{name}</a
				>
			{/each}
			<a href="/letters/outbox" class="border-b-2 border-transparent pb-0.5 text-soft hover:no-underline"
				>Outbox</a
			>
		</nav>
		<h1 class="mt-3">
			{data.corrections
				? accounts
					? `${count(accounts, 'account has', 'accounts have')} an out-of-date letter.`
					: 'No letter is out of date.'
				: accounts === 0
					? late
						? 'No account is overdue.'
						: 'No account owes anything.'
					: late
						? `${count(accounts, 'account is', 'accounts are')} overdue by ${sums}.`
						: `${count(accounts, 'account owes', 'accounts owe')} ${sums}.`}
		</h1>
		<p class="mt-1 mb-3 says">
			{#if data.corrections}A payment that their last letter showed was corrected since. The corrected
				statement says so and replaces that letter.{/if}
			{count(ready.length, 'letter')} can go; {accounts - ready.length}
			left out, each for the reason beside it.
			{#if data.standIn}Mail goes to the stand-in on this machine and is kept in the outbox; nothing leaves
				it.{/if}
		</p>
		<Problems problems={batchForm.problems} />
		<table>
			<thead class="sticky top-0 z-10 bg-paper">
				<tr>
					<th class="w-8"
						><input
							type="checkbox"
							aria-label="Choose all that can go"
							disabled={!data.mayAct}
							checked={allChosen}
							onchange={(event) => pickAll(event.currentTarget.checked)}
						/></th
					>
					<th>Customer</th><th class="num">{late ? 'Overdue' : 'Owed'}</th><th>To</th>
				</tr>
			</thead>
			<tbody {@attach rowCursor}>
				{#each rows as row (keyOf(row))}
					<tr class={['row align-top', current === row && 'bg-raised']}>
						<td
							><input
								type="checkbox"
								aria-label="Choose {row.name}"
								checked={chosen.has(keyOf(row))}
								disabled={!row.email || !data.mayAct}
								onchange={(event) => {
									pick(row);
									event.currentTarget.checked = chosen.has(keyOf(row));
								}}
							/></td
						>
						<td>
							<button
								data-open
								class="cursor-pointer text-left hover:underline"
								onclick={() => (shown = keyOf(row))}>{row.name}</button
							>
							{#if why(row)}<span class={['block text-xs', row.leftOut ? 'text-copper' : 'text-soft']}
									>{why(row)}</span
								>{/if}
						</td>
						<td class="num"
							>{row.currency === data.base
								? amount(late ? row.late : row.owed, row.currency)
								: money(late ? row.late : row.owed, row.currency)}</td
						>
						<td class="text-sm">
							<Recipients {row} kind={data.kind} mayAct={data.mayAct} />
						</td>
					</tr>
				{:else}<tr
						><td colspan="4" class="py-6 text-soft"
							>{data.corrections
								? 'Every letter that was sent is still right.'
								: late
									? 'No account is overdue.'
									: 'Nobody owes anything.'}</td
						></tr
					>{/each}
			</tbody>
		</table>
		<Pages page={data.page} per={data.perPage} total={accounts} />
	</section>
	<section class="flex min-h-0 flex-col border-l border-rule bg-wash p-4" aria-label="The letter as it will arrive">
		{#if previewUrl && current}
			<p class="mb-2 flex items-center justify-between text-sm">
				<span>To {current.name}, as it will arrive</span><a
					class="underline"
					href={previewUrl}
					target="_blank">Open by itself</a
				>
			</p>
			<PdfView url={previewUrl} label="The letter to {current.name}" />
		{:else}<p class="says">There is no letter to show.</p>{/if}
	</section>
	<footer class="double-top col-span-2 flex h-[54px] items-center gap-4 bg-raised px-5">
		<form onsubmit={send}>
			<button
				bind:this={sendButton}
				class="btn btn-main"
				disabled={chosen.size === 0 || sending !== null || !data.mayAct}
			>
				{sending
					? `Writing ${sending.done + 1} to ${Math.min(sending.done + BATCH, sending.all)} of ${sending.all} …`
					: chosen.size
						? `Send ${count(chosen.size, data.kind)}`
						: 'Send'}
			</button>
		</form>
		{#if sending}<progress
				class="w-40 accent-patina"
				max={sending.all}
				value={sending.done}
				aria-label="Letters written">{sending.done} of {sending.all}</progress
			>{/if}
		<p class="text-sm text-soft">
			{chosen.size
				? `To ${toWhom}.`
				: data.mayAct
					? 'Choose who gets one.'
					: 'You may look; sending takes a clerk.'}
		</p>
	</footer>
</div>

<ChooseHeld
	row={asked}
	kind={data.kind}
	reason={asked ? reason(asked) : ''}
	choose={() => asked && chosen.add(keyOf(asked))}
	close={() => (asked = null)}
/>

<style>
	.row {
		content-visibility: auto;
		contain-intrinsic-size: auto 34px;
	}
</style>

<script lang="ts">
	import { rowCursor } from '$lib/ui/row-cursor';
	import type { startRun } from '$lib/server/letters/commands/start-run';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import { screenKeys } from '$lib/ui/screen-keys.svelte';
	import ChooseHeld from './ChooseHeld.svelte';
	import LetterNotes from './LetterNotes.svelte';
	import LetterTabs from './LetterTabs.svelte';
	import Recipients from './Recipients.svelte';
	import RunOptions from './RunOptions.svelte';
	import Pages from '$lib/ui/Pages.svelte';
	import PdfView from '$lib/trade/PdfView.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import type { RunRow } from '$lib/server/letters/queries/run-rows';
	import { isImpossible } from '$lib/core/7-letters/why-held';
	import { amount, count, list, money } from '$lib/words';
	import { plainAmount } from '$lib/words/plain-amount';
	import { runRowSays } from './run-row-says';
	import { ChosenLetters, keyOf, type Chosen } from './chosen-letters.svelte';
	let { data } = $props();
	const chosen = new ChosenLetters();
	let shown = $state<string | null>(null);
	let note = $state('');
	let copyToMe = $state(false);
	const form = new ActForm<
		typeof startRun,
		{
			kind: typeof data.kind;
			statement: typeof data.statement;
			wording: string | null;
			note: string;
			copyToMe: boolean;
			chosen: readonly Chosen[];
			seen: typeof data.run.seen;
		}
	>('?/send', { otherwise: 'The letters could not be asked for. None was sent; try again.' });
	function send(event: SubmitEvent) {
		event.preventDefault();
		const { kind, statement, wording, run } = data;
		void form.send({ kind, statement, wording, note, copyToMe, chosen: chosen.all, seen: run.seen });
	}
	const { rows, ready, accounts, corrections } = $derived(data.run);
	const current = $derived(rows.find((row) => keyOf(row) === shown) ?? rows[0]);
	const names = $derived(rows.filter((row) => chosen.has(row)).map((row) => row.name));
	const toWhom = $derived(
		names.length === chosen.count && names.length <= 12
			? list(names)
			: `${count(chosen.count, 'account')}${names.length ? `, ${list(names.slice(0, 6))} among them` : ''}`
	);
	const sum = (n: number, currency: string) =>
		currency === data.base ? amount(n, currency) : money(n, currency);
	const late = $derived(data.kind === 'reminder');
	const today = $derived(data.today ?? undefined);
	const sums = $derived(list(data.run.sums.map((sum) => money(sum.amount, sum.currency))));
	const currencies = $derived(data.run.sums.map((sum) => sum.currency).sort());
	const isThanks = $derived(data.kind === 'thanks');
	const LETTERS_OF = { statement: 'statement', reminder: 'reminder', thanks: 'thank-you letter' } as const;
	const heading = $derived.by(() => {
		if (isThanks)
			return accounts
				? `${count(accounts, 'account has', 'accounts have')} paid what was asked for.`
				: 'Nobody is to be thanked today.';
		if (data.corrections)
			return accounts
				? `${count(accounts, 'account has', 'accounts have')} an out-of-date letter.`
				: 'No letter is out of date.';
		if (accounts === 0) return late ? 'No account reaches a step today.' : 'No account owes anything.';
		return late
			? data.filter.everyone
				? `${count(accounts, 'account is', 'accounts are')} overdue, ${sums} to ask for.`
				: `${count(accounts, 'account reaches', 'accounts reach')} a step today, ${sums}.`
			: data.statement?.from
				? `${count(accounts, 'statement')}, balances ${sums}.`
				: `${count(accounts, 'account owes', 'accounts owe')} ${sums}.`;
	});
	const why = (row: RunRow) => runRowSays(row, data.kind, today);
	/** Who has a reason to be left out is not chosen by a slip: it is asked first. */
	let asked = $state.raw<RunRow | null>(null);
	function pick(row: RunRow) {
		if (chosen.has(row)) chosen.leaveOut(row);
		else if (row.held) asked = row;
		else chosen.choose(row);
	}
	function pickAll(on: boolean) {
		if (form.busy) return;
		for (const row of ready)
			if (on) chosen.choose(row);
			else chosen.leaveOut(row);
	}
	const allChosen = $derived(ready.length > 0 && ready.every((row) => chosen.has(row)));
	const canGo = (row: RunRow) => data.mayAct && !row.isUnderWay && !(row.held && isImpossible(row.held));
	let sendButton = $state<HTMLButtonElement>();
	screenKeys(() =>
		data.mayAct
			? [
					{ keys: ['a'], what: 'choose all that can go, or none', run: () => pickAll(!allChosen) },
					{ keys: ['s'], what: 'to the button that sends', run: () => sendButton?.focus() }
				]
			: []
	);
	/** What of the run's own the preview needs. */
	const thankedFor = ({ step }: RunRow) => ({
		items: step?.details.about?.join(',') ?? '',
		wording: step?.details.wording ?? 'thanks'
	});
	const ownNote = $derived(current ? chosen.noteOf(keyOf(current)) : '');
	const previewUrl = $derived.by(() => {
		if (!current) return null;
		const params = new URLSearchParams({
			...{ kind: data.kind, customer: String(current.customerId), currency: current.currency },
			...(data.statement ? { show: data.statement.kind, to: data.statement.to } : {}),
			...(data.statement?.from ? { from: data.statement.from } : {}),
			...(isThanks ? thankedFor(current) : {}),
			...(data.wording ? { wording: data.wording } : {}),
			...(note || ownNote ? { note: [note, ownNote].filter(Boolean).join('\n\n') } : {})
		});
		return `/letters/preview?${params}`;
	});
</script>

<svelte:head><title>Letters · Odd Penny</title></svelte:head>

<div class="grid h-[calc(100vh-48px)] grid-cols-[minmax(0,1fr)_minmax(380px,46%)] grid-rows-[1fr_auto]">
	<section class="overflow-y-auto px-8 pt-5">
		<LetterTabs
			here={data.corrections ? 'correction' : data.kind === 'statement' ? 'statement' : 'reminder'}
			{corrections}
		/>
		<h1 class="mt-3">{heading}</h1>
		<p class="mt-1 says">
			{#if data.corrections}A payment that their last letter showed was corrected since. The corrected
				statement says so and replaces that letter.{/if}
			{#if isThanks}<a class="underline" href="/letters?kind=reminder">Reminders</a>. Thanks are sent once for
				what was paid after a reminder or a call.{:else}{count(ready.length, 'letter')} can go; {accounts -
					ready.length}
				held, each for the reason beside it.{/if}
			{#if data.standIn}Mail goes to the stand-in on this machine and is kept in the outbox; nothing leaves
				it.{/if}
		</p>
		{#if data.kind === 'reminder' && data.run.thanks > 0}<p class="mt-1">
				<a class="underline" href="/letters?kind=thanks"
					>{count(data.run.thanks, 'account', 'accounts')} to thank for paying</a
				>
			</p>{/if}
		{#if !data.corrections && data.kind !== 'thanks'}
			{#key data.kind}
				<RunOptions
					wordings={data.wordings}
					wording={data.wording}
					kind={data.kind}
					asked={data.asked}
					filter={data.filter}
					month={data.month}
					today={data.day}
					tags={data.run.tags}
					{currencies}
					least={data.filter.least ? plainAmount(data.filter.least, data.filter.currency ?? data.base) : ''}
				/>
			{/key}
		{/if}
		<Problems problems={form.problems} />
		<table class="mt-2">
			<thead class="sticky -top-5 z-10 bg-paper">
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
					<th>Customer</th>{#if !late}<th class="num">{isThanks ? 'Paid' : 'Balance'}</th>{/if}<th
						class={['num', !late && 'hidden xl:table-cell']}>{isThanks ? '' : 'Overdue'}</th
					><th>To</th>
				</tr>
			</thead>
			<tbody {@attach rowCursor}>
				{#each rows as row (keyOf(row))}
					<tr class={['row align-top', current === row && 'bg-raised']}>
						<td
							><input
								type="checkbox"
								aria-label="Choose {row.name}"
								checked={chosen.has(row)}
								disabled={!canGo(row)}
								onchange={(event) => {
									pick(row);
									event.currentTarget.checked = chosen.has(row);
								}}
							/></td
						>
						<td>
							<button
								data-open
								class="cursor-pointer text-left hover:underline"
								onclick={() => (shown = keyOf(row))}>{row.name}</button
							>
							{#if why(row)}<span class={['block text-xs', row.held ? 'text-copper' : 'text-soft']}
									>{why(row)}</span
								>{/if}
						</td>
						<td class="num">{sum(isThanks ? row.owed : row.amount, row.currency)}</td>
						{#if !late}<td class="num hidden text-soft xl:table-cell"
								>{row.late > 0 ? sum(row.late, row.currency) : ''}</td
							>{/if}
						<td class="text-sm">
							<Recipients
								{row}
								kind={data.kind === 'statement' ? 'statement' : 'reminder'}
								mayAct={data.mayAct}
							/>
						</td>
					</tr>
				{:else}<tr
						><td colspan={late ? 4 : 5} class="py-6 text-soft"
							>{data.corrections
								? 'Every letter that was sent is still right.'
								: Object.keys(data.filter).length > 0
									? 'No account is like that. Take a filter off to see more.'
									: isThanks
										? 'Thanks go to who pays after being chased, where the way of chasing says so.'
										: late
											? 'Nobody’s next step is due today. Show everybody who is overdue under “All accounts”.'
											: 'Nobody owes anything.'}</td
						></tr
					>{/each}
			</tbody>
		</table>
		<Pages page={data.page} per={data.perPage} total={accounts} />
	</section>
	<section
		class="flex min-h-0 flex-col border-l border-rule bg-wash p-4"
		aria-label="The letter as it will arrive"
	>
		{#if previewUrl && current}
			<p class="mb-2 flex items-center justify-between gap-3 text-sm">
				<span class="truncate">To {current.name}, as it will arrive</span><span class="shrink-0"
					>{#if data.mayAct && !data.corrections && !data.statement && !isThanks}<a
							class="mr-3 underline"
							href="/letters/write?kind={data.kind}&customer={current.customerId}&currency={current.currency}"
							>Change the words</a
						>{/if}<a class="underline" href={previewUrl} target="_blank">Open by itself</a></span
				>
			</p>
			<PdfView url={previewUrl} label="The letter to {current.name}" />
			{#if data.mayAct}
				<LetterNotes
					name={current.name}
					bind:note
					bind:ownNote={() => ownNote, (text) => chosen.setNote(keyOf(current), text)}
				/>
			{/if}
		{:else}<p class="says">There is no letter to show.</p>{/if}
	</section>
	<footer class="double-top col-span-2 flex h-[54px] items-center gap-4 bg-raised px-5">
		<form onsubmit={send}>
			<button
				bind:this={sendButton}
				class="btn btn-main"
				disabled={chosen.count === 0 || form.busy || !data.mayAct}
			>
				{form.busy
					? 'Asking …'
					: chosen.count
						? `Send ${count(chosen.count, LETTERS_OF[data.kind])}`
						: 'Send'}
			</button>
		</form>
		<p class="min-w-0 grow truncate text-sm text-soft">
			{chosen.count
				? `To ${toWhom}.`
				: data.mayAct
					? 'Choose who gets one.'
					: 'You may look; sending takes a clerk.'}
		</p>
		{#if data.mayAct}
			<label class="flex shrink-0 items-center gap-2 text-sm"
				><input type="checkbox" bind:checked={copyToMe} /> a copy of each to me</label
			>
		{/if}
	</footer>
</div>

<ChooseHeld
	row={asked}
	kind={LETTERS_OF[data.kind]}
	choose={() => asked && chosen.choose(asked, asked.held ?? undefined)}
	close={() => (asked = null)}
/>

<style>
	.row {
		content-visibility: auto;
		contain-intrinsic-size: auto 34px;
	}
</style>

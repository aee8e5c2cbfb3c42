<script lang="ts">
	import { enhance } from '$app/forms';
	import { goto } from '$app/navigation';
	import { tick } from 'svelte';
	import { toast } from 'svelte-sonner';
	import { isAsking, type TableAnswer } from '$lib/tables/table-seen';
	import type { DoubtAnswer, EntryDoubt } from '$lib/core/model/entry-doubt';
	import DoubtfulEntries from '$lib/trade/DoubtfulEntries.svelte';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import { bringFiles, putIntoField, takeFiles } from '$lib/trade/files/take-files.svelte';
	import { TablePreview } from '$lib/trade/tables/table-preview.svelte';
	import ColumnsOfTable from '$lib/trade/tables/ColumnsOfTable.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { amount, count, importedSentence, money, problemSentence, shortDay } from '$lib/words';
	import type { importBankFile } from '$lib/server/receipts/commands/import-bank-file';
	import type { BankTablePreview } from '$lib/server/services/threads/bank-tables';

	let { data } = $props();
	let bankAccountId = $state('');
	let form = $state<HTMLFormElement>()!;
	let field = $state<HTMLInputElement>()!;
	let showButton = $state<HTMLButtonElement>()!;
	const OTHERWISE = 'That did not work. Nothing was brought in; try again.';
	let doubts = $state.raw<readonly EntryDoubt[]>([]);
	let doubtAnswers = $state.raw<readonly DoubtAnswer[]>([]);
	let bringButton = $state<HTMLButtonElement>();
	const bringing = new ActForm<typeof importBankFile>('?/bringIn', {
		otherwise: OTHERWISE,
		refresh: false,
		asked: (found) => (doubts = found),
		done: async ({ output }) => {
			await goto('/money-in', { invalidateAll: true });
			toast(importedSentence(output));
		}
	});
	const table = new TablePreview<BankTablePreview>(OTHERWISE, () => bringing.say());
	const preview = $derived(table.shown);
	const busy = $derived(table.reading || bringing.busy);
	const problems = $derived([
		...table.refused,
		...bringing.problems,
		...(preview?.problems ?? []).map(problemSentence)
	]);
	const asks = $derived(preview !== null && (isAsking(preview.seen) || preview.bankAccountId === null));
	const found = $derived(asks ? null : (preview?.statement ?? null));
	/** Whether the table has names beside the details. */
	const named = $derived(
		found?.entries.some(({ details: [one] }) => one?.counterpartyName || one?.counterpartyAccount) ?? false
	);
	const chosen = $derived(bankAccountId || String(preview?.bankAccountId ?? ''));

	takeFiles({
		kinds: ['bank-table', 'other-table', 'spreadsheet'],
		take: async (files) => {
			start();
			putIntoField(field, files.slice(0, 1));
			await show();
			if (files.length > 1) toast(`${count(files.length - 1, 'other table')} left: one at a time.`);
		}
	});
	function choose() {
		const files = [...(field.files ?? [])];
		field.value = '';
		void bringFiles(files);
	}
	async function answer(said: readonly DoubtAnswer[]) {
		doubtAnswers = [...doubtAnswers, ...said];
		doubts = [];
		await tick();
		form.requestSubmit(bringButton);
	}
	function start() {
		[doubts, doubtAnswers] = [[], []];
		bankAccountId = '';
		table.start();
	}
	async function show() {
		await tick();
		form.requestSubmit(showButton);
	}
	function say(answer: TableAnswer) {
		table.say(answer);
		void show();
	}
</script>

<svelte:head><title>Bank table · Odd Penny</title></svelte:head>

<div class="grid grid-cols-[minmax(0,4fr)_minmax(0,7fr)]">
	<section class="px-8 pt-5 pb-10">
		<p class="text-sm"><a href="/money-in">Money in</a></p>
		<h1>Bring in a bank’s table</h1>
		<p class="mt-1 mb-4 says">
			A spreadsheet (XLSX) or CSV file of the bank’s, or rows copied from a spreadsheet with their headings.
			Its columns, dates and amounts are found, or asked about; you see the entries before they are brought
			in. How it is read is remembered for the next one. camt.053, MT940, BAI2 and OFX need none of this:
			bring them in on
			<a class="underline" href="/money-in">Money in</a>.
		</p>
		<form
			bind:this={form}
			method="POST"
			action="?/preview"
			enctype="multipart/form-data"
			class="grid gap-3"
			use:enhance={(turn) => (turn.action.search === '?/preview' ? table.showing() : bringing.submit()(turn))}
		>
			<input type="hidden" name="answers" value={JSON.stringify(table.answers)} />
			<label class="grid gap-1"
				>A spreadsheet or CSV file
				<input type="file" name="file" bind:this={field} onchange={choose} disabled={!data.mayAct} /></label
			>
			<label class="grid gap-1"
				>or rows pasted here
				<textarea
					name="pasted"
					rows="6"
					class="rounded border border-rule bg-raised p-2 font-mono text-[13px]"
					placeholder="Date	Details	Paid out	Paid in	Balance"
					oninput={start}></textarea></label
			>
			<label class={['grid gap-1', preview?.bankAccountId === null && 'text-copper']}
				>Of which account?
				<select
					name="bankAccountId"
					value={chosen}
					disabled={busy}
					onchange={({ currentTarget }) => {
						bankAccountId = currentTarget.value;
						if (preview) void show();
					}}
					><option value="">as the table says</option>{#each data.banks as one (one.id)}<option
							value={String(one.id)}>{one.name} ({one.currency})</option
						>{/each}</select
				></label
			>
			{#if preview?.bankAccountId === null}<p class="text-copper" role="alert">
					The table names none of the firm’s accounts. Choose the one that it is of.
				</p>{/if}
			<input type="hidden" name="doubtAnswers" value={JSON.stringify(doubtAnswers)} />
			{#if doubts.length}{#key doubts}<DoubtfulEntries {doubts} {busy} say={answer} />{/key}
			{:else}<Problems {problems} />{/if}
			<div class="flex gap-3">
				<button class={['btn', !found && 'btn-main']} bind:this={showButton} disabled={busy || !data.mayAct}
					>{table.reading ? 'Reading …' : 'Show the entries'}</button
				>
				{#if found}<button
						class="btn btn-main"
						formaction="?/bringIn"
						bind:this={bringButton}
						disabled={busy || doubts.length > 0}>Bring in {count(found.count, 'entry', 'entries')}</button
					>{/if}
			</div>
		</form>
	</section>
	<section class="border-l border-rule px-8 pt-5 pb-10" aria-live="polite">
		{#if preview}
			<ColumnsOfTable kind="bank-table" seen={preview.seen} {busy} {say} />
			{#if preview.otherColumns}<p class="mb-4 text-copper">
					This account’s last table had other columns. See that each entry below is right.
				</p>{/if}
		{/if}
		{#if found}
			<h2 class="text-xl">
				{count(found.count, 'entry', 'entries')}, {money(found.paidIn, found.currency)} paid in and {money(
					-found.paidOut,
					found.currency
				)} paid out.
			</h2>
			<p class={['mt-1', found.opening === null ? 'text-copper' : 'text-patina']}>
				{#if found.opening === null || found.closing === null}No balances stand in it, so nothing shows
					whether an entry is missing.
				{:else}Each balance follows from the one before, from {money(found.opening, found.currency)} to {money(
						found.closing,
						found.currency
					)}.{/if}
			</p>
			<table class="mt-3">
				<thead
					><tr
						><th>Booked</th>{#if named}<th>Payer or payee</th>{/if}<th>Details</th><th class="num"
							>Amount, {found.currency}</th
						></tr
					></thead
				>
				<tbody>
					{#each found.entries as entry (entry.index)}
						{@const [one] = entry.details}
						<tr
							><td class="whitespace-nowrap text-soft">{shortDay(entry.booked)}</td>{#if named}<td
									>{one?.counterpartyName ?? ''}{#if one?.counterpartyAccount}<span
											class="block font-mono text-xs text-soft">{one.counterpartyAccount}</span
										>{/if}</td
								>{/if}<td class="text-soft">{one?.text}</td><td class="num"
								>{amount(entry.amount, found.currency)}</td
							></tr
						>
					{/each}
				</tbody>
			</table>
			{#if found.count > found.entries.length}<p class="mt-2 says">
					The first {found.entries.length} are shown.
				</p>{/if}
		{:else if !preview}
			<p class="mt-16 says">The entries show here before they are brought in.</p>
		{/if}
	</section>
</div>

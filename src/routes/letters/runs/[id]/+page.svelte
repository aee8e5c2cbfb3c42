<script lang="ts">
	import { enhance } from '$app/forms';
	import LetterTabs from '../../LetterTabs.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import type { pauseRun, resumeRun, withdrawLetters } from '$lib/server/letters/commands/steer-run';
	import type { printLetters } from '$lib/server/letters/commands/print-letters';
	import SendAgain from '$lib/trade/letters/SendAgain.svelte';
	import Pages from '$lib/ui/Pages.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import Table from '$lib/ui/Table.svelte';
	import { refreshWhenStill } from '$lib/ui/refresh-when-still';
	import { screenKeys } from '$lib/ui/screen-keys.svelte';
	import type { TableColumn } from '$lib/ui/table-columns';
	import {
		count,
		DELIVERY_WORDS,
		deliverySays,
		didNotArrive,
		heldReason,
		LETTER_WAY_WORDS,
		moment,
		money,
		problemSentence,
		runProgress,
		runTitle
	} from '$lib/words';
	import { plainAmount } from '$lib/words/plain-amount';
	let { data } = $props();
	const { run } = $derived(data);
	const pause = new ActForm<typeof pauseRun>('?/pause');
	const resume = new ActForm<typeof resumeRun>('?/resume');
	const withdraw = new ActForm<typeof withdrawLetters>('?/withdraw');
	const print = new ActForm<typeof printLetters>('?/print');
	const problems = $derived([...pause.problems, ...resume.problems, ...withdraw.problems, ...print.problems]);
	const { counts } = $derived(run);
	const isUnderWay = $derived(!run.isPaused && counts.toWrite + counts.waiting > counts.later);
	const open = $derived(counts.toWrite + counts.waiting + counts.held + counts.toPrint);
	const done = $derived(counts.all - counts.toWrite - counts.waiting);
	// While it is under way the page asks again; it stops by itself.
	$effect(() => {
		// Again after each answer, also where nothing has changed.
		void data.run;
		if (!isUnderWay) return;
		const timer = setTimeout(() => refreshWhenStill('books:run'), 800);
		return () => clearTimeout(timer);
	});
	let asking = $state(false);
	let printButton = $state<HTMLButtonElement>();
	screenKeys(() =>
		data.mayAct && counts.toPrint > 0
			? [{ keys: ['p'], what: 'to the button that prints', run: () => printButton?.focus() }]
			: []
	);
	type Row = (typeof run.rows)[number];
	const isWrong = (row: Row) => row.state === 'held' || didNotArrive(row.mail);
	function stateOf(row: Row): string {
		if (row.state === 'to-write') return run.isPaused ? 'paused' : 'to be written';
		if (row.state === 'held') return 'held';
		if (row.state === 'withdrawn') return 'withdrawn';
		const mail = row.mail === 'paper' || row.mail === null ? '' : DELIVERY_WORDS[row.mail];
		const paper = row.printing === 'waiting' ? 'to be printed' : row.printing === 'printed' ? 'printed' : '';
		return [mail, paper].filter(Boolean).join(', ');
	}
	function says(row: Row): string {
		const changed =
			row.amount !== null && row.amount !== row.seen
				? `written with ${money(row.amount, row.currency)}: it was ${money(row.seen, row.currency)} when it was chosen`
				: '';
		return [
			...row.why.map(problemSentence),
			deliverySays({ ...row, state: row.mail }),
			row.overruled ? `Chosen in spite of: ${heldReason(row.overruled)}.` : '',
			changed
		]
			.filter(Boolean)
			.join(' ');
	}
	const columns: readonly TableColumn<Row>[] = [
		{ id: 'customer', name: 'Customer', cell: customer, value: (row) => row.name, stays: true },
		{
			...{ id: 'amount', name: 'Amount', cell: sum, figures: true },
			copied: (row) => plainAmount(row.amount ?? row.seen, row.currency)
		},
		{ id: 'way', name: 'Goes', cell: way, value: (row) => LETTER_WAY_WORDS[row.way] },
		{ id: 'state', name: 'State', cell: state, value: stateOf, stays: true },
		{ id: 'says', name: '', cell: remark, value: says },
		{ id: 'again', name: '', cell: sendAgain, figures: true }
	];
</script>

{#snippet customer(row: Row)}<a
		href={row.letterId ? `/letters/outbox/${row.letterId}` : `/customers/${row.code}`}>{row.name}</a
	>{/snippet}
{#snippet sum(row: Row)}{money(row.amount ?? row.seen, row.currency)}{/snippet}
{#snippet way(row: Row)}<span class="text-soft">{LETTER_WAY_WORDS[row.way]}</span>{/snippet}
{#snippet state(row: Row)}<span class={isWrong(row) ? 'font-semibold text-oxblood' : ''}>{stateOf(row)}</span
	>{/snippet}
{#snippet remark(row: Row)}<span class="text-sm text-soft">{says(row)}</span>{/snippet}

{#snippet sendAgain(row: Row)}{#if data.mayAct && row.letterId !== null}<SendAgain
			letter={{ ...row, id: row.letterId, state: row.mail, to: row.to ?? '' }}
		/>{/if}{/snippet}

<svelte:head><title>{runTitle(run)} · Odd Penny</title></svelte:head>

<div class="max-w-[1100px] px-8 pt-5 pb-10">
	<LetterTabs here="runs" />
	<h1 class="mt-3" aria-live="polite">
		{isUnderWay
			? `${count(counts.toWrite + counts.waiting - counts.later, 'letter')} on the way …`
			: runTitle(run)}
	</h1>
	<p class="mt-1 says">
		{isUnderWay ? `${runTitle(run)}. ` : ''}Asked for by {run.by}, {moment(run.at)}: {runProgress(run)}.
		{#if isUnderWay}You may leave this page: it goes on by itself.{/if}
	</p>
	{#if run.note}<p class="mt-1 says">With the note: {run.note}</p>{/if}
	{#if counts.toWrite + counts.waiting > 0}
		<progress
			class="mt-2 h-2 w-full max-w-md accent-patina"
			aria-label="Letters done"
			max={counts.all}
			value={done}
		></progress>
	{/if}
	<Problems {problems} />
	{#if data.mayAct}
		<div class="mt-3 flex flex-wrap gap-2">
			{#if counts.toPrint > 0}
				<form method="POST" action="?/print" use:enhance={print.submit()}>
					<input type="hidden" name="runId" value={run.id} />
					<button bind:this={printButton} class="btn btn-main" disabled={print.busy}
						>Print {count(Math.min(counts.toPrint, 300), 'letter')}</button
					>
				</form>
			{/if}
			{#if run.isPaused}
				<form method="POST" action="?/resume" use:enhance={resume.submit()}>
					<input type="hidden" name="runId" value={run.id} /><button class="btn" disabled={resume.busy}
						>Go on</button
					>
				</form>
			{:else if counts.toWrite + counts.waiting > 0}
				<form method="POST" action="?/pause" use:enhance={pause.submit()}>
					<input type="hidden" name="runId" value={run.id} /><button class="btn" disabled={pause.busy}
						>Pause</button
					>
				</form>
			{/if}
			{#if open > 0}
				<button class="btn" onclick={() => (asking = true)}>Withdraw what is not sent</button>
			{/if}
			<a class="btn" href="/letters/outbox?run={run.id}">Its letters in the outbox</a>
		</div>
	{/if}
	<Table name="run" {columns} rows={run.rows}>
		{#snippet empty()}This run has no letters.{/snippet}
	</Table>
	<Pages page={data.page} per={data.perPage} total={counts.all} />
</div>

<Dialog bind:open={asking} title="Withdraw what is not sent of this run?">
	<p>What was handed to the mail server, or printed, stays as it is.</p>
	<p class="mt-4 flex gap-2">
		<button class="btn" data-first onclick={() => (asking = false)}>Leave them</button>
		<button
			class="btn"
			disabled={withdraw.busy}
			onclick={() => ((asking = false), withdraw.send({ runId: run.id }))}
			>Withdraw {count(open, 'letter')}</button
		>
	</p>
</Dialog>

<script lang="ts">
	import { untrack } from 'svelte';
	import { toast } from 'svelte-sonner';
	import type { Day } from '$lib/core/day/day';
	import { parseTypedDay } from '$lib/core/day/parse-typed-day';
	import { CLAIM_REASONS } from '$lib/core/model/claim';
	import DecideDialog from '../DecideDialog.svelte';
	import type { changeClaim } from '$lib/server/claims/commands/change-claim';
	import type { fileClaim } from '$lib/server/claims/commands/file-claim';
	import type { noteClaim } from '$lib/server/claims/commands/note-claim';
	import { actSentence, CLAIM_WORDS, fileSize, moment, money, shortDay } from '$lib/words';
	import KeepFiles from '$lib/trade/files/KeepFiles.svelte';
	import { KEPT_KINDS } from '$lib/trade/files/kept-kinds';
	import { takeFiles } from '$lib/trade/files/take-files.svelte';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import FieldError from '$lib/ui/FieldError.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	let { data } = $props();
	const one = $derived(data.claim);
	const today = $derived((data.today ?? '') as Day);
	const waits = $derived(one.claim.state === 'open' && one.open > 0);
	let deciding = $state(false);
	let note = $state('');
	let keepFiles = $state<KeepFiles>();
	let change = $state(
		untrack(() => ({
			reason: data.claim.claim.reason,
			owner: data.claim.claim.owner,
			deadline: shortDay(data.claim.claim.deadline, data.today ?? undefined)
		}))
	);
	const changed = $derived(
		change.reason !== one.claim.reason ||
			change.owner !== one.claim.owner ||
			(parseTypedDay(change.deadline, today) ?? '') !== one.claim.deadline
	);
	const STATES = {
		open: 'waits for a decision',
		allowed: 'was allowed',
		billed_back: 'is owed again on its invoice',
		written_off: 'was written off',
		withdrawn: 'was withdrawn'
	} as const;

	/** What belongs to no page of its own is kept with the claim, wherever on its page it is dropped. */
	takeFiles({ kinds: KEPT_KINDS, take: (given) => keepFiles?.take(given) });
	const noteForm = new ActForm<typeof noteClaim>('?/note', {
		done: () => {
			note = '';
			toast('Noted.');
		}
	});
	const changeForm = new ActForm<typeof changeClaim>('?/change', { done: () => void toast('Changed.') });
	const filesForm = new ActForm<typeof fileClaim>('?/file', {
		otherwise: 'The files could not be kept. Nothing was changed.',
		done: ({ output }) => void toast(output.kept === 1 ? 'Kept with the claim.' : 'All kept with the claim.')
	});
	const busy = $derived(noteForm.busy || changeForm.busy || filesForm.busy);
	const problems = $derived([...noteForm.problems, ...changeForm.problems, ...filesForm.problems]);
	const keepNote = () => noteForm.send({ claimId: one.claim.documentId, text: note });
	function keepChange() {
		const deadline = parseTypedDay(change.deadline, today);
		if (!deadline)
			return void changeForm.sayAt(
				'deadline',
				`“${change.deadline}” is not a date. Write 30 Oct, 30/10 or 2026-10-30.`
			);
		void changeForm.send({ claimId: one.claim.documentId, ...change, deadline });
	}
</script>

<svelte:head><title>{one.number} · Odd Penny</title></svelte:head>

<div class="grid min-h-[calc(100vh-48px)] grid-cols-[minmax(0,1fr)_340px]">
	<section class="px-8 pt-5 pb-10">
		<p class="text-sm"><a href="/odd-pennies">Odd pennies</a></p>
		<h1>
			{one.number}, {money(waits ? one.open : one.total, one.currency)}, {STATES[one.claim.state]}.
		</h1>
		<p class="mt-1 text-soft">
			<a href="/customers/{one.code}">{one.customer}</a> paid so much less on
			<a href="/open-items?item={one.from.id}">{one.from.number}</a>: {CLAIM_WORDS[one.claim.reason]}{one
				.claim.note
				? `, “${one.claim.note}”`
				: ''}.
		</p>
		<div class="mt-2"><Problems {problems} /></div>

		<h2 class="mt-5 text-xl">What happened</h2>
		<ol class="mt-1">
			{#each one.history as row (row.id)}
				<li class="border-t border-rule py-2">
					<p class="text-sm text-soft">
						{row.by}, {moment(row.at)}
						{#if row.kind === 'decide-claim' || row.kind === 'allocate-receipt'}<a
								class="text-copper underline"
								href="/books/journal?act={row.id}">its journal</a
							>{/if}
					</p>
					{#if row.note}<p class="whitespace-pre-wrap">{row.note}</p>
					{:else if row.files.length}
						{#each row.files as file (file.id)}
							<p>
								<a class="underline" href="/odd-pennies/file/{file.id}" target="_blank">{file.name}</a>
								<span class="text-sm text-soft">{fileSize(file.bytes)}</span>
							</p>
							{#if file.type.startsWith('image/')}<img
									class="mt-1 max-h-48 rounded border border-rule"
									src="/odd-pennies/file/{file.id}"
									alt={file.name}
								/>{/if}
						{/each}
					{:else}<p>{actSentence(row.said)}</p>{/if}
				</li>
			{/each}
		</ol>
		{#if data.mayAct}
			<label class="mt-3 grid gap-1 text-sm"
				>Note
				<textarea
					rows="2"
					class="w-full"
					maxlength="2000"
					{...noteForm.at('text')}
					bind:value={note}
					placeholder="rang Despatch, two bags were wet"
					onkeydown={(event) => {
						if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) void keepNote();
					}}></textarea></label
			>
			<FieldError form={noteForm} name="text" />
			<p class="mt-2">
				<button class="btn" disabled={busy || !note.trim()} onclick={keepNote}
					>Keep the note <span class="key">Ctrl Enter</span></button
				>
			</p>
			<KeepFiles
				bind:this={keepFiles}
				form={filesForm}
				name="claimId"
				id={one.claim.documentId}
				label="Drop photos or delivery notes here, or choose them:"
			/>
		{/if}
	</section>
	<aside class="border-l border-rule px-6 pt-5">
		{#if waits && data.mayAct}
			<button class="btn btn-main" onclick={() => (deciding = true)}>Decide it</button>
			<div class="mt-5 grid gap-3 text-sm">
				<label class="grid gap-1"
					>Because of <select class="w-full" bind:value={change.reason}
						>{#each CLAIM_REASONS as reason (reason)}<option value={reason}>{CLAIM_WORDS[reason]}</option
							>{/each}</select
					></label
				>
				<label class="grid gap-1"
					>Followed up by <input
						type="text"
						class="w-full"
						list="claim-people"
						{...changeForm.at('owner')}
						bind:value={change.owner}
					/></label
				>
				<FieldError form={changeForm} name="owner" />
				<datalist id="claim-people"
					>{#each one.people as name (name)}<option value={name}></option>{/each}</datalist
				>
				<label class="grid gap-1"
					>Decide by <input
						type="text"
						class="w-full"
						{...changeForm.at('deadline')}
						bind:value={change.deadline}
					/></label
				>
				<FieldError form={changeForm} name="deadline" />
				<p>
					<button class="btn" disabled={busy || !changed} onclick={keepChange}>Keep the change</button>
				</p>
			</div>
		{:else}
			<dl class="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1 text-sm">
				<dt class="text-soft">Followed up by</dt>
				<dd>{one.claim.owner}</dd>
				<dt class="text-soft">Decide by</dt>
				<dd>{shortDay(one.claim.deadline, today)}</dd>
			</dl>
		{/if}
	</aside>
</div>
{#if deciding}<DecideDialog
		bind:open={deciding}
		claims={[{ ...one, customer: one.customer }]}
		done={() => undefined}
	/>{/if}

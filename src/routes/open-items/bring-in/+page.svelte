<script lang="ts">
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import { tick } from 'svelte';
	import { toast } from 'svelte-sonner';
	import { bringFiles, putIntoField, takeFiles } from '$lib/trade/files/take-files.svelte';
	import type { AskedKind } from '$lib/core/model/asked-kind';
	import { TABLE_FIELDS } from '$lib/core/1-columns/fields';
	import { isAsking, type TableAnswer } from '$lib/tables/table-seen';
	import WorkProgress from '$lib/ui/WorkProgress.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { count, FIELD_WORDS, list, problemSentence, shortDay } from '$lib/words';
	import { TablePreview } from '$lib/trade/tables/table-preview.svelte';
	import Histories from './Histories.svelte';
	import RefusedRows from './RefusedRows.svelte';
	import OpeningSumsShown from './OpeningSumsShown.svelte';
	import OpeningFields from './OpeningFields.svelte';
	import { OpeningItems } from './opening-items.svelte';
	import ColumnsOfTable from '$lib/trade/tables/ColumnsOfTable.svelte';
	import type { BroughtIn } from '$lib/server/act/preview-rows';
	import type { bringInCustomers } from '$lib/server/customers/commands/bring-in-customers';
	import type { bringInHistory } from '$lib/server/matching/commands/bring-in-history';
	import type { takeBackHistory } from '$lib/server/matching/commands/take-back-history';
	import type { bringInDocuments } from '$lib/server/documents/commands/bring-in-documents';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import type { ActionData } from './$types';
	let { data } = $props();
	type Preview = Extract<NonNullable<ActionData>, { rows: unknown }>;
	type What = Exclude<AskedKind, 'bank-table'>;
	const WHATS: Readonly<
		Record<What, { readonly label: string; readonly one: string; readonly heading: string }>
	> = {
		documents: { label: 'invoices, credit notes, charges', one: 'document', heading: 'open items' },
		customers: { label: 'customers', one: 'customer', heading: 'customers' },
		history: { label: 'payments of the past', one: 'payment', heading: 'payments of the past' }
	};
	const isWhat = (text: string | null): text is What => text !== null && text in WHATS;
	const asked = page.url.searchParams.get('what');
	let what = $state<What>(isWhat(asked) ? asked : 'documents');
	const opening = new OpeningItems(
		() => data.base,
		() => data.today!
	);
	// svelte-ignore state_referenced_locally
	[opening.is, opening.onText] = [data.isFirst, shortDay(data.openingOn)];
	const PLACEHOLDERS: Readonly<Record<What, string>> = {
		documents: 'Number	Customer	Date	Due	Amount open',
		customers: 'Code	Name	Currency	E-mail',
		history: 'Customer	Paid on	Amount	Payer	Their account	Invoices'
	};
	let takesChanges = $state(false);
	/** What stands for the rows that somebody agreed to leave out: what they agreed to of one table is nothing of another. */
	let leftOut = $state('');
	const done = ({ output }: { output: BroughtIn }) => {
		takesChanges = false;
		const changed = output.changed ? ` ${count(output.changed, 'was', 'were')} changed.` : '';
		const waiting = 'waiting' in output ? (output.waiting as number) : 0;
		toast(
			`Added ${count(output.added, noun)}; ${output.skipped} were there already.${changed}${waiting ? ` ${count(waiting, 'credit note waits', 'credit notes wait')} for a supervisor.` : ''}`
		);
		table.shown = null;
	};
	const otherwise = 'That did not work. Nothing was added; try again.';
	const customersForm = new ActForm<typeof bringInCustomers>('?/customers', {
		...{ done, otherwise, measured: true }
	});
	const documentsForm = new ActForm<typeof bringInDocuments>('?/documents', {
		...{ done, otherwise, measured: true }
	});
	const historyForm = new ActForm<typeof bringInHistory>('?/history', {
		otherwise,
		measured: true,
		done: ({ output }) => {
			toast(`${count(output.added, 'payment')} to learn from; ${output.skipped} were there already.`);
			table.shown = null;
		}
	});
	const backForm = new ActForm<typeof takeBackHistory>('?/takeBack', {
		done: () => void toast('Taken back. What it taught counts no more.')
	});
	const adding = $derived({ customers: customersForm, documents: documentsForm, history: historyForm }[what]);
	const table = new TablePreview<Preview>(otherwise, () => adding.say());
	const preview = $derived(table.shown);
	const leavesOut = $derived(Boolean(preview?.refused) && leftOut === preview?.refusedKey);
	const changing = $derived(takesChanges ? (preview?.changes ?? 0) : 0);
	const busy = $derived(table.reading || adding.busy);
	const sums = $derived(preview?.opening);
	const problems = $derived([
		...(what === 'documents' && opening.fault ? [opening.fault] : []),
		...table.refused,
		...adding.problems,
		...backForm.problems,
		...(preview?.problems ?? []).map(problemSentence)
	]);
	let addForm = $state<HTMLFormElement>()!;
	let field = $state<HTMLInputElement>()!;
	let showButton = $state<HTMLButtonElement>()!;
	takeFiles({
		kinds: ['documents', 'customers', 'history', 'other-table', 'other-xml', 'spreadsheet'],
		take: async (files, kind) => {
			if (isWhat(kind)) what = kind;
			await tick();
			putIntoField(field, files);
			table.start();
			addForm.requestSubmit(showButton);
		}
	});
	/** Something else is said of where the documents come from: what is shown is shown anew, with the same rows. */
	function openingChanged() {
		if (!table.shown || opening.fault) return;
		void tick().then(() => addForm.requestSubmit(showButton));
	}
	function chooseKind(kind: What) {
		what = kind;
		table.start();
	}
	function choose() {
		const files = [...(field.files ?? [])];
		field.value = '';
		void bringFiles(files);
	}
	const noun = $derived(WHATS[what].one);
	const fieldsOf = (needed: boolean) =>
		TABLE_FIELDS[what].filter((one) => one.needed === needed).map(({ key }) => FIELD_WORDS[key]);
	const asking = $derived(preview?.tables.some(isAsking) ?? false);
	function say(answer: TableAnswer) {
		table.say(answer);
		void tick().then(() => addForm.requestSubmit(showButton));
	}
	const does = $derived(
		[
			preview?.added ? `${what === 'history' ? 'Learn from' : 'Add'} ${count(preview.added, noun)}` : '',
			changing ? `${preview?.added ? 'change' : 'Change'} ${changing}` : ''
		]
			.filter(Boolean)
			.join(' and ')
	);
	const fates = $derived({
		new: what === 'history' ? 'will be learned from' : 'will be added',
		changes: 'would change',
		same: 'is there already'
	});
</script>

<svelte:head><title>Bring in open items · Odd Penny</title></svelte:head>

<div class="grid grid-cols-[minmax(0,5fr)_minmax(0,6fr)]">
	<section class="px-8 pt-5 pb-10">
		<h1>Bring in {WHATS[what].heading}</h1>
		<p class="mt-1 mb-4 says">
			From a table: a spreadsheet or CSV file, or rows copied from a spreadsheet with their headings. You see
			what would happen before anything does; what is posted is never changed by a table. To see first what
			would match in your files, make a <a href="/money-in/trial">trial run</a>.
		</p>
		<form
			id="bring-in"
			bind:this={addForm}
			method="POST"
			action="?/preview"
			enctype="multipart/form-data"
			class="grid gap-3"
			use:enhance={(turn) => (turn.action.search === '?/preview' ? table.showing() : adding.submit()(turn))}
		>
			<fieldset class="flex gap-4">
				<legend class="mb-1 text-soft">What is in the table?</legend>
				{#each Object.entries(WHATS) as [kind, { label }] (kind)}
					<label class="flex items-center gap-1"
						><input
							type="radio"
							name="what"
							value={kind}
							checked={what === kind}
							defaultChecked={what === kind}
							onchange={() => chooseKind(kind as What)}
						/>
						{label}</label
					>
				{/each}
			</fieldset>
			{#if what === 'documents'}<OpeningFields {opening} changed={openingChanged} />{/if}
			{#if what === 'history'}<p class="says">
					Matching learns from what was settled in the books before: who pays for whom, what banks and
					processors keep, which documents are settled. Nothing of it is posted.
				</p>{/if}
			<p class="says">
				Your own headings, dates and amounts are understood, or asked about. Needed: {list(fieldsOf(true))}.
				If you have them: {fieldsOf(false).join(', ')}.
				<a class="underline" href="/open-items/bring-in/template/{what}" download>A template to fill in</a>
			</p>
			<input type="hidden" name="opening" value={what === 'documents' ? opening.field : ''} />
			<input type="hidden" name="leaveOut" value={leavesOut ? leftOut : ''} />
			<input type="hidden" name="answers" value={JSON.stringify(table.answers)} />
			<label class="grid gap-1"
				>A spreadsheet (XLSX) or CSV file{what === 'documents'
					? ', or invoices and credit notes as UBL 2.1 (EN 16931), as many as you like'
					: ''}
				<input type="file" name="file" bind:this={field} multiple onchange={choose} /></label
			>
			<label class="grid gap-1"
				>or rows pasted here
				<textarea
					name="pasted"
					rows="7"
					class="rounded border border-rule bg-raised p-2 font-mono text-[13px]"
					placeholder={PLACEHOLDERS[what]}
					oninput={() => table.start()}></textarea></label
			>
			<Problems {problems} />
			{#if adding.busy && adding.progress}<WorkProgress progress={adding.progress} />{/if}
			<div class="flex gap-3">
				<button
					class="btn btn-main"
					bind:this={showButton}
					disabled={busy || !data.mayAct || (what === 'documents' && !!opening.fault)}
					>{table.reading ? 'Reading …' : 'Show what would happen'}</button
				>
				{#if preview && !asking && preview.problems.length === 0 && preview.added + changing > 0 && (preview.refused === 0 || leavesOut) && opening.settles(sums)}
					<button class="btn" formaction="?/{what}" disabled={busy}>{does}</button>
				{/if}
			</div>
		</form>
	</section>
	<section class="border-l border-rule px-8 pt-5 pb-10" aria-live="polite">
		{#each preview?.tables ?? [] as seen (`${seen.file} ${seen.key}`)}
			<ColumnsOfTable kind={what} {seen} {busy} {say} />
		{/each}
		{#if preview && !asking && (preview.rows.length > 0 || preview.refused > 0)}
			<h2 class="text-xl">
				{count(preview.added, noun)} would be {what === 'history' ? 'learned from' : 'added'}, {preview.changes
					? `${preview.changes} would change, `
					: ''}{preview.same} are there already{preview.refused
					? `, ${preview.refused} cannot be taken`
					: ''}.
			</h2>
			{#if preview.changes}<label class="mt-2 flex items-center gap-2"
					><input type="checkbox" name="takeChanges" form="bring-in" bind:checked={takesChanges} /> Take what
					the table says otherwise of {count(preview.changes, 'customer')} in the books; an empty cell changes nothing</label
				>{/if}
			{#if sums}<OpeningSumsShown {sums} {opening} />{/if}
			{#if preview.refused}<RefusedRows
					refused={preview.refused}
					faults={preview.faults}
					files={preview.refusedFiles}
					canBeLeftOut={preview.added + preview.changes + preview.same > 0}
					bind:leavesOut={() => leavesOut, (on) => (leftOut = on ? preview.refusedKey : '')}
				/>{/if}
			{#if preview.rows.length > 0}
				<table class="mt-3">
					<thead
						><tr
							><th>{preview.rows.some((row) => row.file) ? 'From' : 'Line'}</th><th
								>{{ customers: 'Code', documents: 'Number', history: 'Customer' }[what]}</th
							><th></th><th></th></tr
						></thead
					>
					<tbody>
						{#each preview.rows as row, i (i)}
							<tr
								><td class="text-soft">{row.file ?? row.line}</td><td>{row.label}</td><td class="text-soft"
									>{row.text}</td
								><td class={{ changes: 'text-copper', new: 'text-patina', same: 'text-soft' }[row.fate]}
									>{fates[row.fate]}{row.why ? `: ${row.why}` : ''}{#if row.look}<span
											class="block text-copper">{row.look}</span
										>{/if}</td
								></tr
							>
						{/each}
					</tbody>
				</table>
			{/if}
			{#if preview.added + preview.changes + preview.same > preview.rows.length}<p class="mt-2 says">
					The first {preview.rows.length} are shown.
				</p>{/if}
		{:else if !preview}
			<p class="mt-16 says">What would be added, and what is there already, shows here.</p>
		{/if}
		{#if what === 'history' && data.histories.length > 0}
			<Histories
				histories={data.histories}
				mayAct={data.mayAct}
				busy={backForm.busy}
				takeBack={(actId) => backForm.send({ actId })}
			/>
		{/if}
	</section>
</div>

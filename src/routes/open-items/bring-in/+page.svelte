<script lang="ts">
	import { enhance } from '$app/forms';
	import { tick } from 'svelte';
	import { toast } from 'svelte-sonner';
	import { bringFiles, putIntoField, takeFiles } from '$lib/trade/files/take-files.svelte';
	import { TABLE_FIELDS, type TableKind } from '$lib/core/1-columns/fields';
	import { isAsking, type TableAnswer } from '$lib/tables/table-seen';
	import Problems from '$lib/ui/Problems.svelte';
	import { count, FIELD_WORDS, list, problemSentence } from '$lib/words';
	import ColumnsOfTable from './ColumnsOfTable.svelte';
	import type { ActionResult } from '@sveltejs/kit';
	import type { BroughtIn, bringInCustomers } from '$lib/server/customers/commands/bring-in-customers';
	import type { bringInDocuments } from '$lib/server/documents/commands/bring-in-documents';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import type { ActionData } from './$types';
	let { data } = $props();
	type Preview = Extract<NonNullable<ActionData>, { rows: unknown }>;
	let what = $state<TableKind>('documents');
	let preview = $state.raw<Preview | null>(null);
	let refused = $state<readonly string[]>([]);
	let reading = $state(false);
	const done = ({ output }: { output: BroughtIn }) => {
		const waiting = 'waiting' in output ? (output.waiting as number) : 0;
		toast(
			`Added ${count(output.added, noun)}; ${output.skipped} were there already.${waiting ? ` ${count(waiting, 'credit note waits', 'credit notes wait')} for a supervisor.` : ''}`
		);
		preview = null;
	};
	const otherwise = 'That did not work. Nothing was added; try again.';
	const customersForm = new ActForm<typeof bringInCustomers>('?/customers', { done, otherwise });
	const documentsForm = new ActForm<typeof bringInDocuments>('?/documents', { done, otherwise });
	const adding = $derived(what === 'customers' ? customersForm : documentsForm);
	const busy = $derived(reading || adding.busy);
	const problems = $derived([
		...refused,
		...adding.problems,
		...(preview?.problems ?? []).map(problemSentence)
	]);
	let addForm = $state<HTMLFormElement>()!;
	let field = $state<HTMLInputElement>()!;
	let showButton = $state<HTMLButtonElement>()!;
	takeFiles({
		kinds: ['documents', 'customers', 'other-table', 'other-xml'],
		take: async (files, kind) => {
			if (kind === 'documents' || kind === 'customers') what = kind;
			await tick();
			putIntoField(field, files);
			start();
			addForm.requestSubmit(showButton);
		}
	});
	function chooseKind(kind: TableKind) {
		what = kind;
		start();
	}
	function choose() {
		const files = [...(field.files ?? [])];
		field.value = '';
		void bringFiles(files);
	}
	/** Shows what would happen, once it is read. */
	function showing() {
		reading = true;
		refused = [];
		adding.say();
		return async ({ result }: { result: ActionResult }) => {
			reading = false;
			preview = result.type === 'success' ? (result.data as unknown as Preview) : null;
			if (result.type === 'success') return;
			if (result.type === 'failure') refused = (result.data?.problems as string[]) ?? [otherwise];
			else refused = [otherwise];
		};
	}
	const noun = $derived(what === 'customers' ? 'customer' : 'document');
	const fieldsOf = (needed: boolean) =>
		TABLE_FIELDS[what].filter((one) => one.needed === needed).map(({ key }) => FIELD_WORDS[key]);
	/** What somebody said of tables, by their headings. */
	let answers = $state.raw<readonly TableAnswer[]>([]);
	const asking = $derived(preview?.tables.some(isAsking) ?? false);
	function say(answer: TableAnswer) {
		answers = [answer, ...answers.filter((one) => one.headings !== answer.headings)];
		void tick().then(() => addForm.requestSubmit(showButton));
	}
	const fates = { new: 'will be added', same: 'is there already', differs: 'differs' } as const;
	/** Another table: what was said of the one before is not of it. */
	function start() {
		answers = [];
		forget();
	}
	function forget() {
		preview = null;
		refused = [];
		adding.say();
	}
</script>

<svelte:head><title>Bring in open items · Odd Penny</title></svelte:head>

<div class="grid grid-cols-[minmax(0,5fr)_minmax(0,6fr)]">
	<section class="px-8 pt-5 pb-10">
		<h1>Bring in {what === 'customers' ? 'customers' : 'open items'}</h1>
		<p class="mt-1 mb-4 says">
			From a table: a CSV file, or rows copied from a spreadsheet with their headings. You see what would
			happen before anything does; nothing that is in the books is ever changed by a table. To see first what
			would match in your files, make a <a href="/money-in/trial">trial run</a>.
		</p>
		<form
			bind:this={addForm}
			method="POST"
			action="?/preview"
			enctype="multipart/form-data"
			class="grid gap-3"
			use:enhance={(turn) => (turn.action.search === '?/preview' ? showing() : adding.submit()(turn))}
		>
			<fieldset class="flex gap-4">
				<legend class="mb-1 text-soft">What is in the table?</legend>
				<label class="flex items-center gap-1"
					><input
						type="radio"
						name="what"
						value="documents"
						checked={what === 'documents'}
						defaultChecked={what === 'documents'}
						onchange={() => chooseKind('documents')}
					/> invoices, credit notes, charges</label
				>
				<label class="flex items-center gap-1"
					><input
						type="radio"
						name="what"
						value="customers"
						checked={what === 'customers'}
						defaultChecked={what === 'customers'}
						onchange={() => chooseKind('customers')}
					/> customers</label
				>
			</fieldset>
			<p class="says">
				Your own headings, dates and amounts are understood, or asked about. Needed: {list(fieldsOf(true))}.
				If you have them: {fieldsOf(false).join(', ')}.
				<a class="underline" href="/open-items/bring-in/template/{what}" download>A template to fill in</a>
			</p>
			<input type="hidden" name="answers" value={JSON.stringify(answers)} />
			<label class="grid gap-1"
				>A CSV file{what === 'documents'
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
					placeholder="Number	Customer	Date	Due	Amount open"
					oninput={start}></textarea></label
			>
			<Problems {problems} />
			<div class="flex gap-3">
				<button class="btn btn-main" bind:this={showButton} disabled={busy || !data.mayAct}
					>{busy ? 'Reading …' : 'Show what would happen'}</button
				>
				{#if preview && !asking && preview.problems.length === 0 && preview.added > 0 && preview.differs === 0}
					<button class="btn" formaction="?/{what}" disabled={busy}>Add {count(preview.added, noun)}</button>
				{/if}
			</div>
		</form>
	</section>
	<section class="border-l border-rule px-8 pt-5 pb-10" aria-live="polite">
		{#each preview?.tables ?? [] as seen (`${seen.file} ${seen.key}`)}
			<ColumnsOfTable kind={what} {seen} {busy} {say} />
		{/each}
		{#if preview && !asking && preview.rows.length > 0}
			<h2 class="text-xl">
				{count(preview.added, noun)} would be added, {preview.same} are there already{preview.differs
					? `, ${preview.differs} differ`
					: ''}.
			</h2>
			{#if preview.differs}<p class="note mt-2 text-oxblood">
					What is posted is never changed by a table. Take the lines that differ out, or correct them with a
					credit note; then bring the rest in.
				</p>{/if}
			<table class="mt-3">
				<thead
					><tr
						><th>{preview.rows.some((row) => row.file) ? 'From' : 'Line'}</th><th
							>{what === 'customers' ? 'Code' : 'Number'}</th
						><th></th><th></th></tr
					></thead
				>
				<tbody>
					{#each preview.rows as row, i (i)}
						<tr
							><td class="text-soft">{row.file ?? row.line}</td><td>{row.label}</td><td class="text-soft"
								>{row.text}</td
							><td
								class={row.fate === 'differs'
									? 'text-oxblood'
									: row.fate === 'new'
										? 'text-patina'
										: 'text-soft'}
								>{fates[row.fate]}{row.why ? `: ${row.why}` : ''}{#if row.look}<span class="block text-copper"
										>{row.look}</span
									>{/if}</td
							></tr
						>
					{/each}
				</tbody>
			</table>
			{#if preview.added + preview.same + preview.differs > preview.rows.length}<p class="mt-2 says">
					The first {preview.rows.length} are shown.
				</p>{/if}
		{:else if !preview}
			<p class="mt-16 says">What would be added, and what is there already, shows here.</p>
		{/if}
	</section>
</div>

<script lang="ts">
	import { enhance } from '$app/forms';
	import { tick } from 'svelte';
	import { toast } from 'svelte-sonner';
	import { bringFiles, putIntoField, takeFiles } from '$lib/trade/files/take-files.svelte';
	import FieldError from '$lib/ui/FieldError.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { count, shortDay, rateText } from '$lib/words';
	import type { ActionResult } from '@sveltejs/kit';
	import type { addRates } from '$lib/server/firm/commands/add-rates';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import type { ActionData } from './$types';
	let { data } = $props();
	type Preview = Extract<NonNullable<ActionData>, { rows: unknown }>;
	let preview = $state.raw<Preview | null>(null);
	let refused = $state<readonly string[]>([]);
	let reading = $state(false);
	const otherwise = 'That did not work. Nothing was added; try again.';
	const done = ({ output }: { output: { added: number } }) => {
		toast(output.added ? `Added ${count(output.added, 'rate')}.` : 'They were there already.');
		preview = null;
	};
	const oneForm = new ActForm<typeof addRates>('?/one', { done, otherwise });
	const addForm = new ActForm<typeof addRates>('?/add', { done, otherwise });
	const busy = $derived(reading || addForm.busy);
	const problems = $derived([...refused, ...oneForm.problems, ...addForm.problems]);
	/** Shows what would happen, once it is read. */
	function showing() {
		reading = true;
		forget();
		return async ({ result }: { result: ActionResult }) => {
			reading = false;
			if (result.type === 'success') preview = result.data as unknown as Preview;
			else if (result.type === 'failure') refused = (result.data?.problems as string[]) ?? [otherwise];
			else refused = [otherwise];
		};
	}
	let ratesForm = $state<HTMLFormElement>()!;
	let field = $state<HTMLInputElement>()!;
	takeFiles({
		kinds: ['rates', 'other-table', 'other-xml', 'spreadsheet'],
		take: async (files) => {
			await tick();
			// Whoever may not add rates has no form.
			if (!field) return;
			putIntoField(field, files);
			forget();
			ratesForm.requestSubmit();
		}
	});
	function choose() {
		const files = [...(field.files ?? [])];
		field.value = '';
		void bringFiles(files);
	}
	const fates = { new: 'will be added', same: 'is there already', differs: 'stays' } as const;
	function forget() {
		preview = null;
		refused = [];
		addForm.say();
	}
</script>

<svelte:head><title>Exchange rates · Odd Penny</title></svelte:head>

<div class="grid min-h-[calc(100vh-48px)] grid-cols-[minmax(0,5fr)_minmax(0,6fr)]">
	<section class="px-8 pt-5 pb-10">
		<h1>Exchange rates</h1>
		<p class="mt-1 says">
			What one unit of a currency is worth in {data.base}. Amounts are converted at the latest rate on or
			before their day. A rate is never changed, since amounts were converted at it.
		</p>
		<table class="mt-4">
			<thead
				><tr
					><th>Day</th>{#each data.currencies as currency (currency)}<th class="num">{currency}</th
						>{/each}</tr
				></thead
			>
			<tbody>
				{#each data.days as { day, rates } (day)}
					<tr
						><td class="whitespace-nowrap">{shortDay(day, data.today ?? undefined)}</td>
						{#each data.currencies as currency (currency)}<td class="num"
								>{rates[currency] ? rateText(rates[currency]) : '–'}</td
							>{/each}</tr
					>
				{:else}<tr
						><td class="py-6 text-soft"
							>No rate of the last two months. {data.mayAct ? 'Type one, or bring in a file.' : ''}</td
						></tr
					>{/each}
			</tbody>
		</table>
	</section>
	<section class="border-l border-rule px-8 pt-5 pb-10">
		{#if data.mayAct}
			<h2 class="text-xl">One rate</h2>
			<form
				method="POST"
				action="?/one"
				class="mt-2 flex flex-wrap items-end gap-2"
				use:enhance={oneForm.submit()}
			>
				<label class="grid gap-1"
					>Day<input
						type="text"
						name="date"
						class="w-28"
						placeholder={data.today ?? ''}
						required
						{...oneForm.at('date')}
					/><FieldError form={oneForm} name="date" /></label
				>
				<label class="grid gap-1"
					>One<input
						type="text"
						name="currency"
						class="w-16"
						maxlength="3"
						placeholder="EUR"
						required
						{...oneForm.at('currency')}
					/><FieldError form={oneForm} name="currency" /></label
				>
				<label class="grid gap-1"
					>is worth, in {data.base}<input
						type="text"
						inputmode="decimal"
						name="rate"
						class="w-28"
						placeholder="0.8580"
						required
						{...oneForm.at('rate')}
					/><FieldError form={oneForm} name="rate" /></label
				>
				<button class="btn">Add it</button>
			</form>
			<h2 class="mt-8 text-xl">Many rates</h2>
			<form
				bind:this={ratesForm}
				method="POST"
				action="?/preview"
				enctype="multipart/form-data"
				class="mt-2 grid gap-3"
				use:enhance={(turn) => (turn.action.search === '?/preview' ? showing() : addForm.submit()(turn))}
			>
				<p class="says">
					A table (a spreadsheet, CSV or pasted rows) with the publisher’s own headings and decimals: a date,
					and either currency and rate or a column for each currency; or XML of daily reference rates. <a
						class="underline"
						href="/open-items/bring-in/template/rates"
						download>A template to fill in</a
					>
				</p>
				<fieldset class="grid gap-2">
					<legend class="mb-1 text-soft">What do its figures say?</legend>
					<label class="flex items-center gap-2"
						><input type="radio" name="quoted" value="EUR" checked onchange={forget} /> how much of each currency
						one euro buys</label
					>
					<label class="flex items-center gap-2"
						><input type="radio" name="quoted" value={data.base} onchange={forget} /> how much of each
						currency one {data.base} buys</label
					>
					<label class="flex items-center gap-2"
						><input type="radio" name="quoted" value="worth" onchange={forget} /> what one of each currency is
						worth in {data.base}</label
					>
				</fieldset>
				<label class="grid gap-1"
					>A spreadsheet (XLSX), CSV or XML file <input
						type="file"
						name="file"
						bind:this={field}
						onchange={choose}
					/></label
				>
				<label class="grid gap-1"
					>or rows pasted here
					<textarea
						name="pasted"
						rows="5"
						class="rounded border border-rule bg-raised p-2 font-mono text-[13px]"
						placeholder="date	USD	GBP"
						oninput={forget}></textarea></label
				>
				<Problems {problems} />
				<div class="flex gap-3">
					<button class="btn btn-main" disabled={busy}>{busy ? 'Reading …' : 'Show what would happen'}</button
					>
					{#if preview && preview.added > 0}
						<button class="btn" formaction="?/add" disabled={busy}>Add {count(preview.added, 'rate')}</button>
					{/if}
				</div>
			</form>
			<div aria-live="polite">
				{#if preview}
					<h3 class="mt-4 text-lg">
						{count(preview.added, 'rate')} would be added, {preview.same} are there already{preview.differs
							? `, ${preview.differs} stay as they are`
							: ''}.
					</h3>
					<table class="mt-2">
						<thead
							><tr><th>Line</th><th>Day</th><th>Currency</th><th class="num">{data.base}</th><th></th></tr
							></thead
						>
						<tbody>
							{#each preview.rows as row (row.currency + row.day + row.line)}
								<tr
									><td class="text-soft">{row.line}</td><td>{shortDay(row.day, data.today ?? undefined)}</td
									><td>{row.currency}</td><td class="num">{rateText(row.millionths)}</td><td
										class={row.far ? 'text-oxblood' : row.fate === 'new' ? 'text-patina' : 'text-soft'}
										>{fates[row.fate]}{row.kept ? ` ${rateText(row.kept)}` : ''}{row.far
											? ', far from the day before: is it right?'
											: ''}</td
									></tr
								>
							{/each}
						</tbody>
					</table>
				{/if}
			</div>
		{:else}
			<p class="says">A clerk or supervisor adds rates here.</p>
		{/if}
	</section>
</div>

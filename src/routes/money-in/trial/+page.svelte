<script lang="ts">
	import { enhance } from '$app/forms';
	import { tick } from 'svelte';
	import { SvelteSet } from 'svelte/reactivity';
	import type { Band } from '$lib/core/3-matching';
	import { FILE_KINDS, type FileKind } from '$lib/core/model/file-kind';
	import { putIntoField, takeFiles } from '$lib/trade/files/take-files.svelte';
	import Pips from '$lib/ui/Pips.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import type { AskedKind } from '$lib/core/model/asked-kind';
	import { TABLE_FIELDS } from '$lib/core/1-columns/fields';
	import ColumnsOfTable from '$lib/trade/tables/ColumnsOfTable.svelte';
	import { TablePreview } from '$lib/trade/tables/table-preview.svelte';
	import type { TableAnswer } from '$lib/tables/table-seen';
	import { count, FIELD_WORDS, list, problemSentence, shortDay, whole } from '$lib/words';
	import type { ActionData } from './$types';
	let { data } = $props();
	type Tried = Extract<NonNullable<ActionData>, { answered: unknown }>;
	const table = new TablePreview<Tried>('That did not work; try again.', () => (band = null));
	const busy = $derived(table.reading);
	const tried = $derived(table.shown?.answered ?? null);
	const problems = $derived([...table.refused, ...(table.shown?.problems ?? []).map(problemSentence)]);
	let band = $state<Band | null>(null);
	let opened = $state<string | null>(null);
	const BANDS = [
		['certain', 'Certain', 'could be posted together, as certain', 3],
		['likely', 'Likely', 'one good answer, to be accepted', 2],
		['choose', 'Choose', 'several answers', 1],
		['none', 'Nothing yet', 'nothing found, or not a customer’s money', 0]
	] as const;
	const TABLES = '.csv,.txt,.tsv,.xlsx';
	const words = (kind: AskedKind) =>
		TABLE_FIELDS[kind].filter(({ needed }) => needed).map(({ key }) => FIELD_WORDS[key]);
	const FIELDS = [
		['customers', 'Customers', `A table with ${list(words('customers'))} at least`, TABLES, false],
		[
			'invoices',
			'Open invoices and credit notes',
			`A table with ${list(words('documents'))} at least`,
			TABLES,
			false
		],
		[
			'bank',
			'Bank files',
			'Of any format, or the bank’s own table, one or several',
			`.xml,.camt,.sta,.mt940,.940,.942,.bai,.bai2,.ofx,.qfx,.zip,${TABLES}`,
			true
		],
		[
			'history',
			'Payments of the past, if you have them',
			`A table with ${list(words('history'))} at least; payer and invoices teach most`,
			TABLES,
			false
		]
	] as const;
	let form: HTMLFormElement;
	// Nothing that is dropped here goes into the books.
	takeFiles({ kinds: FILE_KINDS, anybody: true, take });
	/** Files that were dropped and are none of these; the others are matched without them. */
	const strange = new SvelteSet<string>();
	/** Which field takes a kind of file. */
	const FIELD_OF: Partial<Readonly<Record<FileKind, (typeof FIELDS)[number][0]>>> = {
		...{ customers: 'customers', documents: 'invoices', history: 'history' },
		...{ 'bank-file': 'bank', 'bank-table': 'bank', 'other-xml': 'bank', archive: 'bank' }
	};
	/** Puts dropped files where they belong, and matches as soon as the three are there. */
	function take(files: readonly File[], kind: FileKind) {
		table.shown = null;
		const name = FIELD_OF[kind];
		if (!name) {
			for (const file of files) strange.add(file.name);
			return;
		}
		const field = (one: string) => form.elements.namedItem(one) as HTMLInputElement;
		putIntoField(field(name), files);
		const missing = ['customers', 'invoices', 'bank'].filter((one) => !field(one).files?.length);
		if (missing.length === 0) form.requestSubmit();
	}
	function say(answer: TableAnswer) {
		table.say(answer);
		void tick().then(() => form.requestSubmit());
	}
	const shown = $derived(tried?.receipts.filter((one) => band === null || one.band === band) ?? []);
	const percent = (n: number) =>
		tried?.summary.receipts ? Math.round((100 * n) / tried.summary.receipts) : 0;
	const filled = (of: Band) => BANDS.find(([key]) => key === of)![3];
</script>

<svelte:head><title>Trial run · Odd Penny</title></svelte:head>

<div class="grid min-h-[calc(100vh-48px)] grid-cols-[360px_minmax(0,1fr)]">
	<section class="border-r border-rule px-6 pt-5 pb-8">
		<p class="text-sm"><a href="/money-in">Money in</a></p>
		<h1>A trial run</h1>
		<p class="mt-1 mb-4 says">
			What would match in files of yours. Nothing is kept and the books are not touched.
		</p>
		<form
			method="POST"
			enctype="multipart/form-data"
			class="grid gap-4"
			bind:this={form}
			use:enhance={() => {
				const shows = table.showing();
				return async ({ result }) => shows({ result });
			}}
		>
			<input type="hidden" name="answers" value={JSON.stringify(table.answers)} />
			{#each FIELDS as [name, label, about, accept, multiple] (name)}
				<label class="grid min-w-0 gap-1 text-sm"
					><span class="font-semibold">{label}</span>
					<input
						type="file"
						{name}
						{accept}
						{multiple}
						class="w-full min-w-0"
						onchange={() => (table.shown = null)}
					/>
					<span class="text-xs text-soft">{about}</span></label
				>
			{/each}
			<p>
				<button class="btn btn-main" disabled={busy}>{busy ? 'Matching …' : 'See what would match'}</button>
			</p>
		</form>
		<Problems
			problems={[
				...[...strange].map(
					(name) =>
						`${name}: it names no columns of customers, invoices or payments. Choose where it belongs, and say which column is which.`
				),
				...problems
			]}
		/>
	</section>
	<section class="px-8 pt-5 pb-10" aria-live="polite">
		{#each table.shown?.tables ?? [] as { kind, seen }, i (`${i} ${seen.key}`)}
			<ColumnsOfTable {kind} {seen} {busy} {say} />
		{/each}
		{#if tried}
			<h2 class="text-2xl">
				{percent(tried.summary.certain)} of 100 receipts would be posted as certain.
			</h2>
			<p class="mt-1 mb-3 says">
				{count(tried.summary.receipts, 'receipt')} against {count(tried.documents, 'open document')} of {count(
					tried.customers,
					'customer'
				)}. Money that went out is left out.
			</p>
			<div class="mb-4 flex gap-3">
				{#each BANDS as [key, name, about, pips] (key)}
					<button
						class={['btn flex items-center gap-2', band === key && 'border-copper']}
						aria-pressed={band === key}
						title={about}
						onclick={() => (band = band === key ? null : key)}
					>
						<Pips filled={pips} />
						{name}
						{whole(tried.summary[key])}
					</button>
				{/each}
			</div>
			<table>
				<thead
					><tr
						><th class="w-14"></th><th>Booked</th><th>Customer</th><th>What it pays</th><th>Entry</th><th
							class="num">Amount</th
						></tr
					></thead
				>
				<tbody>
					{#each shown as one, i (`${one.entryRef} ${i}`)}
						<tr class="align-top">
							<td><Pips filled={filled(one.band)} /></td>
							<td class="whitespace-nowrap">{shortDay(one.bookingDate, data.today ?? undefined)}</td>
							<td>{one.customer ?? '–'}</td>
							<td>
								<button
									class="cursor-pointer py-0.5 text-left hover:underline"
									aria-expanded={opened === one.entryRef}
									onclick={() => (opened = opened === one.entryRef ? null : one.entryRef)}
									>{one.allocations.length
										? one.allocations
												.slice(0, 4)
												.map((line) => `${line.invoice} ${line.cash}`)
												.join(', ') +
											(one.allocations.length > 4 ? ` and ${one.allocations.length - 4} more` : '')
										: one.customer
											? 'on account'
											: 'nothing'}</button
								>
								{#if opened === one.entryRef}
									<ul class="list-disc pl-4 text-sm text-soft marker:text-copper">
										{#each one.reasons as reason, n (n)}<li>{reason}</li>{/each}
									</ul>
								{/if}
							</td>
							<td class="font-mono text-[13px] text-soft">{one.entryRef}</td>
							<td class="num">{one.amount} {one.currency}</td>
						</tr>
					{/each}
				</tbody>
			</table>
			{#if tried.summary.receipts > tried.receipts.length}<p class="mt-2 says">
					The first {whole(tried.receipts.length)} are listed.
				</p>{/if}
		{:else if !table.shown}
			<h2 class="text-xl">{busy ? 'Reading and matching …' : 'What you need'}</h2>
			<p class="mt-1 max-w-[560px] says">
				Three files: your customers and your open documents as tables (spreadsheets or CSV, with your own
				headings), and a bank statement or the bank’s own table. Drop them anywhere on this page; each goes
				where it belongs by its columns, and matching begins when the three are there. The same rules answer
				as on Money in, and each answer says why. On the command line the same is
				<span class="font-mono text-[13px]">npm run trial</span>.
			</p>
		{/if}
	</section>
</div>

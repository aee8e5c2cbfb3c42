<script lang="ts">
	import { enhance } from '$app/forms';
	import { SvelteSet } from 'svelte/reactivity';
	import type { Band } from '$lib/core/3-matching';
	import { FILE_KINDS, type FileKind } from '$lib/core/model/file-kind';
	import { putIntoField, takeFiles } from '$lib/trade/files/take-files.svelte';
	import Pips from '$lib/ui/Pips.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { count, shortDay, whole } from '$lib/words';
	import type { ActionData } from './$types';
	let { data } = $props();
	type Tried = Extract<NonNullable<ActionData>, { summary: unknown }>;
	let tried = $state.raw<Tried | null>(null);
	let problems = $state<readonly string[]>([]);
	let busy = $state(false);
	let band = $state<Band | null>(null);
	let opened = $state<string | null>(null);
	const BANDS = [
		['certain', 'Certain', 'could be posted together, as certain', 3],
		['likely', 'Likely', 'one good answer, to be accepted', 2],
		['choose', 'Choose', 'several answers', 1],
		['none', 'Nothing yet', 'nothing found, or not a customer’s money', 0]
	] as const;
	const FIELDS = [
		[
			'customers',
			'Customers',
			'code, name, currency; also_known_as, payer_accounts, parent_code …',
			'.csv',
			false
		],
		[
			'invoices',
			'Open invoices and credit notes',
			'number, kind, customer_code, issue_date, due_date, currency, total, open …',
			'.csv',
			false
		],
		[
			'bank',
			'Bank files',
			'camt.053, MT940, BAI2 or OFX, one or several',
			'.xml,.camt,.sta,.mt940,.940,.bai,.bai2,.ofx,.qfx,.txt',
			true
		],
		[
			'history',
			'What was settled before, if you have it',
			'payer_name, payer_account, customer_code, date, amount, currency, invoice_numbers',
			'.csv',
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
		...{ 'bank-file': 'bank', 'other-xml': 'bank', archive: 'bank' }
	};
	/** Puts dropped files where they belong, and matches as soon as the three are there. */
	function take(files: readonly File[], kind: FileKind) {
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
				busy = true;
				problems = [];
				return async ({ result }) => {
					busy = false;
					if (result.type === 'success') {
						tried = result.data as Tried;
						band = null;
					} else if (result.type === 'failure') {
						problems = (result.data?.problems as string[]) ?? ['That was refused.'];
						tried = null;
					} else problems = ['That did not work; try again.'];
				};
			}}
		>
			{#each FIELDS as [name, label, about, accept, multiple] (name)}
				<label class="grid min-w-0 gap-1 text-sm"
					><span class="font-semibold">{label}</span>
					<input type="file" {name} {accept} {multiple} class="w-full min-w-0" />
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
					(name) => `${name}: its first line names no columns of customers, invoices or history.`
				),
				...problems
			]}
		/>
	</section>
	<section class="px-8 pt-5 pb-10" aria-live="polite">
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
		{:else}
			<h2 class="text-xl">{busy ? 'Reading and matching …' : 'What you need'}</h2>
			<p class="mt-1 max-w-[560px] says">
				Three files: your customers and your open documents as tables (CSV), and a bank statement. Drop them
				anywhere on this page; each goes where it belongs by its columns, and matching begins when the three
				are there. The same rules answer as on Money in, and each answer says why. On the command line the
				same is
				<span class="font-mono text-[13px]">npm run trial</span>.
			</p>
		{/if}
	</section>
</div>

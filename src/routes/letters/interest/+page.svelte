<script lang="ts">
	import { goto } from '$app/navigation';
	import { SvelteSet } from 'svelte/reactivity';
	import type { chargeInterest } from '$lib/server/interest/commands/charge-interest';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import InterestRows from '$lib/trade/letters/InterestRows.svelte';
	import DayField from '$lib/ui/DayField.svelte';
	import More from '$lib/ui/More.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { rowCursor } from '$lib/ui/row-cursor';
	import { amount, count, moment, money, percent, shortDay, sumsByCurrency } from '$lib/words';
	import LetterTabs from '../LetterTabs.svelte';
	import { InterestDraft } from './interest-draft.svelte';
	import TermsDialog from './TermsDialog.svelte';
	let { data } = $props();
	/** Of a long list only the first rows are drawn; more when their end comes into sight. All of them are meant. */
	const ROWS_DRAWN = 150;
	let drawn = $state(ROWS_DRAWN);
	let draft = $state.raw<InterestDraft | null>(null);
	let open = $state(false);
	const { setting, query } = $derived(data);
	type Row = (typeof data.rows)[number];
	const keyOf = (row: { readonly code: string; readonly currency: string }) => `${row.code} ${row.currency}`;
	/** Who comes to too little, or whose receipts are not allocated, waits at first; what was turned round by hand is remembered. */
	const turned = new SvelteSet<string>();
	const unallocated = $derived(new Set(data.waiting));
	const why = (row: Row) =>
		unallocated.has(row.customerId)
			? 'receipts not allocated yet'
			: row.isSmall && row.credit === 0
				? `less than ${money(setting?.least ?? 0, data.base)}`
				: '';
	const waits = (row: Row) => why(row) !== '';
	const isChosen = (row: Row) => turned.has(keyOf(row)) === waits(row);
	const turn = (row: Row) => (turned.has(keyOf(row)) ? turned.delete(keyOf(row)) : turned.add(keyOf(row)));
	const chosen = $derived(data.rows.filter(isChosen));
	const sum = (rows: readonly Row[]) =>
		sumsByCurrency(rows.map((row) => ({ amount: row.charge - row.credit, currency: row.currency })));
	const rate = $derived(setting?.reference.findLast((one) => one.from <= query.through));
	const form = new ActForm<typeof chargeInterest>('?/charge', {
		otherwise: 'That did not work. Nothing was charged.'
	});
	const charge = () =>
		form.send({
			through: query.through,
			chosen: chosen.map(({ customerId, currency, charge: asked, credit }) => ({
				...{ customerId, currency, charge: asked, credit }
			}))
		});
	function setTerms() {
		draft = new InterestDraft(setting, data.base, data.day);
		open = true;
	}
	const link = (row: Row) => `?through=${query.through}&account=${encodeURIComponent(keyOf(row))}`;
</script>

<svelte:head><title>Interest · Odd Penny</title></svelte:head>

<div class="grid min-h-[calc(100vh-48px)] grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
	<section class="px-8 pt-5 pb-24">
		<LetterTabs here="interest" />
		{#if !setting}
			<h1 class="mt-3">No interest is charged yet.</h1>
			<p class="mt-1 says">
				Customers who pay late can be charged interest for each day, and a fixed sum for each invoice. Set the
				rates first; then a sheet shows here what each account comes to, and nothing is charged until somebody
				says so.
			</p>
			{#if data.maySet}<p class="mt-3">
					<button class="btn btn-main" onclick={setTerms}>Set the terms …</button>
				</p>
			{:else}<p class="mt-3 says">Setting the terms takes a supervisor.</p>{/if}
		{:else}
			<h1 class="mt-3">
				{data.rows.length
					? `${sum(data.rows)} to charge on ${count(data.rows.length, 'account')}.`
					: 'No interest to charge.'}
			</h1>
			<p class="mt-1 says">
				Each day of each overdue item is charged once. Nothing is charged on what is in dispute or was
				promised{setting.onInterest ? '' : ', nor on interest'}. {percent(setting.margin)} above the reference rate{rate
					? ` of ${percent(rate.basisPoints)}`
					: ''}, or the rate that was agreed with a customer.
			</p>
			<div class="mt-3 flex flex-wrap items-end gap-3 text-sm">
				{#key query.through}<DayField
						name="through"
						label="To, that day included"
						value={query.through}
						near={data.day}
						changed={({ currentTarget }) => {
							const read = currentTarget.parentElement?.parentElement?.querySelector('input[name=through]');
							if (read instanceof HTMLInputElement && read.value) void goto(`?through=${read.value}`);
						}}
					/>{/key}
				{#if data.maySet}<button class="btn" onclick={setTerms}>Terms …</button>{/if}
				{#if data.rows.length}
					<a class="btn" href="/letters/interest/file?through={query.through}">Save as a table</a>
					<a class="btn" href="/letters/interest/print?through={query.through}" target="_blank">Print</a>
				{/if}
			</div>
			<div class="mt-2"><Problems problems={form.problems} /></div>
			{#if data.rows.length}
				<table class="mt-2">
					<thead
						><tr
							><th class="w-8"><span class="sr-only">Charge</span></th><th>Customer</th><th class="num"
								>Items</th
							><th class="num">Interest</th><th class="num">Compensation</th><th class="num">Given back</th
							></tr
						></thead
					>
					<tbody {@attach rowCursor}>
						{#each data.rows.slice(0, drawn) as row (keyOf(row))}
							<tr>
								<td
									><input
										type="checkbox"
										aria-label="Charge {row.name}, {row.currency}"
										disabled={!data.mayAct}
										checked={isChosen(row)}
										onchange={() => turn(row)}
									/></td
								>
								<td
									><a
										class="block py-0.5"
										href={link(row)}
										data-sveltekit-noscroll
										aria-current={data.open && keyOf(data.open) === keyOf(row) ? 'true' : undefined}
										>{row.name}</a
									>{#if waits(row)}<span class="block text-xs text-copper">waits: {why(row)}</span>{/if}</td
								>
								<td class="num text-soft">{row.items}</td>
								<td class="num">{money(row.interest, row.currency)}</td>
								<td class="num">{row.compensation ? amount(row.compensation, row.currency) : ''}</td>
								<td class="num">{row.credit ? amount(-row.credit, row.currency) : ''}</td>
							</tr>
						{/each}
					</tbody>
				</table>
				{#if drawn < data.rows.length}
					<p class="py-2 text-sm">
						{#key drawn}<More
								more={() => (drawn += ROWS_DRAWN)}
								words="{count(data.rows.length - drawn, 'account')} more"
							/>{/key}
					</p>
				{/if}
			{:else}
				<p class="mt-4 says">
					{data.runs.length
						? `Everything up to ${shortDay(query.through)} was charged, or nothing was overdue.`
						: `Nothing that was overdue since ${shortDay(setting.since)} bears interest up to ${shortDay(query.through)}.`}
				</p>
			{/if}
		{/if}
		{#if data.runs.length}
			<h2 class="mt-8 text-xl">Charged before</h2>
			<table class="mt-1">
				<thead><tr><th>To</th><th>Charged</th><th>By</th><th class="num">Accounts</th></tr></thead>
				<tbody {@attach rowCursor}>
					{#each data.runs as run (run.actId)}
						<tr
							><td
								><a class="block py-0.5" href="/letters/interest/charged/{run.actId}"
									>{shortDay(run.through, data.day)}</a
								></td
							><td class="text-soft">{moment(run.at)}</td><td class="text-soft">{run.by}</td><td class="num"
								>{run.accounts}</td
							></tr
						>
					{/each}
				</tbody>
			</table>
		{/if}
	</section>
	<section class="border-l border-rule px-8 pt-5 pb-24" aria-label="One account">
		{#if data.open}
			<h2 class="text-xl">
				<a href="/customers/{data.open.code}">{data.open.name}</a>
				<span class="font-sans text-sm font-normal text-soft">{data.open.code}</span>
			</h2>
			<div class="mt-2"><InterestRows sheet={data.open} today={data.day} /></div>
		{:else if setting}<p class="mt-16 says">Here stands how the interest of an account comes about.</p>{/if}
	</section>
</div>

{#if data.mayAct && data.rows.length}
	<footer class="double-top fixed inset-x-0 bottom-0 flex h-[54px] items-center gap-3 bg-raised px-5">
		<button class="btn btn-main" disabled={form.busy || chosen.length === 0} onclick={charge}
			>Charge {chosen.length ? count(chosen.length, 'account') : ''}</button
		>
		<p class="ml-auto text-sm text-soft" aria-live="polite">
			{chosen.length === 0
				? 'Choose whom to charge.'
				: `${sum(chosen)} is charged, due at once. Letters go when you say so, on the next page; all of it can be taken back.`}
		</p>
	</footer>
{/if}

{#if draft}<TermsDialog {draft} base={data.base} bind:open />{/if}
